'use server';

import { z } from 'zod';
import { action, rowId, ticketNumber } from '@/app/action';
import { said } from '@/app/answers';
import {
  formatDay,
  formatWall,
  parsePromise,
  wallTime,
  type WallTime,
} from '@/core/measure/promised-time';
import { textIn } from '@/core/measure/typed';
import { isShutOn, wallMinutes, wallOf } from '@/core/queue/clock';
import { dayJob, UNARRANGED } from '@/core/queue/day';
import { brokenBy, offersFor, SURE, type Offer } from '@/core/queue/promise';
import { isOver } from '@/db/tickets';
import type { OpenWorkshop } from '@/db/workshop';
import { dayOf, daysOf, unsuitedFor } from './day-of';

const turn = z.object({
  number: ticketNumber,
  benchId: rowId,
  turn: z.number().int().min(0).max(10_000),
});
const turns = z.array(turn).max(500).readonly();

const MEANWHILE =
  'Somebody else arranged the day meanwhile, and nothing of yours was kept. It is shown now as it is.';

/** What comes next at which bench, as somebody wants it; the plan sees to the rest. */
export const arrangeDay = action(
  'arrange the day',
  said,
  [turns, turns],
  async ({ together, benches }, wanted, seen) => {
    const here = new Set((await benches.all()).map(({ id }) => id));
    if (wanted.some(({ benchId }) => !here.has(benchId)))
      return 'There is no such bench any more. Say under Workshop which ones there are.';
    const kept = await together((records) => records.benches.arrange(wanted, seen));
    return kept === 'changed' ? MEANWHILE : undefined;
  },
);

/** A time that can be promised, as a field takes it and as one says it. */
export interface OfferedTime {
  readonly at: WallTime;
  readonly words: string;
}
export interface OfferedTimes {
  readonly safe?: OfferedTime | undefined;
  readonly tight?: OfferedTime | undefined;
  readonly free?: OfferedTime | undefined;
  /** Why nothing can be promised. */
  readonly none?: string | undefined;
}

const NO_ROOM =
  'No opening of the benches has room for it: say under Workshop, Benches and hours, when they are open.';

const nothing = (): OfferedTimes => ({});

const asked = z.object({
  racketId: z.union([rowId, z.literal('')]),
  frameId: z.union([rowId, z.literal('')]),
  count: z.number().int().min(1).max(20),
});

/** A racket at the counter as the queue would have it. */
async function atTheCounter(open: OpenWorkshop, { racketId, frameId }: z.output<typeof asked>) {
  const day = await dayOf(open, open.workshop);
  const racket = racketId ? await open.rackets.get(racketId) : undefined;
  const id = racket?.frameId ?? frameId;
  const frame = id ? await open.frames.get(id) : undefined;
  const spec = frame?.spec ?? null;
  const untold = { spec, method: null, shortSide: null, crossStart: null };
  const job = dayJob(
    {
      number: 0,
      promised: day.now,
      machineId: null,
      ...untold,
      ...UNARRANGED,
      unsuitedBenchIds: unsuitedFor(untold, day.benches, open.workshop).map(
        ({ benchId }) => benchId,
      ),
    },
    day.benches,
    day.past,
  );
  return { day, job };
}

/** What can be promised for what stands at the counter. */
export const offersAtTheCounter = action('take in', nothing, [asked], async (open, question) => {
  const { day, job } = await atTheCounter(open, question);
  const days = daysOf(day);
  if (!days) return {};
  const { safe, tight, free } = offersFor(days, job, question.count);
  const offered = (offer: Offer | undefined): OfferedTime | undefined => {
    if (!offer) return undefined;
    const at = wallOf(offer.at);
    return { at, words: formatWall(at, day.now) };
  };
  const offers = { safe: offered(safe), tight: offered(tight), free: offered(free) };
  return offers.free ? offers : { ...offers, none: NO_ROOM };
});

/** On fewer days than that, a promise is none. */
const HOPELESS = 0.05;

const percent = (share: number): string => `${Math.round(share * 100)} in 100`;

/** What a promise would do to the others, in a sentence; nothing where it does nothing. */
export const whatAPromiseBreaks = action(
  'take in',
  said,
  [asked, textIn],
  async (open, question, text) => {
    const { day, job } = await atTheCounter(open, question);
    const promise = parsePromise(text, day.now);
    const days = daysOf(day);
    if (!promise.ok || !days) return undefined;
    const at = wallMinutes(promise.value);
    if (isShutOn(day.open, at))
      return promise.value.slice(0, 10) === day.now.slice(0, 10)
        ? 'No bench opens any more today: promise another day.'
        : `No bench is open on ${formatDay(promise.value)}: it is strung before, or promise another day.`;
    const { sure, broken } = brokenBy(days, { ...job, promised: at }, question.count);
    if (sure < HOPELESS) return 'That cannot be kept: there is no time left for it before.';
    const others = broken.map(
      ({ number, before, after }) =>
        `ticket ${number} (${percent(before)} now, ${percent(after)} then)`,
    );
    if (others.length > 0) return `Kept only at the cost of ${others.join(', ')}.`;
    return sure < SURE ? `Kept on ${percent(sure)} days: later is better.` : undefined;
  },
);

/** From when on a ticket's racket and string are here; an empty text where they are. */
export const setHereFrom = action(
  'take in',
  said,
  [ticketNumber, textIn],
  async ({ tickets, benches, workshop }, number, text) => {
    const ticket = await tickets.get(number);
    if (!ticket || isOver(ticket)) return 'This ticket is not open any more.';
    if (text.trim() === '') {
      await benches.setHereFrom(ticket.id, null);
      return undefined;
    }
    const from = parsePromise(text, wallTime(new Date(), workshop.timeZone));
    if (!from.ok) return from.problem;
    await benches.setHereFrom(ticket.id, from.value);
    return undefined;
  },
);
