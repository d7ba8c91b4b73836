import { jobAt } from '@/app/(house)/tickets/[number]/ticket';
import { cutAgain, cutTicket, forTicket } from '@/app/(house)/shelf/cut-ticket';
import { routeNumber } from '@/app/route-id';
import { isJson } from '@/app/action';
import { letIn } from '@/app/workshop-stamp';
import { thisDevice, type OpenHouse } from '@/app/identity/at-work';
import { loggedDeedSchema, benchLog, planKey, type LoggedDeed } from '@/core/bench/log';
import { keptPlanOf } from '@/core/bench/kept-plan';
import { recordBench } from '@/core/record/record';
import type { Sequence } from '@/core/bench/sequence';
import { isOver } from '@/db/tickets';
import { isWatched, may } from '@/core/house/role-rights';
import type { Hands } from '@/db/bench';
import { tooManyDeeds } from '@/app/identity/deed-limit';
import { sentSchema, type KeptDeeds, type SentDeeds } from './sent';

type Judged = { readonly logged: LoggedDeed } | { readonly why: string };

const NO_EVENT = 'It cannot be read: it is torn, or its clock is far off.';

/** Looks at one deed: a step counts in a plan that this job has or had, and not beyond its end. */
function judge(sent: unknown, plans: ReadonlySet<string>, sequence: Sequence | undefined): Judged {
  const read = loggedDeedSchema.safeParse(sent);
  if (!read.success) return { why: NO_EVENT };
  const { deed, plan, done } = read.data;
  const counts = ['open', 'step', 'mishap', 'plan'].includes(deed.kind);
  if (!counts) return { logged: read.data };
  const current = sequence && planKey(sequence.steps);
  if (plan !== current && !plans.has(plan))
    return { why: 'It is counted in a plan that this job does not have: open the bench anew.' };
  if (plan === current && sequence && done > sequence.steps.length)
    return { why: `It says that ${done} steps are done, and there are ${sequence.steps.length}.` };
  return { logged: read.data };
}

/** Keeps what was done at a bench, in its order and each once, and answers with what other benches did. */
export async function POST(
  request: Request,
  { params }: RouteContext<'/bench/[number]/deeds'>,
): Promise<Response> {
  if (!isJson(request)) return new Response('Events of a bench are sent as JSON.', { status: 415 });
  const read = sentSchema.safeParse(await request.json().catch(() => undefined));
  if (!read.success) return new Response('These are no deeds of a bench.', { status: 400 });
  const number = routeNumber((await params).number);
  const entry = await letIn(read.data.madeFor, 'string');
  if ('refused' in entry) return new Response(entry.refused, { status: entry.status });
  const { open } = entry;
  if (await tooManyDeeds(open.person.id, request.headers.get('x-forwarded-for') ?? ''))
    return new Response('That is more than a bench can do.', { status: 429 });
  if (isWatched(open.role) && open.person.watchedBy === null && read.data.deeds.length > 0)
    return new Response('Somebody who strings here has to watch.', { status: 403 });
  const answer = await keepEvents(open, number, read.data);
  return answer ? Response.json(answer) : new Response('There is no such ticket.', { status: 404 });
}

/**
 * Whose hands a deed was done by. On a trusted device hands change while something still waits to be sent;
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

/** Whether the first step of a job is among what was sent. */
const begins = (deeds: SentDeeds['deeds']): boolean =>
  deeds.some((sent) => {
    const { success, data } = loggedDeedSchema.safeParse(sent);
    return success && data.deed.kind === 'step' && data.done === 1;
  });

async function keepEvents(
  open: OpenHouse,
  number: number,
  { known, deeds }: SentDeeds,
): Promise<KeptDeeds | undefined> {
  // A bench asks every two seconds, and mostly has nothing to say.
  const job = deeds.length > 0 ? await jobAt(number) : undefined;
  const sequence = job?.sequence.ok ? job.sequence.value : undefined;
  const hands = deeds.length > 0 ? await handsOf(open) : undefined;
  const planned = job && begins(deeds) ? await forTicket(number) : undefined;
  return open.together(async (records): Promise<KeptDeeds | undefined> => {
    const { tickets, bench, benches, machines } = records;
    const ticket = await tickets.get(number);
    if (!ticket) return undefined;
    const plans = deeds.length > 0 ? await bench.plans(ticket.id) : new Set<string>();
    const judged = deeds.map((sent) => judge(sent, plans, sequence));
    const sound = judged.flatMap((each, i) =>
      'logged' in each ? [{ ...each.logged, ...hands?.(deeds[i]) }] : [],
    );
    const closed = isOver(ticket);
    const { added, refused } = await bench.keep(ticket.id, sound, closed);
    const plan = sequence && planKey(sequence.steps);
    if (job && sequence && plan && sound.some((logged) => logged.plan === plan))
      await bench.keepPlan(ticket.id, plan, keptPlanOf(sequence.steps, job.tension));
    // What nobody had taken belongs to whoever begins it; who only looks takes nothing.
    const hand = hands?.(deeds[0]);
    const works = added > 0 && sound.some(({ deed }) => deed.kind !== 'open');
    if (works && hand && !closed && !(await benches.takenOf(ticket.id)))
      await benches.take(ticket.id, hand.personId, null);
    // From the first step on it stands on the machine that it was planned for, whoever has it later.
    const machine = works && !closed ? await machines.under(ticket) : undefined;
    if (machine && ticket.machineId === null) await tickets.standOn(ticket.id, machine.id);
    if (job && sequence && added > 0) {
      const by = hand?.personId ?? open.person.id;
      if (planned) await cutTicket(records, by, { ticket }, job, planned.allocation);
      await cutAgain(records, by, { ticket }, job, sequence, sound);
    }
    const all = added > 0 || known !== (await bench.count(ticket.id));
    const kept = all ? await bench.deeds(ticket.id) : undefined;
    if (ticket.record && added > 0 && kept && sequence)
      await tickets.addLate(
        number,
        recordBench(
          sequence,
          benchLog(kept),
          await bench.keptPlans(ticket.id),
          ticket.record.frame.sport,
          open.workshop.hand,
        ),
      );
    return {
      closed,
      setAside: judged.flatMap((each, at) => {
        if ('why' in each) return [{ at, why: each.why }];
        return refused.includes(each.logged.id)
          ? [{ at, why: 'The records do not take it: an entry of that name is another one.' }]
          : [];
      }),
      ...(kept && { deeds: kept }),
    };
  });
}
