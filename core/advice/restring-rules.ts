/** When the string is due again. */
import type { Rule } from './rule';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

export const RESTRING_RULES: readonly Rule[] = [
  {
    id: 'as often as a week',
    title: 'As many times a year as plays a week',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'loose',
    source: 'common practice',
    why: 'An old rule from nylon days: as many new strings a year as plays a week, and at least two, before the warm and before the cold season.',
    applies: ({ talk }) => talk.playsAWeek !== null && talk.level !== 'performance',
    tells: true,
  },
  {
    id: 'monofilament every month',
    title: 'On court three times a week or more',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'With monofilament that is a new bed every month, at most every two: it plays dead long before it breaks.',
    applies: ({ talk }) => (talk.playsAWeek ?? 0) >= 3,
    tells: true,
  },
  {
    id: 'a fresh one in the bag',
    title: 'Performance player',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Performance players restring when it breaks and keep a fresh racket in the bag.',
    applies: ({ talk }) => talk.level === 'performance',
    tells: true,
  },
];
