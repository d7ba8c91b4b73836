import { openWorkshop } from '@/app/identity/at-work';
import { may } from '@/core/house/role-rights';
import { Link } from '@/ui/link';
import { RIGHT_AT, type Station } from './stations';

interface WaitsProps {
  readonly number: number;
  readonly path: Station['path'];
  readonly what: string;
}

/** Stands at a station that cannot be worked yet, and leads whoever works there to the one that it waits for. */
export async function Waits({ number, path, what }: WaitsProps) {
  const { role } = await openWorkshop();
  return (
    <p>
      This station waits for {what}.{' '}
      {may(role, RIGHT_AT[path]) && (
        <Link href={`/tickets/${number}/${path}`} className="underline">
          Go there
        </Link>
      )}
    </p>
  );
}
