/** What a closed job drew: its holes, the way of its string and its steps, so that later code draws it as it was. */
import { z } from 'zod';
import type { Job } from '../bench/job';
import { bedFrom, type Bed } from '../frame/bed';
import { headOutline, type FrameSpec } from '../frame/frame';
import type { Hole } from '../frame/holes';
import type { Path } from '../path/path';
import {
  placeName,
  type Crossing,
  type HolePlace,
  type Piece,
  type Segment,
} from '../path/segments';
import { endSchema, sideSchema } from '../terms/ends';
import { stringNameSchema } from '../terms/string-name';
import { english } from '../terms/words/english';
import { methodSchema } from '../terms/method';
import { knotRecordSchema, pieceNameSchema } from './record';

const holeSchema = z.object({
  label: z.string(),
  end: endSchema,
  number: z.number(),
  arc: z.number(),
  x: z.number(),
  y: z.number(),
  main: z.number().nullable(),
  cross: z.number().nullable(),
  skipped: z.boolean(),
  tieOff: z.array(sideSchema),
  double: z.boolean(),
  port: z.boolean(),
});

/** `7H left` */
const place = z.string();

const segmentSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('tail'), at: place }),
  z.object({ kind: z.literal('tie-off run'), from: place, to: place }),
  z.object({ kind: z.literal('outside'), from: place, to: place }),
  z.object({
    kind: z.literal('inside'),
    string: stringNameSchema,
    from: place,
    to: place,
    /** The strings that it crosses, in order, and those of them that it lies over. */
    crossed: z.array(stringNameSchema),
    over: z.array(stringNameSchema),
  }),
]);

type SegmentDrawn = z.infer<typeof segmentSchema>;

const pathSchema = z.object({
  method: methodSchema,
  shortSide: sideSchema,
  pieces: z.array(z.object({ name: pieceNameSchema, segments: z.array(segmentSchema) })),
  order: z.array(stringNameSchema),
  crossStart: sideSchema,
  crossFinish: sideSchema,
  crossCount: z.number(),
  crossesFrom: endSchema,
  knots: z.array(
    knotRecordSchema.extend({ from: z.string(), bored: z.boolean(), tiedAfter: z.number() }),
  ),
});

export const drawnSchema = z.object({
  holes: z.array(holeSchema),
  path: pathSchema,
  /** Every step as it was worded, and what the head was set to, N; none where it had no sequence. */
  steps: z.array(z.object({ words: z.string(), pullN: z.number().nullable() })),
});

export type Drawn = z.infer<typeof drawnSchema>;

function segmentDrawn(segment: Segment): SegmentDrawn {
  if (segment.kind === 'tail') return { kind: 'tail', at: placeName(segment.at) };
  const ends = { from: placeName(segment.from), to: placeName(segment.to) };
  if (segment.kind !== 'inside') return { kind: segment.kind, ...ends };
  const { string, crossings } = segment;
  return {
    kind: 'inside',
    string,
    ...ends,
    crossed: crossings.map((each) => each.string),
    over: crossings.filter(({ over }) => over).map((each) => each.string),
  };
}

/**
 * What of a job is kept to draw it again.
 *
 * @example
 * drawnOf(usual.job).path.method // 'two-piece'
 */
export function drawnOf({ bed, plan, sequence }: Job): Drawn {
  const { pieces, knots, order, ...rest } = plan.path;
  return {
    holes: bed.holes.map(({ main, cross, tieOff, ...hole }) => ({
      ...hole,
      main: main ?? null,
      cross: cross ?? null,
      tieOff: [...tieOff],
    })),
    path: {
      ...rest,
      order: [...order],
      pieces: pieces.map(({ name, segments }) => ({ name, segments: segments.map(segmentDrawn) })),
      knots: knots.map(({ from, hole, ...knot }) => ({
        ...knot,
        from: from.label,
        hole: hole.label,
      })),
    },
    steps: sequence.ok
      ? sequence.value.steps.map(({ words, pullN }) => ({
          words: english(words),
          pullN: pullN ?? null,
        }))
      : [],
  };
}

/**
 * The bed and the path as they were drawn; undefined when its head has no outline any more. Nothing is
 * placed, solved or ordered anew.
 *
 * @example
 * redraw(drawnOf(usual.job), usual.spec).path.order.length // 35
 */
export function redraw(
  { holes: kept, path }: Drawn,
  spec: FrameSpec,
): { readonly bed: Bed; readonly path: Path } | undefined {
  const outline = headOutline(spec);
  if (!outline.ok) return undefined;
  const holes = kept.map(({ main, cross, ...hole }): Hole => ({
    ...hole,
    main: main ?? undefined,
    cross: cross ?? undefined,
  }));
  const byLabel = new Map(holes.map((hole) => [hole.label, hole]));
  const holeAt = (label: string): Hole => {
    const hole = byLabel.get(label);
    if (!hole) throw new RangeError(`The record draws no hole ${label}.`);
    return hole;
  };
  const placeAt = (name: string): HolePlace => {
    const [label = '', side] = name.split(' ');
    return { hole: holeAt(label), side: sideSchema.parse(side) };
  };
  const segment = (each: SegmentDrawn): Segment => {
    if (each.kind === 'tail') return { kind: 'tail', at: placeAt(each.at) };
    const ends = { from: placeAt(each.from), to: placeAt(each.to) };
    if (each.kind !== 'inside') return { kind: each.kind, ...ends };
    const crossings = each.crossed.map((string): Crossing => ({
      string,
      over: each.over.includes(string),
    }));
    return { kind: 'inside', string: each.string, ...ends, crossings };
  };
  const skipsAt = (end: Hole['end']) =>
    holes
      .filter((hole) => hole.end === end && hole.skipped)
      .map(({ number }) => number)
      .sort((a, b) => a - b);
  return {
    bed: bedFrom(spec, outline.value, holes, { head: skipsAt('head'), throat: skipsAt('throat') }),
    path: {
      ...path,
      pieces: path.pieces.map(({ name, segments }): Piece => ({
        name,
        segments: segments.map(segment),
      })),
      knots: path.knots.map(({ from, hole, ...knot }) => ({
        ...knot,
        from: holeAt(from),
        hole: holeAt(hole),
      })),
    },
  };
}
