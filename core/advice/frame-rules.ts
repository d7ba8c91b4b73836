/** What the frame itself does to the tension. */
import { mm2FromSquareInches } from '../measure/units';
import { HALF_STEP_N, type Rule } from './rule';

/** Patterns by how close their strings lie. Common practice names 18×19 and 18×20, 16×18 and 18×16. */
const isDense = ({ mains, crosses }: { readonly mains: number; readonly crosses: number }) =>
  mains >= 18 && crosses >= 19;
const isOpen = ({ mains, crosses }: { readonly mains: number; readonly crosses: number }) =>
  mains * crosses <= 16 * 18;

/** The inside of a head measures a little more than the size it is sold by: an oval of 336 × 248 mm is sold as 100 in². */
const OVER_SOLD_SIZE = 1.02;
const SMALL_HEAD_MM2 = OVER_SOLD_SIZE * mm2FromSquareInches(98);
const LARGE_HEAD_MM2 = OVER_SOLD_SIZE * mm2FromSquareInches(100);

const HEAVY_G = 300;

export const isHeavy = (weightG: number | null): boolean => (weightG ?? 0) > HEAVY_G;

export const FRAME_RULES: readonly Rule[] = [
  {
    id: 'large head',
    title: 'Head larger than 100 in²',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Long strings give more; a little more tension keeps the ball in.',
    applies: ({ areaMm2 }) => areaMm2 > LARGE_HEAD_MM2,
    small: { kind: 'feel', byN: () => HALF_STEP_N },
    standing: true,
  },
  {
    id: 'small head',
    title: 'Head of 98 in² or smaller',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Short strings give less; a little less tension makes up for it.',
    applies: ({ areaMm2 }) => areaMm2 <= SMALL_HEAD_MM2,
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    standing: true,
  },
  {
    id: 'dense pattern',
    title: 'Dense pattern',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'More strings carry the ball, so each may be a little looser.',
    applies: ({ spec }) => isDense(spec.pattern),
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    standing: true,
  },
  {
    id: 'thickness in a dense bed',
    title: 'Thickness shows in a dense bed',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'In a dense bed a tenth of a millimetre is a change one can see: stay with the thickness they know.',
    applies: ({ spec }) => isDense(spec.pattern),
    tells: true,
  },
  {
    id: 'open pattern',
    title: 'Open pattern',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'An open pattern tolerates more tension, should the ball fly; it needs none of itself.',
    applies: ({ spec }) => isOpen(spec.pattern),
    tells: true,
  },
  {
    id: 'stiff frame and arm',
    title: 'Stiff frame and arm trouble',
    sports: ['tennis', 'squash'],
    rank: 'arm',
    confidence: 'loose',
    source: 'common practice',
    school: 'stiffFrame',
    why: 'What shock the frame does not take, the bed must: lower, to spare the arm.',
    applies: ({ talk, house }) =>
      talk.racket.stiffness === 'stiff' &&
      (talk.arm === 'now' || talk.arm === 'before') &&
      house.stiffFrame !== 'up',
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
  },
  {
    id: 'stiff frame up',
    title: 'Stiff frame',
    sports: ['tennis', 'squash'],
    rank: 'house rule',
    confidence: 'loose',
    source: 'common practice',
    school: 'stiffFrame',
    why: 'A stiff frame is lively; this house goes up for control.',
    applies: ({ talk, house }) => talk.racket.stiffness === 'stiff' && house.stiffFrame === 'up',
    small: { kind: 'feel', byN: () => HALF_STEP_N },
    standing: true,
  },
  {
    id: 'stiff frame down',
    title: 'Stiff frame',
    sports: ['tennis', 'squash'],
    rank: 'house rule',
    confidence: 'loose',
    source: 'common practice',
    school: 'stiffFrame',
    why: 'A stiff frame passes shock on; this house goes down with every one of them.',
    applies: ({ talk, house }) =>
      talk.racket.stiffness === 'stiff' &&
      house.stiffFrame === 'down' &&
      talk.arm !== 'now' &&
      talk.arm !== 'before',
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    standing: true,
  },
  {
    id: 'heavy frame',
    title: 'Racket over 300 g',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'A heavy racket brings control of its own, so no tension is added for control.',
    applies: ({ talk }) => isHeavy(talk.racket.weightG) && talk.wants.includes('control'),
    tells: true,
  },
  {
    id: 'outer strings',
    title: 'Outermost strings step down',
    sports: ['tennis', 'badminton', 'squash'],
    rank: 'frame limits',
    confidence: 'sure',
    source: 'common practice',
    why: 'The maker steps the outermost strings of this frame down; the figure here is that of the inner ones.',
    applies: ({ spec }) => spec.stringing.stepDown !== null,
    tells: true,
  },
];
