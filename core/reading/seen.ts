/** What somebody saw of a finished bed. Whatever was not looked at is null, and proves nothing. */
import { z } from 'zod';
import { endSchema } from '../terms/ends';

/** A bow of less is none, mm. From memory. */
export const STRAIGHT_MM = 1.5;

const bowSchema = <T extends string>(...ways: readonly [T, ...T[]]) =>
  z
    .object({ towards: z.enum(ways), mm: z.number().min(0).max(40) })
    .refine(({ towards, mm }) => towards !== 'neither' || mm < STRAIGHT_MM, {
      error: `a bow of ${STRAIGHT_MM} mm and more goes one way or the other`,
      path: ['mm'],
    });

/** `7HL`: hole 7 at the head, on the left. */
const placeSchema = z.string().regex(/^[1-9]\d?[HT][LR]$/);
/** `M8L`: the eighth main on the left. */
const mainSchema = z.string().regex(/^M[1-9]\d?[LR]$/);

export const AMOUNTS = ['none', 'few', 'many'] as const;
const amount = z.enum(AMOUNTS).nullable();
export const RUNS_SEEN = ['flat', 'crossing', 'leaping'] as const;

export const bedSeenSchema = z.object({
  /** How far the crosses bow at their middle, mm, and towards which end. */
  crossBow: bowSchema('head', 'throat', 'neither').nullable(),
  mainBow: bowSchema('left', 'right', 'neither').nullable(),
  /** Crosses that a finger moves, while their mains are tight. */
  looseCrosses: amount,
  /** Gaps that catch the eye: the one inside of this main, at this end. Empty where all are even. */
  gaps: z
    .array(z.object({ end: endSchema, main: mainSchema, is: z.enum(['wide', 'narrow']) }))
    .max(60)
    .nullable(),
  /** Every knot, and of which string it is; null where both are alike. */
  knots: z
    .array(z.object({ hole: placeSchema, of: z.enum(['mains', 'crosses']).nullable() }))
    .max(12)
    .nullable(),
  /** Mains that are there. */
  mains: z.number().int().min(1).max(30).nullable(),
  /** Mains that are of the crosses’ string; null where both are alike. */
  otherMains: z.array(mainSchema).max(30).nullable(),
  /** Crossings at which the weave does not alternate. */
  weaveFaults: z
    .array(z.object({ cross: z.number().int().min(1).max(40), main: mainSchema }))
    .max(60)
    .nullable(),
  /** Tooth marks and crushed places of clamps. */
  marks: amount,
  /** Notches, and strings that fray or stay out of place. */
  notches: amount,
  /** Runs outside. */
  runs: z.enum(RUNS_SEEN).nullable(),
  /** Pitch of single mains, Hz. */
  mainsHz: z.record(mainSchema, z.number().min(100).max(3000)).nullable(),
  /** Pitch of the bed, and what it should be at the tension that was set, Hz. */
  pitch: z
    .object({ hz: z.number().min(100).max(3000), setHz: z.number().min(100).max(3000) })
    .nullable(),
});
export type BedSeen = z.infer<typeof bedSeenSchema>;

/** Nobody has looked yet. */
export const NOTHING_SEEN: BedSeen = {
  crossBow: null,
  mainBow: null,
  looseCrosses: null,
  gaps: null,
  knots: null,
  mains: null,
  otherMains: null,
  weaveFaults: null,
  marks: null,
  notches: null,
  runs: null,
  mainsHz: null,
  pitch: null,
};
