import Bowser from 'bowser';
import { formatDay, wallTime, type WallTime } from '@/core/measure/promised-time';
import { Press } from '@/ui/press';

interface Session {
  readonly id: string;
  readonly createdAt: Date;
  readonly deviceId: string | null;
  readonly lockedAt: Date | null;
  readonly userAgent: string | null;
}

interface SignedInProps {
  readonly all: readonly Session[];
  /** The session that this page is seen by. */
  readonly here: string;
  readonly timeZone: string;
  readonly end: (id: string) => Promise<string | void>;
}

/** What a browser says of itself, as people call it. */
function browserWords(userAgent: string | null): string {
  if (!userAgent) return 'a program';
  const { browser, os } = Bowser.parse(userAgent);
  return [browser.name ?? 'a browser', os.name && `on ${os.name}`].filter(Boolean).join(' ');
}

const sinceWords = (wall: WallTime): string => `${formatDay(wall)}, ${wall.slice(11)}`;

/** Where somebody is signed in and since when; what is not theirs they end. */
export function SignedIn({ all, here, timeZone, end }: SignedInProps) {
  return (
    <ul className="divide-hair divide-y">
      {all.map(({ id, createdAt, deviceId, lockedAt, userAgent }) => (
        <li key={id} className="flex flex-wrap items-baseline justify-between gap-x-4 py-1.5">
          <span>
            {browserWords(userAgent)}
            <span className="text-soft">
              {' '}
              since {sinceWords(wallTime(createdAt, timeZone))}
              {deviceId && ', on a trusted device'}
              {lockedAt && ', locked'}
            </span>
          </span>
          {id === here ? (
            <span className="label">here</span>
          ) : (
            <Press action="End it" press={end.bind(null, id)} />
          )}
        </li>
      ))}
    </ul>
  );
}
