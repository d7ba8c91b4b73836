/** What is known of a frame: enough to draw its bed, number its holes and plan its strings. */
import type { Newtons } from '../measure/quantities';
import { z } from 'zod';
import { beyondFederationLimits } from './federation';
import { methodSchema } from '../terms/method';
import { MOST_IN_ROW, MOST_WIDTHS } from '../measure/parsing';
import { noteText } from '../measure/typed';
import { endSchema } from '../terms/ends';
import {
  familyOutline,
  measuredOutline,
  outlineFamilySchema,
  strungArea,
  type Outline,
} from './outline';
import { failure, refusal, success, type Refusal, type Result } from '../terms/result';
import { sportSchema } from '../terms/sport';
import { newtons, tensionUnitSchema } from '../measure/units';

const mm = z.number().positive().max(1000);
const holeNumber = z.number().int().min(1).max(99);
/** `7H`: hole 7 at the head, on both sides. */
const holeLabel = z.string().regex(/^[1-9]\d?[HT]$/);
/** `8T` on both sides, `8TL` or `8TR` on one only. */
const sidedLabel = z.string().regex(/^[1-9]\d?[HT][LR]?$/);
const row = z.array(mm).max(MOST_IN_ROW);

/** A list in which each stands once: a hole that is named twice is a slip, and one of the two is lost in silence. */
const once = <T extends z.ZodType>(each: T, most: number) =>
  z
    .array(each)
    .max(most)
    .refine((list) => new Set(list).size === list.length, 'A hole stands there twice.')
    .meta({ uniqueItems: true });

/** Crosses among the mains of one end, at most. Common practice: none to four. */
export const MOST_SKIPS = 7;

/**
 * Where all holes of a half lie, in one of three ways: along the inside of the rim from the middle
 * of the head; as points, from the centre line and below the inside of the tip; or as rows read
 * off a ruler, at head and throat from the centre line outwards, along the side below the tip.
 */
const holePositionsSchema = z.union([
  z.array(mm).min(8).max(99),
  z
    .array(z.tuple([mm, mm]))
    .min(8)
    .max(99),
  z.object({ head: row, side: row, throat: row }),
]);

export type HolePositions = z.infer<typeof holePositionsSchema>;

const endHolesSchema = z.object({
  /** Hole numbers among the mains that stay empty for crosses; null when nobody has read them yet. */
  skip: once(holeNumber, 20)
    .overwrite((skips) => skips.toSorted((a, b) => a - b))
    .nullable(),
  /** The hole of the outermost main, counted on its own as a check on the skips; null when it was not. */
  outermost: holeNumber.nullable(),
});

export const frameSpecSchema = z.object({
  sport: sportSchema,
  head: z.object({
    /** Inside of the head, tip to throat and side to side. */
    lengthMm: mm,
    widthMm: mm,
    outline: z.union([
      outlineFamilySchema,
      z
        .array(z.object({ fromHeadMm: mm, widthMm: mm }))
        .min(3)
        .max(MOST_WIDTHS),
    ]),
  }),
  pattern: z.object({ mains: z.number().int(), crosses: z.number().int() }),
  /** Holes in the throat bridge, both sides together; null when nobody has counted them. */
  bridgeHoles: z.number().int().nullable(),
  /** The range printed in the throat. */
  tension: z
    .object({ min: z.number().positive(), max: z.number().positive(), unit: tensionUnitSchema })
    .nullable(),
  holes: z.object({
    head: endHolesSchema,
    throat: endHolesSchema,
    /** Those that take a main and a cross. */
    shared: once(holeLabel, 30),
    /** Those bored for a knot. */
    tieOff: once(sidedLabel, 30),
    /** Two barrels in one grommet. */
    double: once(holeLabel, 60),
    /** Open ports, or a bar that the string hooks round, in place of a grommet. */
    ports: once(holeLabel, 60),
    positionsMm: holePositionsSchema.nullable(),
  }),
  /** What the maker says of stringing it. */
  stringing: z.object({
    /** Null goes by the holes of the bridge. */
    mainsStart: endSchema.nullable(),
    /** The methods that the maker names; none when nothing is said. */
    methods: z.array(methodSchema),
    /** The end that the crosses start from; null is the head. */
    crossesFrom: endSchema.nullable(),
    /** The two outermost mains of a side are strung in the other order. */
    reversedOuterMains: z.boolean(),
    /** The outermost strings of a very large head are each pulled this much lower than the one inside. */
    stepDown: z
      .object({
        strings: z.number().int().min(1).max(6),
        by: z.number().positive(),
        unit: tensionUnitSchema,
      })
      .nullable(),
    /** What is to be remembered at the bench, line by line: `mount: adaptor for the sides`. */
    notes: noteText.default(''),
  }),
  /** The owner knows that the head is beyond the federation's limits and wants it strung. */
  ownerInsists: z.boolean(),
});

export type FrameSpec = z.infer<typeof frameSpecSchema>;

/** Of a frame whose maker says nothing on how to string it. */
export const NOTHING_SAID: FrameSpec['stringing'] = {
  mainsStart: null,
  methods: [],
  crossesFrom: null,
  reversedOuterMains: false,
  stepDown: null,
  notes: '',
};

/** The field of a frame that a sentence belongs to. */
export type FrameField =
  | 'lengthMm'
  | 'widthMm'
  | 'outline'
  | 'mains'
  | 'crosses'
  | 'bridgeHoles'
  | 'headSkip'
  | 'throatSkip'
  | 'headOutermost'
  | 'throatOutermost'
  | 'shared'
  | 'tieOff'
  | 'double'
  | 'ports'
  | 'headMm'
  | 'sideMm'
  | 'throatMm'
  | 'mainsStart'
  | 'stepDown'
  | 'reversedOuterMains';

/** What cannot be, at the field that it is about. */
export interface FrameProblem extends Refusal {
  readonly field: FrameField;
}

/**
 * The inside of the head, or why these figures do not make one.
 *
 * @example
 * headOutline(usual.spec).ok // true
 */
export function headOutline({ head }: FrameSpec): Result<Outline> {
  if (typeof head.outline === 'string')
    return success(familyOutline(head.lengthMm, head.widthMm, head.outline));
  const outline = measuredOutline(head.lengthMm, head.outline);
  if (outline.ok && Math.abs(outline.value.widthMm - head.widthMm) > 0.05 * head.widthMm)
    return failure('outline.other width', {
      measured: Math.round(outline.value.widthMm),
      said: head.widthMm,
    });
  return outline;
}

/** The head's size against the federation's limits, or nothing when it is legal. */
export const limitsProblem = (spec: FrameSpec, outline: Outline): Refusal | undefined =>
  beyondFederationLimits(spec.sport, {
    lengthMm: spec.head.lengthMm,
    widthMm: spec.head.widthMm,
    areaMm2: strungArea(outline),
  });

/**
 * The printed range in newtons, or nothing when none is known.
 *
 * @example
 * printedRange(usual.spec) // undefined
 */
export const printedRange = ({
  tension,
}: FrameSpec): { readonly minN: Newtons; readonly maxN: Newtons } | undefined =>
  tension
    ? { minN: newtons(tension.min, tension.unit), maxN: newtons(tension.max, tension.unit) }
    : undefined;

/** What is wrong with the size of the head and the pattern alone. */
export function sizeProblems({ head, pattern, bridgeHoles }: FrameSpec): readonly FrameProblem[] {
  const problems: FrameProblem[] = [];
  const add = (field: FrameField, why: Refusal) => problems.push({ field, ...why });
  if (head.lengthMm < 150) add('lengthMm', refusal('frame.short'));
  if (head.widthMm < 100) add('widthMm', refusal('frame.narrow'));
  if (head.widthMm > head.lengthMm)
    add(
      'widthMm',
      refusal('frame.wider than long', { widthMm: head.widthMm, lengthMm: head.lengthMm }),
    );
  const { mains, crosses } = pattern;
  if (mains % 2 === 1)
    add('mains', refusal('frame.odd mains', { fewer: mains - 1, more: mains + 1, mains }));
  else if (mains < 8 || mains > 26) add('mains', refusal('frame.mains beyond'));
  if (crosses < 8 || crosses > 30) add('crosses', refusal('frame.crosses beyond'));
  if (bridgeHoles !== null && (bridgeHoles % 2 === 1 || bridgeHoles < 2 || bridgeHoles > mains))
    add('bridgeHoles', refusal('frame.bridge beyond', { mains }));
  return problems;
}
