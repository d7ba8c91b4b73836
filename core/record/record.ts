/** What a closed job keeps for ever, whatever later happens to the library it was made from. */
import { z } from 'zod';
import { handNamesSchema, type TicketHandNames } from './hands';
import { closingSchema, type Closing } from './closing';
import { asStrungSchema, type AsStrung } from './as-strung';
import { keptPulls, type KeptPlans } from '../bench/kept-plan';
import type { BenchLog } from '../bench/log';
import { stepGroupSchema, timedParts, type Hand } from '../bench/times';
import { coveredHoles } from '../path/covered-holes';
import { adviceRecordSchema, type AdviceRecord } from '../advice/record';
import { frameSpecSchema } from '../frame/frame';
import { difference, type Difference } from '../cut/learning';
import { cutAssumptionsSchema } from '../cut/lengths';
import { inspectionSchema, type Inspection } from '../counter/inspection';
import { jobPriceSchema, type JobPrice } from '../counter/price';
import { methodSchema } from '../terms/method';
import { mishapWords } from '../bench/mishap';
import { english } from '../terms/words/english';
import { endSchema, sideSchema } from '../terms/ends';
import { cutSourceSchema } from '../cut/plan';
import { jobStringSchema } from '../strings/job-string';
import type { Job } from '../bench/job';
import type { Sequence } from '../bench/sequence';
import type { Sport } from '../terms/sport';
import { stringNameSchema } from '../terms/string-name';
import { tensionUnitSchema } from '../measure/units';
import { coverWords } from '../cut/wording';

export const pieceNameSchema = z.enum(['mains', 'crosses', 'whole']);

const pieceRecordSchema = z.object({
  name: pieceNameSchema,
  cutMm: z.number(),
  /** What the parts add up to without what past jobs had taught. */
  rawCutMm: z.number(),
  /** What the plan expected to be cut off again. */
  leftMm: z.number(),
  /** What it was cut from; the cut itself off a reel. */
  givenMm: z.number(),
  /** What really was left over, when somebody measured it. */
  leftOverMm: z.number().nullable(),
  parts: z.array(z.object({ name: z.string(), mm: z.number() })),
});

export type PieceRecord = z.infer<typeof pieceRecordSchema>;

/** What is asked of the pieces of many jobs at once. */
export const shortPieceSchema = pieceRecordSchema.omit({ parts: true });
export type ShortPiece = z.infer<typeof shortPieceSchema>;

export const timedSchema = z.array(
  z.object({ group: stepGroupSchema, expectedS: z.number(), tookS: z.number() }),
);

/** What really happened at the bench. */
const benchRecordSchema = z.object({
  /** Pauses left out. */
  minutes: z.number(),
  /** Steps that were kept as they were done, of all there are; null in records of before they were counted. */
  steps: z.object({ kept: z.number(), of: z.number() }).nullable().default(null),
  /** The pull of each string as it was set, and as the head measured it where one was linked, N. */
  pulls: z.array(
    z.object({ string: z.string(), askedN: z.number(), pulledN: z.number().nullable() }),
  ),
  notes: z.array(z.object({ step: z.string(), text: z.string() })),
  mishaps: z.array(z.object({ step: z.string(), what: z.string(), way: z.string() })),
  /** What the parts of the job were expected to take and did take, s; teaches the next promise. */
  timed: timedSchema,
  /** How far one side was ahead of the other at most, N. */
  imbalanceN: z.number(),
});

export type BenchRecord = z.infer<typeof benchRecordSchema>;

export const knotRecordSchema = z.object({
  string: stringNameSchema,
  ties: z.enum(['main', 'cross']),
  end: endSchema,
  side: sideSchema,
  /** Its label, `8H`. */
  hole: z.string(),
});

export const jobRecordSchema = z.object({
  client: z.string(),
  racket: z.object({ frameName: z.string(), mark: z.string() }),
  frame: frameSpecSchema,
  setup: z.object({
    mains: jobStringSchema,
    crosses: jobStringSchema,
    mainN: z.number(),
    crossN: z.number(),
    unit: tensionUnitSchema,
  }),
  /** What was advised; null when nobody asked, or nobody kept it yet. */
  advice: adviceRecordSchema.nullable().default(null),
  plan: z.object({
    method: methodSchema,
    shortSide: sideSchema,
    crossStart: sideSchema,
    cutFrom: cutSourceSchema,
    remnantsMm: z.array(z.number()),
    assumptions: cutAssumptionsSchema,
    mainsStart: endSchema,
    mainsFinish: endSchema,
    skips: z.object({ head: z.array(z.number()), throat: z.array(z.number()) }),
    knots: z.array(knotRecordSchema),
    /** Holes that were covered, in words. */
    covered: z.array(z.string()),
    pieces: z.array(pieceRecordSchema),
  }),
  /** Null when it was strung without the bench view. */
  bench: benchRecordSchema.nullable().default(null),
  /** The same with what a bench without a connection sent after the job was closed; null when nothing came. */
  late: benchRecordSchema.nullable().default(null),
  remarks: z.string(),
  /** Whose hands it went through; null for a job of before people signed in. */
  hands: handNamesSchema.nullable().default(null),
  /** What was seen when it came in; null when nobody looked, or it was not kept yet. */
  inspection: inspectionSchema.nullable().default(null),
  /** What it cost, line by line; null for a job of before lines were kept. */
  price: jobPriceSchema.nullable().default(null),
  /** The machine it was strung on; null for any. */
  machine: z.string().nullable().default(null),
  /** What was set on the dial of its machine for its tension, N, by the last check; null where the aim itself was. */
  dial: z.object({ mainN: z.number(), crossN: z.number() }).nullable().default(null),
  /** What was answered before it was closed; null for a job of before anything was asked. */
  closing: closingSchema.nullable().default(null),
  /** What is in it where strings were pulled at other figures than the setup says; null where all are as it says. */
  strung: asStrungSchema.nullable().default(null),
});

export type JobRecord = z.infer<typeof jobRecordSchema>;

interface RecordFacts {
  readonly job: Job;
  readonly client: string;
  readonly racket: JobRecord['racket'];
  readonly advice: AdviceRecord | null;
  /** Tails left over, by piece in the order of the plan; null where nobody measured. */
  readonly leftOverMm: readonly (number | null)[];
  readonly bench: BenchRecord | null;
  readonly remarks: string;
  readonly hands: TicketHandNames | null;
  readonly inspection: Inspection | null;
  readonly price: JobPrice | null;
  readonly machine: string | null;
  readonly dial: JobRecord['dial'];
  readonly closing: Closing | null;
  readonly strung: AsStrung | null;
}

/**
 * What a job's events at the bench leave for its record; null when nothing was kept there. Only steps
 * that were gone through one by one, in a plan that is known, count, each with the figures of its own plan:
 * a pull that nobody made is never listed.
 *
 * @param plans the plans that the steps were counted in, this sequence's among them
 *
 * @example
 * recordBench(usual.sequence, { kept: new Map(), notes: [], mishaps: [] }, new Map(), 'tennis', 'practised') // null
 */
export function recordBench(
  { steps, imbalanceN }: Sequence,
  log: BenchLog,
  plans: KeptPlans,
  sport: Sport,
  hand: Hand,
): BenchRecord | null {
  const isKept = (step: number) => plans.has(log.kept.get(step) ?? '');
  const kept = steps.filter((_, i) => isKept(i)).length;
  if (log.kept.size + log.notes.length + log.mishaps.length === 0) return null;
  const wordsAt = (step: number) =>
    steps[step] ? english(steps[step].words) : 'after the last step';
  return {
    minutes: Math.round(log.workedMs / 60_000),
    steps: { kept, of: steps.length },
    pulls: keptPulls(log, plans).map(({ string, askedN, step }) => ({
      string,
      askedN,
      pulledN: log.pulled.get(step) ?? null,
    })),
    notes: log.notes.map(({ step, text }) => ({ step: wordsAt(step), text })),
    mishaps: log.mishaps.map(({ step, mishap, string, way }) => ({
      step: wordsAt(step),
      what: string === undefined ? mishapWords(mishap) : `${mishapWords(mishap)}: ${string}`,
      way,
    })),
    timed: [
      ...timedParts(steps, new Map([...log.tookMs].filter(([step]) => isKept(step))), sport, hand),
    ],
    imbalanceN,
  };
}

/**
 * The record of a job: what it was made from, and the plan as it was worked out for it.
 *
 * @example
 * recordJob({ job: usual.job, client: 'A client', racket: { frame: 'A frame', mark: '' }, advice: null, leftOverMm: [700, null], bench: null, remarks: '', hands: null, inspection: null, price: null, machine: null, dial: null, closing: null, strung: null }).client // 'A client'
 */
export function recordJob({
  job,
  client,
  racket,
  advice,
  leftOverMm,
  bench,
  remarks,
  hands,
  inspection,
  price,
  machine,
  dial,
  closing,
  strung,
}: RecordFacts): JobRecord {
  const { bed, mains, crosses, tension, assumptions, learnt, cutFrom, remnantsMm } = job;
  const { path, pieces } = job.plan;
  const supplied = job.supply.pieces;
  return {
    client,
    racket,
    frame: bed.spec,
    setup: { mains, crosses, ...tension },
    advice,
    plan: {
      method: path.method,
      shortSide: path.shortSide,
      crossStart: path.crossStart,
      cutFrom,
      remnantsMm: [...remnantsMm],
      assumptions,
      mainsStart: bed.mainsStart,
      mainsFinish: bed.mainsFinish,
      skips: { head: [...bed.skips.head], throat: [...bed.skips.throat] },
      knots: path.knots.map(({ string, ties, end, side, hole }) => ({
        string,
        ties,
        end,
        side,
        hole: hole.label,
      })),
      covered: coveredHoles(bed, path).map(coverWords),
      pieces: pieces.map(({ name, cutMm, leftMm, parts }, i) => ({
        name,
        cutMm,
        rawCutMm: cutMm - (learnt[name]?.mm ?? 0),
        leftMm,
        givenMm: supplied[i]?.givenMm ?? cutMm,
        leftOverMm: leftOverMm[i] ?? null,
        parts: parts.map((part) => ({ ...part })),
      })),
    },
    bench,
    late: null,
    remarks,
    hands,
    inspection,
    price,
    machine,
    dial,
    closing,
    strung,
  };
}

/**
 * How a piece of a past job differed from its plan, mm; nothing when nobody measured its tails.
 *
 * @example
 * pieceDifference({ name: 'mains', cutMm: 6100, leftOverMm: null }) // undefined
 */
export const pieceDifference = (piece: ShortPiece): Difference | undefined =>
  piece.leftOverMm === null
    ? undefined
    : difference({ givenMm: piece.givenMm, leftOverMm: piece.leftOverMm }, piece);
