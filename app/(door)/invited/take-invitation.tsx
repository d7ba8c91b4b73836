'use client';

import { useState } from 'react';
import { NO_ANSWER, startOver } from '@/app/identity/ask-door';
import { useAwake } from '@/ui/use-awake';

interface TakeInvitationProps {
  readonly workshop: string;
  readonly name: string;
  /** Answers with the sentence that says why not. */
  readonly take: () => Promise<string | void>;
}

export function TakeInvitation({ workshop, name, take }: TakeInvitationProps) {
  const awake = useAwake();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  const press = async () => {
    setBusy(true);
    const refusal = await take().catch(() => NO_ANSWER);
    if (!refusal) return startOver('/workshops');
    setProblem(refusal);
    setBusy(false);
  };
  return (
    <>
      <button
        type="button"
        disabled={!awake || busy}
        onClick={() => void press()}
        className="bg-ink text-paper px-5 py-2 font-medium disabled:opacity-60"
      >
        Work at {workshop} as {name}
      </button>
      {problem && (
        <p role="alert" className="text-warn mt-3 max-w-prose font-medium">
          {problem}
        </p>
      )}
    </>
  );
}
