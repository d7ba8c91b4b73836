/** What a closed job keeps for ever, whatever later happens to the library it was made from. */
import { z } from 'zod';
import type { Bed } from './bed';
import { familySchema } from './family';
import { frameSpecSchema } from './frame';
import { cutAssumptionsSchema, type CutAssumptions, type PieceLength } from './lengths';
import type { Side } from './outline';
import { planCut, type CutSource } from './plan';
import type { TicketTension } from './units';

const stringRecordSchema = z.object({
  name: z.string(),
  family: familySchema,
  gaugeMm: z.number(),
  suppliedByClient: z.boolean(),
  setMm: z.number(),
  stretch: z.number().nullable(),
});

const pieceRecordSchema = z.object({
  cutMm: z.number(),
  parts: z.array(z.object({ name: z.string(), mm: z.number() })),
});

export const cutSourceSchema = z.enum(['one set', 'two half sets', 'reel']) satisfies z.ZodType<
  CutSource['kind']
>;
export type CutSourceKind = CutSource['kind'];

export const sideSchema = z.enum(['left', 'right']);

export const jobRecordSchema = z.object({
  client: z.string(),
  racket: z.object({ frameName: z.string(), mark: z.string() }),
  frame: frameSpecSchema,
  setup: z.object({
    mains: stringRecordSchema,
    crosses: stringRecordSchema,
    mainN: z.number(),
    crossN: z.number(),
    unit: z.enum(['kg', 'lb']),
  }),
  plan: z.object({
    crossStart: sideSchema,
    cutFrom: cutSourceSchema,
    assumptions: cutAssumptionsSchema,
    mainsStart: z.enum(['head', 'throat']),
    mainsFinish: z.enum(['head', 'throat']),
    skips: z.object({ head: z.array(z.number()), throat: z.array(z.number()) }),
    knots: z.array(
      z.object({
        ties: z.enum(['mains', 'crosses']),
        end: z.enum(['head', 'throat']),
        side: sideSchema,
        hole: z.string(),
      }),
    ),
    mains: pieceRecordSchema,
    crosses: pieceRecordSchema,
  }),
  remarks: z.string(),
});

export type JobRecord = z.infer<typeof jobRecordSchema>;

export type StringRecord = z.infer<typeof stringRecordSchema>;

export interface JobFacts {
  readonly client: string;
  readonly racket: JobRecord['racket'];
  readonly bed: Bed;
  readonly mains: StringRecord;
  readonly crosses: StringRecord;
  readonly tension: TicketTension;
  readonly crossStart: Side;
  readonly cutFrom: CutSourceKind;
  readonly assumptions: CutAssumptions;
  readonly remarks: string;
}

/** The record of a job: what it was made from, and the plan as it was worked out for it. */
export function recordJob(facts: JobFacts): JobRecord {
  const { client, racket, bed, mains, crosses, tension, crossStart, cutFrom, assumptions } = facts;
  const plan = planCut(bed, { mains, crosses }, crossStart, assumptions);
  const kept = ({ cutMm, parts }: PieceLength) => ({
    cutMm,
    parts: parts.map((part) => ({ ...part })),
  });
  return {
    client,
    racket,
    frame: bed.spec,
    setup: { mains, crosses, ...tension },
    plan: {
      crossStart,
      cutFrom,
      assumptions,
      mainsStart: bed.mainsStart,
      mainsFinish: bed.mainsFinish,
      skips: { head: [...bed.skips.head], throat: [...bed.skips.throat] },
      knots: plan.path.knots.map(({ piece, end, side, hole }) => ({
        ties: piece,
        end,
        side,
        hole: hole.label,
      })),
      mains: kept(plan.mains),
      crosses: kept(plan.crosses),
    },
    remarks: facts.remarks,
  };
}
