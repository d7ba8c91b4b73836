import { may, type Role } from '@/core/house/role-rights';
import { minutesWords, wallMinutes } from '@/core/queue/clock';
import { sureness } from '@/core/queue/promise';
import { countWords } from '@/core/terms/count-words';
import type { ListedTicket } from '@/db/tickets';
import { Ruler } from '@/ui/when-used';
import type { RulerLane } from '@/ui/day/ruler';
import { Link } from '@/ui/link';
import { arrangeDay } from './actions';
import { daysOf, type Day } from './day-of';

interface DayRulerProps {
  readonly day: Day;
  readonly tickets: readonly ListedTicket[];
  readonly workshopId: string;
  readonly role: Role;
}

/** The day as it is planned now, on a ruler; or why there is no plan. */
export function DayRuler({ day, tickets, workshopId, role }: DayRulerProps) {
  const { plan, benches, jobs, turns, open, unsuited } = day;
  if (!plan.ok)
    return (
      <p role="alert" className="text-warn mb-6">
        The day cannot be planned: {plan.problem}{' '}
        <Link href="/workshop/benches" className="underline">
          Hours of the benches
        </Link>
      </p>
    );
  const { placed, cost, exact, leastLateMin } = plan.value;
  const days = daysOf(day);
  const sure = days ? sureness(days) : new Map<number, number>();
  const lanes = benches.map(({ id, name, machine, hand }, i): RulerLane => ({
    id,
    name,
    note: machine ? `${machine}, ${hand}` : hand,
    open: open[i]?.open ?? [],
    bars: placed.flatMap((each) => {
      const ticket = tickets.find(({ number }) => number === each.number);
      const job = jobs.find(({ number }) => number === each.number);
      if (each.bench !== id || !ticket || !job) return [];
      return [
        {
          number: each.number,
          client: ticket.clientName,
          racket: ticket.frameName,
          start: each.start,
          finish: each.finish,
          promised: job.promised,
          lateMin: each.lateMin,
          sure: Math.round((sure.get(each.number) ?? 0) * 100),
          fixed: job.fixed !== undefined && job.fixed.turn >= 0,
          begun: job.fixed !== undefined && job.fixed.turn < 0,
          by: day.tickets.find(({ number }) => number === each.number)?.by ?? null,
        },
      ];
    }),
  }));
  const unfit = placed.flatMap(({ number, bench }) => {
    const why = unsuited.get(number)?.find(({ benchId }) => benchId === bench)?.why;
    return why ? [{ number, bench: benches.find(({ id }) => id === bench)?.name ?? '', why }] : [];
  });
  const late = placed.filter(({ lateMin }) => lateMin > 0).length;
  return (
    <section aria-label="The day" className="mb-8">
      <p className="label mb-2 flex flex-wrap gap-x-5">
        <span>
          {late === 0
            ? 'All promises are kept as it stands'
            : `${countWords(late, 'promise')} not kept as it stands, the latest by ${minutesWords(cost.most)}`}
          {late > 0 &&
            (exact || leastLateMin >= cost.most
              ? '; with what is begun and arranged, no order makes the latest earlier'
              : `; no order has less than ${minutesWords(leastLateMin)}`)}
          .
        </span>
        {!day.usual && may(role, 'arrange the day') && (
          <span className="no-print">
            Drag a ticket to say when it comes, or lift it with the space bar and move it with the
            arrows.
          </span>
        )}
        {may(role, 'see machines') && (
          <Link href="/workshop/benches" className="no-print underline">
            {day.usual ? 'Usual hours are taken for granted: say yours' : 'Benches and hours'}
          </Link>
        )}
      </p>
      {unfit.map(({ number, bench, why }) => (
        <p key={number} className="text-warn mb-2">
          Ticket {number} stands at {bench}, whose machine does not suit it: {why}.
        </p>
      ))}
      <Ruler
        now={wallMinutes(day.now)}
        lanes={lanes}
        turns={turns}
        arrange={
          !day.usual && may(role, 'arrange the day') ? arrangeDay.bind(null, workshopId) : undefined
        }
      />
    </section>
  );
}
