'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { countWords } from '@/core/terms/count-words';
import { say } from '@/ui/say';
import { sendLong } from './send-long';

interface BringInProps {
  readonly workshopId: string;
  readonly path: string;
  /** What the route reads. */
  readonly message: object;
  readonly count: number;
  readonly wrong: number;
  /** One of them: `job`. */
  readonly what: string;
}

const NO_ANSWER =
  'The workshop’s server does not answer, or it was stopped. Nothing was brought in.';

/** Brings rows in together or not at all, shows how far it is, and can be stopped. */
export function BringIn({ workshopId, path, message, count, wrong, what }: BringInProps) {
  const router = useRouter();
  const [notice, setNotice] = useState<string>();
  const [done, setDone] = useState<number>();
  const sending = useRef<AbortController | undefined>(undefined);

  const bring = async () => {
    setDone(0);
    setNotice(undefined);
    sending.current = new AbortController();
    try {
      const answer = await sendLong(path, workshopId, message, sending.current.signal, setDone);
      if (answer.ok) {
        say(`${countWords(count, what)} came in.`);
        router.push(answer.go ?? '/');
        router.refresh();
      } else setNotice(answer.notice);
    } catch {
      setNotice(NO_ANSWER);
    } finally {
      setDone(undefined);
    }
  };

  return (
    <>
      {notice && (
        <p role="alert" className="text-warn font-medium">
          {notice}
        </p>
      )}
      <p className="flex flex-wrap items-baseline gap-5">
        <button
          type="button"
          disabled={count === 0 || done !== undefined}
          onClick={() => void bring()}
          className="bg-ink text-paper px-5 py-2 font-medium disabled:opacity-60"
        >
          {done === undefined ? `Bring ${countWords(count, what)} in` : 'Bringing in …'}
        </button>
        {done !== undefined && (
          <>
            <progress
              value={done}
              max={count}
              aria-label="How far it is"
              className="accent-ink w-48"
            />
            <span className="label">
              {done} of {count}
            </span>
            <button type="button" className="underline" onClick={() => sending.current?.abort()}>
              Stop
            </button>
          </>
        )}
        {wrong > 0 && (
          <span className="label">
            Those that are not right stay out; all others come in together or not at all.
          </span>
        )}
      </p>
    </>
  );
}
