'use client';

import { useRouter } from 'next/navigation';
import { toast } from 'sonner';

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
          const refusal = await restore().catch(() => 'The workshop’s server does not answer.');
          if (refusal) toast.error(refusal);
          else router.refresh();
        }}
      >
        Put it back
      </button>
    </p>
  );
}
