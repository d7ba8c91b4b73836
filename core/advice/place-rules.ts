/** Where and when it is played. These act on mains and crosses together and keep the feel the same. */
import { HALF_STEP_N, STEP_N, type Rule, inWords } from './rule';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

/** Below this no one goes up. From memory. */
const HIGH_M = 500;
/** Common practice names 2000 m for a kilogram; in proportion between, and no further than 3000 m. */
const A_STEP_EVERY_M = 2000;
const HIGHEST_M = 3000;

const facts = {
  sports: EVERY_SPORT,
  rank: 'house rule',
  confidence: 'loose',
  source: 'common practice',
  school: 'climate',
} as const;

export const PLACE_RULES: readonly Rule[] = [
  {
    ...facts,
    ...inWords('altitude'),
    confidence: 'usual',
    applies: ({ talk, house }) =>
      house.climate === 'small steps' && (talk.altitudeM ?? 0) >= HIGH_M,
    mayStay: true,
    small: {
      kind: 'place',
      byN: ({ talk }) =>
        (STEP_N * Math.min(HIGHEST_M, Math.max(0, talk.altitudeM ?? 0))) / A_STEP_EVERY_M,
    },
  },
  {
    ...facts,
    ...inWords('hot'),
    applies: ({ talk, house }) => house.climate === 'small steps' && talk.weather === 'hot',
    small: { kind: 'place', byN: () => HALF_STEP_N },
    favours: (strung) => (strung.mains.family === 'multifilament' ? -0.2 : 0),
  },
  {
    ...facts,
    ...inWords('cold'),
    applies: ({ talk, house }) => house.climate === 'small steps' && talk.weather === 'cold',
    small: { kind: 'place', byN: () => -HALF_STEP_N },
  },
  {
    ...facts,
    ...inWords('damp'),
    applies: ({ talk, house }) => house.climate === 'small steps' && talk.weather === 'damp',
    small: { kind: 'place', byN: () => -HALF_STEP_N },
  },
  {
    ...inWords('gut and damp'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'sure',
    source: 'common practice',
    applies: ({ talk }) => talk.weather === 'damp',
    favours: ({ mains, crosses }) =>
      (mains.family === 'natural gut' ? -1.5 : 0) + (crosses.family === 'natural gut' ? -0.5 : 0),
  },
  {
    ...facts,
    ...inWords('winter'),
    sports: ['tennis'],
    applies: ({ talk, house }) => house.climate === 'small steps' && talk.season === 'winter',
    small: { kind: 'place', byN: () => -HALF_STEP_N },
  },
];
