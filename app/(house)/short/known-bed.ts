/** Everything that a racket's frame and its last job say, before a ticket of it is written. */
import { studied } from '@/app/studied';
import type { OpenHouse } from '@/app/identity/at-work';
import type { CrossesEnd, LastJob } from '@/core/advice/rule';
import type { Talk } from '@/core/advice/talk';
import { learnFrom } from '@/core/cut/learning';
import type { CutAssumptions } from '@/core/cut/lengths';
import type { Learnt } from '@/core/cut/plan';
import type { Bed } from '@/core/frame/bed';
import { USUAL_HOUSE, type HouseRules } from '@/core/house/house-rules';
import { ticketEntry, type TensionUnit } from '@/core/measure/units';
import { lastJobOf } from '@/core/record/last-job';
import { isHybrid } from '@/core/strings/job-string';
import type { Frame } from '@/db/frames';
import type { StringRow } from '@/db/strings';
import type { ListedTicket } from '@/db/tickets';
import type { Workshop } from '@/db/workshop';
import { crossesEndOf } from '../tickets/[number]/load/hoop-of';
import { rememberedTalk } from '../tickets/[number]/setup/shown-setup';
import { NO_STRINGS, type StringsEntry } from '../tickets/[number]/setup/strings-entry';
import { lastJobOn } from '../tickets/[number]/ticket';
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
  /** What it was strung with last time; left out where nothing is on record. */
  readonly last:
    | {
        readonly number: number;
        readonly strings: StringsEntry;
        readonly cut: LastCut;
        /** Those of its strings that the library has no more. */
        readonly gone: readonly StringRow[];
      }
    | undefined;
}

/** The rules that a job of today begins with. */
const todaysHouse = ({ houseRules }: Pick<Workshop, 'houseRules'>): HouseRules =>
  houseRules ?? USUAL_HOUSE;

async function lastOf(
  { strings }: Pick<OpenHouse, 'strings'>,
  before: ListedTicket | undefined,
): Promise<KnownBed['last']> {
  if (!before?.record || !before.mainStringId || !before.crossStringId) return undefined;
  const { setup } = before.record;
  const hybrid = isHybrid(setup);
  const ids = [...new Set([before.mainStringId, before.crossStringId])];
  const rows = await Promise.all(ids.map((id) => strings.get(id)));
  return {
    number: before.number,
    cut: before,
    gone: rows.flatMap((row) => (row?.removedAt ? [row] : [])),
    strings: {
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
    },
  };
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
  const study = frame && !frame.removedAt ? studied(frame.spec) : undefined;
  if (!frame || !study?.bed) return undefined;
  // What was said and settled at Setup stands before what is remembered.
  const advice = ticket ? (await tickets.get(Number(ticket)))?.advice : undefined;
  const house = advice?.house ?? todaysHouse(workshop);
  const [client, history, all, past] = await Promise.all([
    racket?.clientId || clientId ? clients.get(racket?.clientId ?? clientId) : undefined,
    racket ? tickets.lastOfRacket(racket.id, 3) : [],
    machines.all(),
    tickets.pastPieces(frame.sport),
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
    learnt: learnFrom(past, frame.id),
    assumptions: machine
      ? { ...workshop.cutAssumptions, gripperMm: machine.gripperMm }
      : workshop.cutAssumptions,
    last: await lastOf(open, before),
  };
}
