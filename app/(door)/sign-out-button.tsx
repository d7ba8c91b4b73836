'use client';

import { useState } from 'react';
import { refusalIn, startOver } from '@/app/identity/ask-door';
import { doors } from '@/app/identity/client';
import { useAwake } from '@/ui/use-awake';

interface SignOutButtonProps {
  readonly everywhere?: boolean;
  /** Where it leads. */
  readonly to?: string | undefined;
}

/** Signs out here, or wherever this person is signed in. */
export function SignOutButton({ everywhere = false, to = '/sign-in' }: SignOutButtonProps) {
  const awake = useAwake();
  const [problem, setProblem] = useState<string>();
  const leave = async () => {
    const others = everywhere ? refusalIn(await doors.revokeOtherSessions()) : undefined;
    const refusal = others ?? refusalIn(await doors.signOut());
    if (refusal === undefined) startOver(to);
    else setProblem(refusal);
  };
  return (
    <>
      <button
        type="button"
        disabled={!awake}
        onClick={() => void leave()}
        className="min-h-6 underline"
      >
        {everywhere ? 'Sign out everywhere' : 'Sign out'}
      </button>
      {problem && (
        <span role="alert" className="text-warn ml-3">
          {problem}
        </span>
      )}
    </>
  );
}
