/** Everything that a racket's frame and its last job say, before a ticket of it is written. */
import { studied } from '@/app/studied';
import type { OpenHouse } from '@/app/identity/at-work';
import type { ShelfString } from '@/core/advice/shelf';
import type { CrossesEnd, LastJob } from '@/core/advice/rule';
import type { Talk } from '@/core/advice/talk';
import { assumedOn, type CutAssumptions } from '@/core/cut/lengths';
import type { Learnt } from '@/core/cut/plan';
import type { Bed } from '@/core/frame/bed';
import { rulesOf, type HouseRules } from '@/core/house/house-rules';
import { ticketEntry, type TensionUnit } from '@/core/measure/units';
import { lastJobOf } from '@/core/record/last-job';
import { isHybrid } from '@/core/strings/job-string';
import type { Frame } from '@/db/frames';
import type { StringRow } from '@/db/strings';
import type { ListedTicket } from '@/db/tickets';
import { crossesEndOf } from '../tickets/[number]/load/hoop-of';
import { rememberedTalk } from '../tickets/[number]/setup/shown-setup';
import { NO_STRINGS, type StringsEntry } from '../tickets/[number]/setup/strings-entry';
import { stringsToChoose } from '../tickets/[number]/setup/strings-to-choose';
import { lastJobOn, learntFor } from '../tickets/[number]/ticket';
import type { LastCut } from './usual-cut';

/** Which racket is meant: one that is known, or a new one of a frame of the library. */
export interface MeantRacket {
  readonly racketId: string;
  readonly frameId: string;
  readonly clientId: string;
  /** Number of the job that it repeats; empty goes by the last one. */
  readonly again: string;
  /** Number of the open ticket that it is on already; empty while there is none. */
  readonly ticket: string;
}

/** Of a frame that can be strung. */
export interface KnownBed {
  readonly frame: Frame;
  readonly bed: Bed;
  /** What is not sure of the frame. */
  readonly doubts: readonly string[];
  readonly unit: TensionUnit;
  readonly talk: Talk;
  /** Steps of the advice that were switched by hand at Setup. */
  readonly switched: Readonly<Record<string, boolean>>;
  readonly house: HouseRules;
  readonly record: LastJob | undefined;
  readonly crossesEnd: CrossesEnd | undefined;
  readonly learnt: Learnt;
  readonly assumptions: CutAssumptions;
  /** As its ticket is to be cut, else as the job before was; left out where neither is known. */
  readonly cut: LastCut | undefined;
  /** What it was strung with last time; left out where nothing is on record. */
  readonly last: StringsEntry | undefined;
  /** Strings of it, or of its ticket, that the library has no more. */
  readonly gone: readonly StringRow[];
}

/** Only what is asked of a cut: a ticket is long. */
const lastCut = (ticket: ListedTicket | undefined): LastCut | undefined =>
  ticket && {
    method: ticket.method,
    shortSide: ticket.shortSide,
    crossStart: ticket.crossStart,
    cutFrom: ticket.cutFrom,
    machineId: ticket.machineId,
  };

function lastOf(before: ListedTicket | undefined): StringsEntry | undefined {
  if (!before?.record || !before.mainStringId || !before.crossStringId) return undefined;
  const { setup } = before.record;
  const hybrid = isHybrid(setup);
  return {
    ...NO_STRINGS,
    mainStringId: before.mainStringId,
    mainGauge: setup.mains.gaugeMm.toFixed(2),
    mainSupplied: setup.mains.suppliedByClient,
    hybrid,
    ...(hybrid && {
      crossStringId: before.crossStringId,
      crossGauge: setup.crosses.gaugeMm.toFixed(2),
      crossSupplied: setup.crosses.suppliedByClient,
    }),
    // What is in the racket, where it was changed at the bench.
    tension: ticketEntry(lastJobOf(before.record).tension),
  };
}

/** The strings of some tickets that were removed from the library since, each once. */
async function goneFrom(
  { strings }: Pick<OpenHouse, 'strings'>,
  tickets: readonly (ListedTicket | undefined)[],
): Promise<readonly StringRow[]> {
  const ids = tickets.flatMap((ticket) => [ticket?.mainStringId, ticket?.crossStringId]);
  const known = [...new Set(ids.filter((id) => id !== null && id !== undefined))];
  const rows = await Promise.all(known.map((id) => strings.get(id)));
  return rows.flatMap((row) => (row?.removedAt ? [row] : []));
}

/** The bed of a racket with what is known of it; nothing where its frame is not known, or cannot be strung. */
export async function knownBed(
  open: OpenHouse,
  { racketId, frameId, clientId, again, ticket }: MeantRacket,
): Promise<KnownBed | undefined> {
  const { workshop, rackets, frames, clients, tickets, machines } = open;
  const racket = racketId ? await rackets.get(racketId) : undefined;
  const id = racket ? racket.frameId : frameId;
  const frame = id ? await frames.get(id) : undefined;
  // A racket keeps its frame also when the library has it no more.
  const study = frame && (racket || !frame.removedAt) ? studied(frame.spec) : undefined;
  if (!frame || !study?.bed) return undefined;
  // What was said and settled at Setup stands before what is remembered.
  const on = ticket ? await tickets.get(Number(ticket)) : undefined;
  const advice = on?.advice;
  const house = advice?.house ?? rulesOf(workshop);
  const [client, history, all, learnt] = await Promise.all([
    racket?.clientId || clientId ? clients.get(racket?.clientId ?? clientId) : undefined,
    racket ? tickets.lastOfRacket(racket.id, 3) : [],
    machines.all(),
    learntFor({ frame }),
  ]);
  const repeated = again ? await tickets.get(Number(again)) : undefined;
  const before =
    repeated?.record && repeated.racketId === racket?.id
      ? repeated
      : history.find(({ record }) => record);
  const machine =
    all.find((each) => each.id === before?.machineId) ?? (all.length === 1 ? all[0] : undefined);
  return {
    frame,
    bed: study.bed,
    doubts: [...study.cautions, ...study.assumed],
    unit: client?.tensionUnit ?? workshop.tensionUnit,
    talk: advice?.talk ?? (await rememberedTalk(client, racket?.id)),
    switched: advice?.switched ?? {},
    house,
    record: racket ? await lastJobOn(racket.id) : undefined,
    crossesEnd: crossesEndOf(frame.spec, frame.hoopFactor, house),
    learnt,
    assumptions: assumedOn(workshop.cutAssumptions, machine),
    cut: lastCut(on?.method ? on : before),
    last: lastOf(before),
    gone: await goneFrom(open, [before, on]),
  };
}

/** A bed, and the strings of the library that it can be strung with. */
export type BedToString = KnownBed & {
  readonly strings: readonly (StringRow & ShelfString)[];
};

/** The same with the strings to choose from. */
export async function bedToString(
  open: OpenHouse,
  meant: MeantRacket,
): Promise<BedToString | undefined> {
  const known = await knownBed(open, meant);
  return known && { ...known, strings: await stringsToChoose(open, known.frame.sport) };
}
