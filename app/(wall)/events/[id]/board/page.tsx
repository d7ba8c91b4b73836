import clsx from 'clsx';
import type { Metadata } from 'next';
import { eventAt, type EventPlayerLine } from '@/app/(house)/events/[id]/event-at';
import { openFor } from '@/app/identity/at-work';
import { hourOn } from '@/core/measure/promised-time';
import { boardName, STATES, type RacketState } from '@/core/tournament/board';
import { LiveDay } from '@/ui/day/live-day';
import { Clock } from '@/app/(wall)/when-used';

export const metadata: Metadata = { title: 'Board' };

/** A racket by its tag: full where it is ready, half where it is on the machine, an outline where it waits. */
const MARK: Readonly<Record<Exclude<RacketState, 'taken'>, string>> = {
  ready: 'border-ink bg-ink text-paper',
  'on the machine': 'border-ink border-b-[0.35em]',
  waiting: 'border-edge text-soft border-dashed',
};
const SHOWN = STATES.filter((state) => state !== 'taken');

const TAG = 'figure border-4 px-3 leading-tight';

function Line({
  line,
  name,
  now,
}: {
  readonly line: EventPlayerLine;
  readonly name: string;
  readonly now: string;
}) {
  const here = line.rackets.filter(({ state }) => state !== 'taken');
  const ready = here.length > 0 && here.every(({ state }) => state === 'ready');
  return (
    <li className="border-hair flex break-inside-avoid flex-wrap items-center gap-x-6 gap-y-2 border-t-2 py-3">
      <span className="figure text-soft min-w-[3ch] whitespace-nowrap">
        {line.onCourt ? hourOn(line.onCourt, now) : ''}
      </span>
      <span className={clsx('min-w-0 grow truncate pl-10', ready && 'font-semibold')}>
        {name}
        {line.court && <span className="text-soft text-[0.6em]"> {line.court}</span>}
      </span>
      <span className="flex flex-wrap gap-3">
        {here.map(({ tag, state }) => (
          <span key={tag} className={clsx(TAG, state !== 'taken' && MARK[state])}>
            {tag}
            <span className="sr-only"> {state}</span>
          </span>
        ))}
      </span>
    </li>
  );
}

/** Whose rackets are ready, to be read across a room. */
export default async function BoardPage({ params }: PageProps<'/events/[id]/board'>) {
  const open = await openFor('see the day');
  const { event, players, now } = await eventAt(open, (await params).id);
  const here = players.filter(({ rackets }) => rackets.some(({ state }) => state !== 'taken'));
  return (
    <main className="min-h-dvh px-8 py-5">
      <LiveDay />
      <div className="mb-3 flex items-baseline gap-x-8">
        <h1 className="figure grow text-6xl">{event.name}</h1>
        <Clock zone={open.workshop.timeZone} now={now.slice(11)} />
      </div>
      <p className="mb-4 flex flex-wrap gap-x-8 text-3xl">
        {SHOWN.map((state) => (
          <span key={state} className="flex items-center gap-3">
            <span className={clsx(TAG, MARK[state])}>
              {
                players.flatMap(({ rackets }) => rackets).filter((racket) => racket.state === state)
                  .length
              }
            </span>
            {state}
          </span>
        ))}
      </p>
      {here.length === 0 ? (
        <p className="text-5xl">No racket is here.</p>
      ) : (
        <ul className={clsx('gap-x-12 text-5xl', here.length > 6 && 'xl:columns-2')}>
          {here.map((line) => (
            <Line
              key={line.id}
              line={line}
              now={now}
              name={boardName(line.name, event.boardNames)}
            />
          ))}
        </ul>
      )}
    </main>
  );
}
