/** When the string is due again. */
import { inWords, type Rule } from './rule';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

export const RESTRING_RULES: readonly Rule[] = [
  {
    ...inWords('as often as a week'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'loose',
    source: 'common practice',
    applies: ({ talk }) => talk.playsAWeek !== null && talk.level !== 'performance',
    tells: true,
  },
  {
    ...inWords('monofilament every month'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => (talk.playsAWeek ?? 0) >= 3,
    tells: true,
  },
  {
    ...inWords('a fresh one in the bag'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.level === 'performance',
    tells: true,
  },
];
