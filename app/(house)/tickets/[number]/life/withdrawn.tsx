'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { FormAnswer } from '@/ui/form/result';
import { Link } from '@/ui/link';
import { useAwake } from '@/ui/use-awake';

interface WithdrawnProps {
  readonly number: number;
  readonly day: string;
  readonly why: string;
  /** Nothing where this role does not take it up. */
  readonly takeUp: (() => Promise<FormAnswer>) | undefined;
}

const NO_ANSWER = 'The workshop’s server does not answer. Nothing was changed: try again.';

/** A ticket that is not wanted any more: nothing of it can be worked on until it is taken up again. */
export function Withdrawn({ number, day, why, takeUp }: WithdrawnProps) {
  const router = useRouter();
  const awake = useAwake();
  const [notice, setNotice] = useState<string>();
  const bringBack = async () => {
    const answer = await takeUp?.().catch(() => ({ ok: false as const, notice: NO_ANSWER }));
    setNotice(answer?.ok === false ? answer.notice : undefined);
    router.refresh();
  };
  return (
    <section aria-label="Withdrawn" className="max-w-prose">
      <p className="figure text-3xl">Withdrawn on {day}</p>
      <p className="mt-2 mb-5">{why}</p>
      <p className="mb-5">
        <Link href={`/papers/${number}/unstrung`} className="underline">
          Its paper, for a racket that goes back unstrung
        </Link>
      </p>
      {takeUp && (
        <button
          type="button"
          disabled={!awake}
          onClick={() => void bringBack()}
          className="bg-ink text-paper px-5 py-2 font-medium"
        >
          Take it up again
        </button>
      )}
      {notice && (
        <p role="alert" className="text-warn mt-3 font-medium">
          {notice}
        </p>
      )}
    </section>
  );
}
