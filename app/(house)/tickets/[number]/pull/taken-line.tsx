import { LiveDay } from '@/ui/day/live-day';
import { Press } from '@/ui/press';
import { letTicketGo, takeTicket } from './actions';

interface TakenLineProps {
  readonly workshopId: string;
  readonly number: number;
  readonly taken:
    | {
        readonly mine: boolean;
        readonly name: string;
        readonly at: string;
        readonly bench: string | null;
      }
    | undefined;
  readonly benches: readonly { readonly id: string; readonly name: string }[];
}

/** Who strings it, so that no two begin the same racket. */
export function TakenLine({ workshopId, number, taken, benches }: TakenLineProps) {
  const take = (benchId: string, over: boolean) =>
    takeTicket.bind(null, workshopId, number, benchId, over);
  return (
    <section
      aria-label="Who strings it"
      className="border-hair mt-6 flex flex-wrap items-baseline gap-x-6 gap-y-2 border-y py-3"
    >
      <LiveDay />
      {taken ? (
        <>
          <p className={taken.mine ? undefined : 'text-warn font-semibold'}>
            {taken.mine ? 'You have it' : `${taken.name} has it`}
            {taken.bench && `, at ${taken.bench}`}
            <span className="label"> since {taken.at}</span>
          </p>
          {taken.mine ? (
            <Press action="Let it go" press={letTicketGo.bind(null, workshopId, number)} />
          ) : (
            <Press action="Take it over as it is" press={take('', true)} />
          )}
        </>
      ) : (
        <>
          <p className="label">Nobody has taken it.</p>
          {benches.map(({ id, name }) => (
            <Press key={id} action={`I string it, ${name}`} press={take(id, false)} />
          ))}
          {benches.length === 0 && <Press action="I string it" press={take('', false)} />}
        </>
      )}
    </section>
  );
}
