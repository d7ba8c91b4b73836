/** A frame as an open document: one JSON object, versioned, with what can be derived left out. */
import { z } from 'zod';
import { checkFrame } from '@/core/frame/contradictions';
import { frameSpecSchema, NOTHING_SAID, type FrameField, type FrameSpec } from '@/core/frame/frame';
import type { End } from '@/core/terms/ends';
import { textIn } from '@/core/measure/typed';

export const FRAME_FORMAT = 'orthotens-frame/1';

const spec = frameSpecSchema.shape;
const holes = spec.holes.shape;
const stringing = spec.stringing.shape;
const endOfHoles = z.strictObject({
  skip: holes.head.shape.skip
    .optional()
    .describe(
      'Holes among the mains that crosses take, counted from the centre line; left out or null when not read.',
    ),
  outermost: holes.head.shape.outermost
    .optional()
    .describe('The hole of the outermost main, counted on its own.'),
});

export const frameDocumentSchema = z
  .strictObject({
    format: z.literal(FRAME_FORMAT),
    name: textIn.trim().min(1).max(120),
    sport: spec.sport,
    head: z.strictObject({
      lengthMm: spec.head.shape.lengthMm.describe('Inside of the head, tip to throat.'),
      widthMm: spec.head.shape.widthMm.describe('Inside of the head, side to side.'),
      outline: spec.head.shape.outline
        .optional()
        .describe('Oval when left out; or widths measured below the tip.'),
    }),
    pattern: z.strictObject(spec.pattern.shape),
    bridgeHoles: spec.bridgeHoles
      .optional()
      .describe('Holes in the throat bridge, both sides together.'),
    tension: z
      .strictObject(spec.tension.unwrap().shape)
      .nullable()
      .optional()
      .describe('The range printed in the throat.'),
    holes: z
      .strictObject({
        head: endOfHoles.optional(),
        throat: endOfHoles.optional(),
        shared: holes.shared.optional().describe('Holes that take a main and a cross: 9H.'),
        tieOff: holes.tieOff
          .optional()
          .describe('Holes bored for a knot: 8T on both sides, 8TL or 8TR on one.'),
        double: holes.double.optional().describe('Grommets with two barrels.'),
        ports: holes.ports.optional().describe('Open ports or bars in place of grommets.'),
        positionsMm: holes.positionsMm
          .optional()
          .describe(
            'Every hole of one half from the head to the throat: distances along the inside of the rim from the middle of the head; or points [from the centre line, below the inside of the tip]; or rows of a ruler.',
          ),
      })
      .optional(),
    stringing: z
      .strictObject({
        mainsStart: stringing.mainsStart.optional(),
        methods: stringing.methods.optional(),
        crossesFrom: stringing.crossesFrom.optional(),
        reversedOuterMains: stringing.reversedOuterMains.optional(),
        stepDown: z.strictObject(stringing.stepDown.unwrap().shape).nullable().optional(),
        notes: stringing.notes
          .unwrap()
          .optional()
          .describe(
            'What is to be remembered at the bench, line by line; a line may begin with mount:, mains:, crosses: or knots:.',
          ),
      })
      .optional(),
    ownerInsists: spec.ownerInsists
      .optional()
      .describe('Strung although its head is beyond the federation’s limits.'),
  })
  .meta({ title: 'A racket frame', description: 'Lengths in millimetres, inside the head.' });

export type FrameDocument = z.infer<typeof frameDocumentSchema>;

export interface NamedFrame {
  readonly name: string;
  readonly spec: FrameSpec;
}

/** What a document says, with everything that it leaves out filled in as not known. */
export function frameOf(document: FrameDocument): NamedFrame {
  const { name, sport, head, pattern, bridgeHoles, tension, holes: said, ownerInsists } = document;
  const end = (which: End) => ({
    skip: said?.[which]?.skip?.toSorted((a, b) => a - b) ?? null,
    outermost: said?.[which]?.outermost ?? null,
  });
  const { stringing: how } = document;
  return {
    name,
    spec: {
      sport,
      head: { ...head, outline: head.outline ?? 'oval' },
      pattern,
      bridgeHoles: bridgeHoles ?? null,
      tension: tension ?? null,
      holes: {
        head: end('head'),
        throat: end('throat'),
        shared: said?.shared ?? [],
        tieOff: said?.tieOff ?? [],
        double: said?.double ?? [],
        ports: said?.ports ?? [],
        positionsMm: said?.positionsMm ?? null,
      },
      stringing: { ...NOTHING_SAID, ...how, notes: how?.notes ?? '' },
      ownerInsists: ownerInsists ?? false,
    },
  };
}

/** A frame written down, with what is not known or follows anyway left out. */
export function documentOf({ name, spec: frame }: NamedFrame): FrameDocument {
  const { sport, head, pattern, bridgeHoles, tension, holes: all, stringing: how } = frame;
  const some = (labels: string[]) => (labels.length > 0 ? labels : undefined);
  const end = ({ skip, outermost }: FrameSpec['holes']['head']) =>
    skip === null && outermost === null
      ? undefined
      : { skip: skip ?? undefined, outermost: outermost ?? undefined };
  const document: FrameDocument = {
    format: FRAME_FORMAT,
    name,
    sport,
    head,
    pattern,
    bridgeHoles: bridgeHoles ?? undefined,
    tension: tension ?? undefined,
    holes: {
      head: end(all.head),
      throat: end(all.throat),
      shared: some(all.shared),
      tieOff: some(all.tieOff),
      double: some(all.double),
      ports: some(all.ports),
      positionsMm: all.positionsMm ?? undefined,
    },
    stringing: {
      mainsStart: how.mainsStart ?? undefined,
      methods: how.methods.length > 0 ? how.methods : undefined,
      crossesFrom: how.crossesFrom ?? undefined,
      reversedOuterMains: how.reversedOuterMains || undefined,
      stepDown: how.stepDown ?? undefined,
      notes: how.notes || undefined,
    },
    ownerInsists: frame.ownerInsists || undefined,
  };
  // Through JSON, so that what is undefined is left out and not written as such.
  return frameDocumentSchema.parse(JSON.parse(JSON.stringify(document)));
}

/** The published JSON Schema of a frame document, as docs/formats/frame.schema.json holds it. */
export const frameJsonSchema = (): unknown =>
  z.toJSONSchema(frameDocumentSchema, { io: 'input', target: 'draft-2020-12' });

/** Where a field of a frame stands in its document. */
const PLACE: Record<FrameField, readonly string[]> = {
  lengthMm: ['head', 'lengthMm'],
  widthMm: ['head', 'widthMm'],
  outline: ['head', 'outline'],
  mains: ['pattern', 'mains'],
  crosses: ['pattern', 'crosses'],
  bridgeHoles: ['bridgeHoles'],
  headSkip: ['holes', 'head', 'skip'],
  throatSkip: ['holes', 'throat', 'skip'],
  headOutermost: ['holes', 'head', 'outermost'],
  throatOutermost: ['holes', 'throat', 'outermost'],
  shared: ['holes', 'shared'],
  tieOff: ['holes', 'tieOff'],
  double: ['holes', 'double'],
  ports: ['holes', 'ports'],
  headMm: ['holes', 'positionsMm'],
  sideMm: ['holes', 'positionsMm'],
  throatMm: ['holes', 'positionsMm'],
  stepDown: ['stringing', 'stepDown'],
  mainsStart: ['stringing', 'mainsStart'],
  reversedOuterMains: ['stringing', 'reversedOuterMains'],
};

interface DocumentProblem {
  readonly path: readonly PropertyKey[];
  readonly reason: string;
}

export type ReadDocument =
  | { readonly ok: true; readonly frame: NamedFrame }
  | { readonly ok: false; readonly problems: readonly DocumentProblem[] };

/** Reads any JSON value as a frame document: its shape, then whether its facts hold together. */
export function readDocument(value: unknown): ReadDocument {
  const read = frameDocumentSchema.safeParse(value);
  if (!read.success)
    return {
      ok: false,
      problems: read.error.issues.map(({ path, message, code }) => ({
        path,
        reason: `${path.length > 0 ? `${path.join('.')}: ` : ''}${
          code === 'invalid_value' && path[0] === 'format'
            ? `a frame document starts with "format": "${FRAME_FORMAT}"`
            : message
        }`,
      })),
    };
  const frame = frameOf(read.data);
  const { tension } = frame.spec;
  if (tension && tension.min > tension.max)
    return {
      ok: false,
      problems: [
        {
          path: ['tension'],
          reason: 'tension: the lower figure of the range is min, the higher max',
        },
      ],
    };
  const checked = checkFrame(frame.spec);
  if (!checked.ok)
    return {
      ok: false,
      problems: checked.problems.map(({ field, problem }) => ({
        path: PLACE[field],
        reason: problem,
      })),
    };
  return { ok: true, frame };
}
