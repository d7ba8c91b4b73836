'use client';

import { useRouter } from 'next/navigation';
import { isDone } from './is-done';

interface RemovedNoticeProps {
  readonly what: string;
  readonly restore: () => Promise<string | void>;
}

/** Stands on the page of a row that was removed, perhaps in another tab. */
export function RemovedNotice({ what, restore }: RemovedNoticeProps) {
  const router = useRouter();
  return (
    <p role="alert" className="bg-warn-wash mb-4 px-3 py-2">
      This {what} has been removed. Jobs that used it keep their records.{' '}
      <button
        type="button"
        className="underline"
        onClick={async () => {
          if (await isDone(restore)) router.refresh();
        }}
      >
        Put it back
      </button>
    </p>
  );
}
