/** What was changed about the racket since it left its maker. */
import { leadG } from './talk';
import { isSoft, shareOf, type Rule } from './rule';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

/** Lead that makes another racket of it, g. Common practice. */
const ANOTHER_RACKET_G = 20;
/** What a child that leaves 26-inch rackets swings, g, and where it is clearly too much. Common practice. */
const FIRST_LONG_RACKET_G = 260;
const TOO_HEAVY_FOR_A_CHILD_G = 285;

export const RACKET_RULES: readonly Rule[] = [
  {
    id: 'built-up grip',
    title: 'Bigger grip',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'A bigger grip takes less squeeze and is kinder to an elbow; the string need not do all of it.',
    applies: ({ talk }) => talk.racket.grip === 'built up',
    tells: true,
  },
  {
    id: 'smaller grip',
    title: 'Smaller grip',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'A smaller grip frees the wrist for spin and twists more off centre, which a soft string eases.',
    applies: ({ talk }) => talk.racket.grip === 'smaller',
    favours: (strung) => 0.3 * shareOf(strung, isSoft),
  },
  {
    id: 'lead at the head',
    title: 'Lead at the head',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'loose',
    source: 'common practice',
    why: 'Weight at the head brings power and makes it head-heavy: see whether the ball still stays in before going lower.',
    applies: ({ talk }) => (talk.racket.leadHeadG ?? 0) >= 3,
    tells: true,
  },
  {
    id: 'another racket',
    title: '20 g of lead or more',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'sure',
    source: 'common practice',
    why: 'With 20 g or more it is another racket: an old tension says little about it.',
    applies: ({ talk }) => leadG(talk) >= ANOTHER_RACKET_G,
    tells: true,
  },
  {
    id: 'first long racket',
    title: 'Heavy racket for a child',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: `A child that leaves 26-inch rackets wants about ${FIRST_LONG_RACKET_G} g and 100 in², by size and strength; no string makes up for a racket that is too heavy.`,
    applies: ({ talk }) =>
      talk.age === 'junior' && (talk.racket.weightG ?? 0) > TOO_HEAVY_FOR_A_CHILD_G,
    tells: true,
  },
];
