'use client';

import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import { isDone } from './is-done';

interface RemovedNoticeProps {
  readonly what: string;
  readonly restore: () => Promise<string | void>;
}

interface GoneNoticeProps {
  readonly restore: () => Promise<string | void>;
  readonly action: string;
  readonly children: ReactNode;
}

/** Stands on the page of a row that was removed, perhaps in another tab. */
export const RemovedNotice = ({ what, restore }: RemovedNoticeProps) => (
  <GoneNotice restore={restore} action="Put it back">
    This {what} has been removed. Jobs that used it keep their records.
  </GoneNotice>
);

/** Why a row is in no list, and the way back. */
export function GoneNotice({ restore, action, children }: GoneNoticeProps) {
  const router = useRouter();
  return (
    <p role="alert" className="bg-warn-wash mb-4 px-3 py-2">
      {children}{' '}
      <button
        type="button"
        className="underline"
        onClick={async () => {
          if (await isDone(restore)) router.refresh();
        }}
      >
        {action}
      </button>
    </p>
  );
}
