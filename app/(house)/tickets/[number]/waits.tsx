import { Link } from '@/ui/link';

/** Stands at a station that cannot be worked yet, and leads to the one that it waits for. */
export function Waits({
  number,
  path,
  what,
}: {
  readonly number: number;
  readonly path: string;
  readonly what: string;
}) {
  return (
    <p>
      This station waits for {what}.{' '}
      <Link href={`/tickets/${number}/${path}`} className="underline">
        Go there
      </Link>
    </p>
  );
}
