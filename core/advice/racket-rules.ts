/** What was changed about the racket since it left its maker. */
import { say } from '../terms/words/english';
import { leadG } from './talk';
import { isSoft, shareOf, type Rule, inWords } from './rule';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

/** Lead that makes another racket of it, g. Common practice. */
const ANOTHER_RACKET_G = 20;
/** What a child that leaves 26-inch rackets swings, g, and where it is clearly too much. Common practice. */
const FIRST_LONG_RACKET_G = 260;
const TOO_HEAVY_FOR_A_CHILD_G = 285;

export const RACKET_RULES: readonly Rule[] = [
  {
    ...inWords('built-up grip'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.racket.grip === 'built up',
    tells: true,
  },
  {
    ...inWords('smaller grip'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.racket.grip === 'smaller',
    favours: (strung) => 0.3 * shareOf(strung, isSoft),
  },
  {
    ...inWords('lead at the head'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'loose',
    source: 'common practice',
    applies: ({ talk }) => (talk.racket.leadHeadG ?? 0) >= 3,
    tells: true,
  },
  {
    ...inWords('another racket'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'sure',
    source: 'common practice',
    applies: ({ talk }) => leadG(talk) >= ANOTHER_RACKET_G,
    tells: true,
  },
  {
    id: 'first long racket',
    title: say('rule.first long racket'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: say('rule.first long racket.why', { grams: FIRST_LONG_RACKET_G }),
    applies: ({ talk }) =>
      talk.age === 'junior' && (talk.racket.weightG ?? 0) > TOO_HEAVY_FOR_A_CHILD_G,
    tells: true,
  },
];
