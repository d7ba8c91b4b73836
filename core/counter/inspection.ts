/** What is seen on a racket when it comes in, and when a ticket may go on from there. */
import { z } from 'zod';
import { noteText } from '../measure/typed';
import { listed } from '../terms/listed';

export const FLAWS = ['crack', 'dent', 'warp'] as const;
export const GROMMET_STATES = ['split', 'sunken', 'missing'] as const;
export const WEAR = ['good', 'worn', 'gone'] as const;
/** Where the old string gave way; it shows what wore it. */
export const BREAKS = [
  'not broken',
  'in the middle of the bed',
  'near the frame',
  'at a cross',
  'at a knot',
] as const;
export const NOTCHES = ['none', 'some', 'deep'] as const;

/** Of the file of a photograph, bytes. */
export const MOST_PHOTOGRAPH_BYTES = 12_000_000;

export type GrommetState = (typeof GROMMET_STATES)[number];

const line = z.string().max(400);

export const inspectionSchema = z.object({
  frame: z.array(z.object({ what: z.enum(FLAWS), where: line })).max(20),
  /** By place, `7H left`, or in words where no frame is known. */
  grommets: z.array(z.object({ hole: z.string().max(40), state: z.enum(GROMMET_STATES) })).max(120),
  bumper: z.enum(WEAR).nullable(),
  grip: z.enum(WEAR).nullable(),
  oldStrings: z.object({
    broke: z.enum(BREAKS).nullable(),
    notches: z.enum(NOTCHES).nullable(),
    /** How the last stringer tied it, as the knots show. */
    tied: line,
  }),
  /** What the owner of a cracked racket wrote to have it strung all the same, and who took it. */
  ownersWord: z.object({ text: noteText, day: z.string(), takenBy: z.string() }).nullable(),
});

export type Inspection = z.infer<typeof inspectionSchema>;

export const NOT_LOOKED_AT: Inspection = {
  frame: [],
  grommets: [],
  bumper: null,
  grip: null,
  oldStrings: { broke: null, notches: null, tied: '' },
  ownersWord: null,
};

/** What comes after one press on a hole: whole, split, sunken, missing, and whole again. */
const AFTER: Readonly<Record<GrommetState | 'whole', GrommetState | 'whole'>> = {
  whole: 'split',
  split: 'sunken',
  sunken: 'missing',
  missing: 'whole',
};

/**
 * The grommets after a press on one of them.
 *
 * @example
 * pressGrommet([], '7H left') // [{ hole: '7H left', state: 'split' }]
 */
export function pressGrommet(
  grommets: Inspection['grommets'],
  hole: string,
): Inspection['grommets'] {
  const now = grommets.find((each) => each.hole === hole)?.state ?? 'whole';
  const next = AFTER[now];
  const others = grommets.filter((each) => each.hole !== hole);
  return next === 'whole' ? others : [...others, { hole, state: next }];
}

/**
 * Whether a crack was seen. A cracked frame gives way under the load of a new bed, on the machine or in play.
 * Source: common practice, no source.
 *
 * @example
 * isCracked({ ...NOT_LOOKED_AT, frame: [{ what: 'crack', where: '2 o’clock' }] }) // true
 */
export const isCracked = (inspection: Inspection | null): boolean =>
  inspection?.frame.some(({ what }) => what === 'crack') ?? false;

/**
 * Whether the ticket stops: a crack was seen, and its owner has not written that it is to be strung all the same.
 *
 * @example
 * stopsTicket(NOT_LOOKED_AT) // false
 */
export const stopsTicket = (inspection: Inspection | null): boolean =>
  isCracked(inspection) && inspection?.ownersWord === null;

/**
 * What was seen, in short phrases in the order in which one looks; none for a racket without a flaw.
 *
 * @example
 * inspectionWords({ ...NOT_LOOKED_AT, bumper: 'worn' }) // ['bumper worn']
 */
export function inspectionWords(inspection: Inspection | null): readonly string[] {
  if (!inspection) return [];
  const { frame, grommets, bumper, grip, oldStrings } = inspection;
  const grommetWords = GROMMET_STATES.flatMap((state) => {
    const holes = grommets.filter((each) => each.state === state).map(({ hole }) => hole);
    return holes.length > 0 ? [`grommet ${state} at ${listed(holes)}`] : [];
  });
  return [
    ...frame.map(({ what, where }) => (where ? `${what}: ${where}` : what)),
    ...grommetWords,
    ...(bumper && bumper !== 'good' ? [`bumper ${bumper}`] : []),
    ...(grip && grip !== 'good' ? [`grip ${grip}`] : []),
    ...(oldStrings.broke && oldStrings.broke !== 'not broken'
      ? [`old string broke ${oldStrings.broke}`]
      : []),
    ...(oldStrings.notches && oldStrings.notches !== 'none'
      ? [`notches in the old string: ${oldStrings.notches}`]
      : []),
    ...(oldStrings.tied ? [`tied: ${oldStrings.tied}`] : []),
  ];
}

/**
 * Whether anybody has looked.
 *
 * @example
 * wasLookedAt(NOT_LOOKED_AT) // false
 */
export const wasLookedAt = (inspection: Inspection | null): boolean =>
  inspection !== null &&
  (inspectionWords(inspection).length > 0 ||
    inspection.bumper !== null ||
    inspection.grip !== null ||
    inspection.oldStrings.broke !== null ||
    inspection.oldStrings.notches !== null);
