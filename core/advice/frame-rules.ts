/** What the frame itself does to the tension. */
import { mm2FromSquareInches } from '../measure/units';
import { HALF_STEP_N, type Rule, inWords } from './rule';

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
    ...inWords('large head'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ areaMm2 }) => areaMm2 > LARGE_HEAD_MM2,
    small: { kind: 'feel', byN: () => HALF_STEP_N },
    standing: true,
  },
  {
    ...inWords('small head'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ areaMm2 }) => areaMm2 <= SMALL_HEAD_MM2,
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    standing: true,
  },
  {
    ...inWords('dense pattern'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ spec }) => isDense(spec.pattern),
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    standing: true,
  },
  {
    ...inWords('thickness in a dense bed'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ spec }) => isDense(spec.pattern),
    tells: true,
  },
  {
    ...inWords('open pattern'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ spec }) => isOpen(spec.pattern),
    tells: true,
  },
  {
    ...inWords('stiff frame and arm'),
    sports: ['tennis', 'squash'],
    rank: 'arm',
    confidence: 'loose',
    source: 'common practice',
    school: 'stiffFrame',
    applies: ({ talk, house }) =>
      talk.racket.stiffness === 'stiff' &&
      (talk.arm === 'now' || talk.arm === 'before') &&
      house.stiffFrame !== 'up',
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
  },
  {
    ...inWords('stiff frame up'),
    sports: ['tennis', 'squash'],
    rank: 'house rule',
    confidence: 'loose',
    source: 'common practice',
    school: 'stiffFrame',
    applies: ({ talk, house }) => talk.racket.stiffness === 'stiff' && house.stiffFrame === 'up',
    small: { kind: 'feel', byN: () => HALF_STEP_N },
    standing: true,
  },
  {
    ...inWords('stiff frame down'),
    sports: ['tennis', 'squash'],
    rank: 'house rule',
    confidence: 'loose',
    source: 'common practice',
    school: 'stiffFrame',
    applies: ({ talk, house }) =>
      talk.racket.stiffness === 'stiff' &&
      house.stiffFrame === 'down' &&
      talk.arm !== 'now' &&
      talk.arm !== 'before',
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    standing: true,
  },
  {
    ...inWords('heavy frame'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => isHeavy(talk.racket.weightG) && talk.wants.includes('control'),
    tells: true,
  },
  {
    ...inWords('outer strings'),
    sports: ['tennis', 'badminton', 'squash'],
    rank: 'frame limits',
    confidence: 'sure',
    source: 'common practice',
    applies: ({ spec }) => spec.stringing.stepDown !== null,
    tells: true,
  },
];
