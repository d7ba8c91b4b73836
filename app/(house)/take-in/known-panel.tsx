'use client';

import { Link } from '@/ui/link';
import { Fact, Facts } from '@/ui/facts';
import { useFound } from '@/ui/form/use-found';
import { knownAtTheCounter } from './actions';

interface KnownPanelProps {
  readonly workshopId: string;
  readonly racketId: string;
}

/** What the records say of the racket on the counter, while its ticket is written. */
export function KnownPanel({ workshopId, racketId }: KnownPanelProps) {
  const facts = useFound(
    async () => (racketId ? knownAtTheCounter(workshopId, racketId) : []),
    racketId,
    0,
  );
  if (!racketId || facts.length === 0)
    return (
      <p className="label max-w-prose">
        What is known of the client and the racket stands here as soon as both are chosen.
      </p>
    );
  return (
    <Facts>
      {facts.map(({ name, value, note, href }) => (
        <Fact key={name} name={name} note={note}>
          {href ? (
            <Link href={href} className="underline">
              {value}
            </Link>
          ) : (
            value
          )}
        </Fact>
      ))}
    </Facts>
  );
}
