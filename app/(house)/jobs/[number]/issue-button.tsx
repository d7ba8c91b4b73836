'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { FormAnswer } from '@/ui/form/result';
import { useAwake } from '@/ui/use-awake';

/** Issues an invoice; a second press of the same page issues no second one. */
export function IssueButton({
  text,
  issue,
}: {
  readonly text: string;
  readonly issue: () => Promise<FormAnswer>;
}) {
  const router = useRouter();
  const awake = useAwake();
  const [busy, setBusy] = useState(false);
  const [notice, setNotice] = useState<string>();
  const go = async () => {
    setBusy(true);
    const answer = await issue().catch((): FormAnswer => ({
      ok: false,
      notice: 'The workshop’s server does not answer. Press once more: it is issued once only.',
    }));
    setBusy(false);
    setNotice(answer.ok ? undefined : answer.notice);
    if (answer.ok && answer.go) router.push(answer.go);
    router.refresh();
  };
  return (
    <span>
      <button
        type="button"
        disabled={!awake || busy}
        onClick={() => void go()}
        className="underline disabled:opacity-60"
      >
        {text}
      </button>
      {notice && (
        <span role="alert" className="text-warn block font-medium">
          {notice}
        </span>
      )}
    </span>
  );
}
