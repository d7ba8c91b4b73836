/** Who plays, and what they want. */
import { isHeavy } from './frame-rules';
import { isMonofilament, isSoft, mixesSoftAndMono, shareOf, STEP_N, type Rule } from './rule';
import { familyShare, gaugeAbove } from './strung';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;
const helped = 'A softer bed helps the ball along and forgives: comfort and help from the bed.';

export const PLAYER_RULES: readonly Rule[] = [
  {
    id: 'junior',
    title: 'Junior',
    sports: EVERY_SPORT,
    rank: 'safety',
    confidence: 'sure',
    source: 'common practice',
    why: `${helped} Monofilament is not for a growing arm.`,
    applies: ({ talk }) => talk.age === 'junior',
    // A growing arm comes before what its owner wishes for, so it stands with safety.
    small: { kind: 'feel', byN: () => -STEP_N },
    standing: true,
    favours: (strung, { spec }) =>
      2 * familyShare(strung, 'synthetic gut') +
      familyShare(strung, 'multifilament') -
      5 * shareOf(strung, isMonofilament) -
      2 * familyShare(strung, 'natural gut') +
      (gaugeAbove(strung, spec.sport) >= 0 ? 0.5 : 0),
  },
  {
    id: 'help from the bed',
    title: 'Beginner or older',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: helped,
    applies: ({ talk }) =>
      talk.age !== 'junior' && (talk.age === 'older' || talk.level === 'beginner'),
    small: { kind: 'feel', byN: () => -STEP_N },
    standing: true,
  },
  {
    id: 'beginner',
    title: 'Beginner',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Synthetic gut is a plain all-rounder at a small price; in badminton a thicker string forgives mishits.',
    applies: ({ talk }) => talk.level === 'beginner',
    favours: (strung, { spec }) =>
      spec.sport === 'badminton'
        ? gaugeAbove(strung, spec.sport)
        : 2 * familyShare(strung, 'synthetic gut') -
          3 * shareOf(strung, isMonofilament) -
          familyShare(strung, 'natural gut'),
  },
  {
    id: 'older',
    title: 'Older player',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Soft strings play with less effort; monofilament asks for a fast swing.',
    applies: ({ talk }) => talk.age === 'older',
    favours: (strung) =>
      2 * familyShare(strung, 'multifilament') +
      1.5 * familyShare(strung, 'natural gut') -
      2 * shareOf(strung, isMonofilament),
  },
  {
    id: 'club player',
    title: 'Club player',
    sports: ['tennis', 'squash'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Multifilament suits adults at club level, above all those who hit flat.',
    applies: ({ talk }) => talk.level === 'club',
    favours: (strung, { talk }) =>
      (talk.style === 'flat' ? 2 : 1) * familyShare(strung, 'multifilament'),
  },
  {
    id: 'strong player',
    title: 'Advanced or performance',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Clean and hard hitters make use of a firm string in tennis, of a thin one elsewhere.',
    applies: ({ talk }) => talk.level === 'advanced' || talk.level === 'performance',
    favours: (strung, { spec }) =>
      spec.sport === 'tennis'
        ? 1.5 * shareOf(strung, isMonofilament) + (mixesSoftAndMono(strung) ? 0.75 : 0)
        : -gaugeAbove(strung, spec.sport),
  },
  {
    id: 'fast swing',
    title: 'Fast swing',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'A fast swing brings its own power and can use the control of monofilament.',
    applies: ({ talk }) => talk.swing === 'fast',
    favours: (strung) => 1.5 * shareOf(strung, isMonofilament),
  },
  {
    id: 'slow swing',
    title: 'Slow swing',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'sure',
    source: 'common practice',
    why: 'A slow swing does not bend monofilament; it only feels hard.',
    applies: ({ talk }) => talk.swing === 'slow',
    favours: (strung) => -2.5 * shareOf(strung, isMonofilament),
  },
  {
    id: 'spin style',
    title: 'Plays with spin',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Monofilament mains slide and snap back; a shape helps a spin technique, it does not make one.',
    applies: ({ talk }) => talk.style === 'spin',
    favours: ({ mains }) => (isMonofilament(mains) ? 1.5 : 0),
  },
  {
    id: 'touch style',
    title: 'Touch player',
    sports: ['tennis', 'squash'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Natural gut, and soft strings after it, tell the hand most.',
    applies: ({ talk }) => talk.style === 'touch',
    favours: (strung) =>
      1.5 * familyShare(strung, 'natural gut') + 0.75 * familyShare(strung, 'multifilament'),
  },
  {
    id: 'plays seldom',
    title: 'Plays once a week or less',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Monofilament goes dead by lying as well as by playing.',
    applies: ({ talk }) => talk.playsAWeek !== null && talk.playsAWeek <= 1,
    favours: (strung) => -shareOf(strung, isMonofilament),
  },
  {
    id: 'wants control',
    title: 'Wants control',
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    why: 'A tighter bed gives less back: the ball leaves where it was aimed.',
    applies: ({ talk, spec }) =>
      talk.wants.includes('control') && !(spec.sport === 'tennis' && isHeavy(talk.racket.weightG)),
    small: { kind: 'feel', byN: () => STEP_N },
    favours: (strung) => 1.5 * shareOf(strung, isMonofilament),
  },
  {
    id: 'wants power',
    title: 'Wants power',
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    why: 'A looser bed gives more back, and more of it is lively; in badminton a thin string does the same.',
    applies: ({ talk }) => talk.wants.includes('power'),
    small: { kind: 'feel', byN: () => -STEP_N },
    favours: (strung, { spec }) =>
      spec.sport === 'tennis'
        ? 1.5 * familyShare(strung, 'natural gut') + familyShare(strung, 'multifilament')
        : -1.5 * gaugeAbove(strung, spec.sport),
  },
  {
    id: 'wants comfort',
    title: 'Wants comfort',
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    why: 'Lower and softer is easier on hand and arm.',
    applies: ({ talk }) => talk.wants.includes('comfort'),
    small: { kind: 'feel', byN: () => -STEP_N },
    favours: (strung) =>
      1.5 * familyShare(strung, 'natural gut') +
      1.5 * familyShare(strung, 'multifilament') -
      2 * shareOf(strung, isMonofilament),
  },
  {
    id: 'wants spin',
    title: 'Wants spin',
    sports: ['tennis', 'squash'],
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    why: 'Monofilament and thin strings bite most.',
    applies: ({ talk }) => talk.wants.includes('spin'),
    favours: (strung, { spec }) =>
      2 * shareOf(strung, isMonofilament) - 0.75 * gaugeAbove(strung, spec.sport),
    thicker: -1,
  },
  {
    id: 'shaped string',
    title: 'A shaped string',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'loose',
    source: 'common practice',
    why: 'Angular and textured strings are for bite, not for life; they help a spin technique that is there.',
    applies: ({ talk }) => talk.style === 'spin' || talk.wants.includes('spin'),
    favours: ({ mains }) => (mains.shape === 'round' ? 0 : 0.5),
  },
  {
    id: 'upper end',
    title: 'Room upwards',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'A multifilament or natural gut may go to the upper end of the printed range; monofilament stays low.',
    applies: ({ talk }) => talk.wants.includes('control') && talk.arm !== 'now',
    tells: true,
  },
  {
    id: 'thick mains',
    title: 'Thick mains, thin crosses',
    sports: ['tennis'],
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    why: 'Thicker mains with thinner crosses of one string firm the bed and lengthen its life at the same tension.',
    applies: ({ talk }) =>
      talk.wants.includes('life') || talk.breaks === 'in weeks' || talk.breaks === 'in days',
    favours: ({ mains, crosses }) =>
      mains.family === crosses.family && mains.gaugeMm > crosses.gaugeMm ? 0.25 : 0,
  },
  {
    id: 'wants life',
    title: 'Wants it to last',
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    why: 'Thicker lasts, monofilament lasts longest, and a lower tension saves the string.',
    applies: ({ talk }) => talk.wants.includes('life'),
    favours: (strung, { spec }) =>
      spec.sport === 'tennis'
        ? 1.25 * shareOf(strung, isMonofilament) +
          0.5 * familyShare(strung, 'synthetic gut') -
          0.5 * familyShare(strung, 'natural gut')
        : 1.5 * gaugeAbove(strung, spec.sport),
    thicker: 1,
  },
  {
    id: 'breaks strings',
    title: 'Breaks them in weeks or days',
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    why: 'Monofilament is the hardest to break, then a hybrid with it in the mains; thicker helps all of them.',
    applies: ({ talk }) => talk.breaks === 'in weeks' || talk.breaks === 'in days',
    favours: (strung, { spec, talk }) =>
      (talk.breaks === 'in days' ? 1.5 : 1) *
      (spec.sport === 'tennis'
        ? 2 * shareOf(strung, isMonofilament) + (isMonofilament(strung.mains) ? 0.5 : 0)
        : 1.5 * gaugeAbove(strung, spec.sport)),
    thicker: 1,
  },
  {
    id: 'never breaks',
    title: 'Never breaks one',
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Who breaks none need not pay for thickness with feel; theirs go dead unbroken, so a date matters more.',
    applies: ({ talk }) => talk.breaks === 'never',
    favours: (strung, { spec }) =>
      spec.sport === 'tennis'
        ? 0.5 * shareOf(strung, isSoft)
        : -0.75 * gaugeAbove(strung, spec.sport),
    thicker: -1,
  },
  {
    id: 'asks for a family',
    title: 'Asks for it by name',
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'sure',
    source: 'common practice',
    why: 'What a client asks for is where their trust is.',
    applies: ({ talk }) => talk.asksFamily !== null,
    favours: (strung, { talk }) => (talk.asksFamily ? 5 * familyShare(strung, talk.asksFamily) : 0),
  },
  {
    id: 'small budget',
    title: 'Small budget',
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'sure',
    source: 'common practice',
    why: 'Synthetic gut costs least; natural gut several times as much.',
    applies: ({ talk }) => talk.budget === 'low',
    favours: (strung) =>
      1.5 * familyShare(strung, 'synthetic gut') - 4 * familyShare(strung, 'natural gut'),
  },
  {
    id: 'price of gut',
    title: 'The price of natural gut',
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    why: 'Few pay for natural gut unasked.',
    applies: ({ talk }) => talk.budget !== 'low' && talk.budget !== 'open',
    favours: (strung) => -1.5 * familyShare(strung, 'natural gut'),
  },
];
