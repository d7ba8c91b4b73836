import { jobAt } from '@/app/(house)/tickets/[number]/ticket';
import { routeNumber } from '@/app/route-id';
import { isJson } from '@/app/action';
import { letIn } from '@/app/workshop-stamp';
import { thisDevice, type OpenHouse } from '@/app/identity/at-work';
import { benchEventSchema, benchLog, planKey, type BenchEvent } from '@/core/bench/log';
import { recordBench } from '@/core/record/record';
import type { Sequence } from '@/core/bench/sequence';
import { isOver } from '@/db/tickets';
import { isWatched, may } from '@/core/house/policy';
import type { Hands } from '@/db/bench';
import { tooManyEvents } from '@/app/identity/event-limit';
import { sentSchema, type KeptEvents, type SentEvents } from './sent';

type Judged = { readonly event: BenchEvent } | { readonly why: string };

const NO_EVENT = 'It cannot be read: it is torn, or its clock is far off.';

/** Looks at one event: a step counts in a plan that this job has or had, and not beyond its end. */
function judge(sent: unknown, plans: ReadonlySet<string>, sequence: Sequence | undefined): Judged {
  const read = benchEventSchema.safeParse(sent);
  if (!read.success) return { why: NO_EVENT };
  const { deed, plan, done } = read.data;
  const counts = deed.kind === 'open' || deed.kind === 'step' || deed.kind === 'mishap';
  if (!counts) return { event: read.data };
  const current = sequence && planKey(sequence.steps);
  if (plan !== current && !plans.has(plan))
    return { why: 'It is counted in a plan that this job does not have: open the bench anew.' };
  if (plan === current && sequence && done > sequence.steps.length)
    return { why: `It says that ${done} steps are done, and there are ${sequence.steps.length}.` };
  return { event: read.data };
}

/** Keeps what was done at a bench, in its order and each once, and answers with what other benches did. */
export async function POST(
  request: Request,
  { params }: RouteContext<'/bench/[number]/events'>,
): Promise<Response> {
  if (!isJson(request)) return new Response('Events of a bench are sent as JSON.', { status: 415 });
  const read = sentSchema.safeParse(await request.json().catch(() => undefined));
  if (!read.success) return new Response('These are no events of a bench.', { status: 400 });
  const number = routeNumber((await params).number);
  const entry = await letIn(read.data.madeFor, 'string');
  if ('refused' in entry) return new Response(entry.refused, { status: entry.status });
  const { open } = entry;
  if (await tooManyEvents(open.person.id, request.headers.get('x-forwarded-for') ?? ''))
    return new Response('That is more than a bench can do.', { status: 429 });
  if (isWatched(open.role) && open.person.watchedBy === null && read.data.events.length > 0)
    return new Response('Somebody who strings here has to watch.', { status: 403 });
  const answer = await keepEvents(open, number, read.data);
  return answer ? Response.json(answer) : new Response('There is no such ticket.', { status: 404 });
}

/**
 * Whose hands an event was done by. On a trusted device hands change while something still waits to be sent;
 * elsewhere it is whoever is signed in.
 */
async function handsOf(open: OpenHouse): Promise<(sent: unknown) => Hands> {
  const { person } = open;
  const device = await thisDevice();
  const others =
    device?.workshopId === open.workshop.id
      ? (await open.members.all()).filter(({ role }) => may(role, 'string'))
      : [];
  return (sent) => {
    const by = (sent as { by?: unknown } | null)?.by;
    const other = others.find(({ personId }) => personId === by && personId !== person.id);
    return other
      ? { personId: other.personId, watchedBy: null }
      : { personId: person.id, watchedBy: isWatched(open.role) ? person.watchedBy : null };
  };
}

async function keepEvents(
  open: OpenHouse,
  number: number,
  { known, events }: SentEvents,
): Promise<KeptEvents | undefined> {
  // A bench asks every two seconds, and mostly has nothing to say.
  const made = events.length > 0 ? (await jobAt(number))?.sequence : undefined;
  const sequence = made?.ok ? made.value : undefined;
  const hands = events.length > 0 ? await handsOf(open) : undefined;
  return open.together(async ({ tickets, bench, benches }): Promise<KeptEvents | undefined> => {
    const ticket = await tickets.get(number);
    if (!ticket) return undefined;
    const plans = events.length > 0 ? await bench.plans(ticket.id) : new Set<string>();
    const judged = events.map((sent) => judge(sent, plans, sequence));
    const sound = judged.flatMap((each, i) =>
      'event' in each ? [{ ...each.event, ...hands?.(events[i]) }] : [],
    );
    const closed = isOver(ticket);
    const { added, refused } = await bench.keep(ticket.id, sound, closed);
    // What nobody had taken belongs to whoever begins it.
    const hand = hands?.(events[0]);
    if (added > 0 && hand && !closed && !(await benches.takenOf(ticket.id)))
      await benches.take(ticket.id, hand.personId, null);
    const all = added > 0 || known !== (await bench.count(ticket.id));
    const kept = all ? await bench.events(ticket.id) : undefined;
    if (ticket.record && added > 0 && kept && sequence)
      await tickets.addLate(
        number,
        recordBench(sequence, benchLog(kept), ticket.record.frame.sport, open.workshop.hand),
      );
    return {
      closed,
      setAside: judged.flatMap((each, at) => {
        if ('why' in each) return [{ at, why: each.why }];
        return refused.includes(each.event.id)
          ? [{ at, why: 'The records do not take it: an event of that name is another one.' }]
          : [];
      }),
      ...(kept && { events: kept }),
    };
  });
}
