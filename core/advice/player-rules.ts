/** Who plays, and what they want. */
import { isHeavy } from './frame-rules';
import {
  isMonofilament,
  isSoft,
  mixesSoftAndMono,
  shareOf,
  HALF_STEP_N,
  STEP_N,
  type Rule,
  inWords,
} from './rule';
import { familyShare, gaugeAbove } from './strung';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

export const PLAYER_RULES: readonly Rule[] = [
  {
    ...inWords('junior'),
    sports: EVERY_SPORT,
    rank: 'safety',
    confidence: 'sure',
    source: 'common practice',
    applies: ({ talk }) => talk.age === 'junior',
    // A growing arm comes before what its owner wishes for, so it stands with safety.
    small: { kind: 'feel', byN: () => -2 * STEP_N },
    unbound: true,
    standing: true,
    favours: (strung, { spec }) =>
      2 * familyShare(strung, 'synthetic gut') +
      familyShare(strung, 'multifilament') -
      5 * shareOf(strung, isMonofilament) -
      2 * familyShare(strung, 'natural gut') +
      (gaugeAbove(strung, spec.sport) >= 0 ? 0.5 : 0),
  },
  {
    ...inWords('help from the bed'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.age === 'older' || talk.level === 'beginner',
    small: { kind: 'feel', byN: () => -STEP_N },
    standing: true,
  },
  {
    ...inWords('beginner'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.level === 'beginner',
    favours: (strung, { spec }) =>
      spec.sport === 'badminton'
        ? gaugeAbove(strung, spec.sport)
        : 2 * familyShare(strung, 'synthetic gut') -
          3 * shareOf(strung, isMonofilament) -
          familyShare(strung, 'natural gut'),
  },
  {
    ...inWords('older'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.age === 'older',
    favours: (strung) =>
      2 * familyShare(strung, 'multifilament') +
      1.5 * familyShare(strung, 'natural gut') -
      2 * shareOf(strung, isMonofilament),
  },
  {
    ...inWords('club player'),
    sports: ['tennis', 'squash'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.level === 'club',
    favours: (strung, { talk }) =>
      (talk.style === 'flat' ? 2 : 1) * familyShare(strung, 'multifilament'),
  },
  {
    ...inWords('strong player'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.level === 'advanced' || talk.level === 'performance',
    favours: (strung, { spec }) =>
      spec.sport === 'tennis'
        ? 1.5 * shareOf(strung, isMonofilament) + (mixesSoftAndMono(strung) ? 0.75 : 0)
        : -gaugeAbove(strung, spec.sport),
  },
  {
    ...inWords('fast swing'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.swing === 'fast',
    favours: (strung) => 1.5 * shareOf(strung, isMonofilament),
  },
  {
    ...inWords('slow swing'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'sure',
    source: 'common practice',
    applies: ({ talk }) => talk.swing === 'slow',
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    standing: true,
    favours: (strung) => -2.5 * shareOf(strung, isMonofilament),
  },
  {
    ...inWords('spin style'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.style === 'spin',
    favours: ({ mains }) => (isMonofilament(mains) ? 1.5 : 0),
  },
  {
    ...inWords('touch style'),
    sports: ['tennis', 'squash'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.style === 'touch',
    favours: (strung) =>
      1.5 * familyShare(strung, 'natural gut') + 0.75 * familyShare(strung, 'multifilament'),
  },
  {
    ...inWords('plays seldom'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.playsAWeek !== null && talk.playsAWeek <= 1,
    favours: (strung) => -shareOf(strung, isMonofilament),
  },
  {
    ...inWords('wants control'),
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk, spec }) =>
      talk.wants.includes('control') && !(spec.sport === 'tennis' && isHeavy(talk.racket.weightG)),
    small: { kind: 'feel', byN: () => STEP_N },
    favours: (strung) => 1.5 * shareOf(strung, isMonofilament),
  },
  {
    ...inWords('wants power'),
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.wants.includes('power'),
    small: { kind: 'feel', byN: () => -STEP_N },
    favours: (strung, { spec }) =>
      spec.sport === 'tennis'
        ? 1.5 * familyShare(strung, 'natural gut') + familyShare(strung, 'multifilament')
        : -1.5 * gaugeAbove(strung, spec.sport),
  },
  {
    ...inWords('wants comfort'),
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.wants.includes('comfort'),
    small: { kind: 'feel', byN: () => -STEP_N },
    favours: (strung) =>
      1.5 * familyShare(strung, 'natural gut') +
      1.5 * familyShare(strung, 'multifilament') -
      2 * shareOf(strung, isMonofilament),
  },
  {
    ...inWords('wants spin'),
    sports: ['tennis', 'squash'],
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.wants.includes('spin'),
    favours: (strung, { spec }) =>
      2 * shareOf(strung, isMonofilament) - 0.75 * gaugeAbove(strung, spec.sport),
    thicker: -1,
  },
  {
    ...inWords('shaped string'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'loose',
    source: 'common practice',
    applies: ({ talk }) => talk.style === 'spin' || talk.wants.includes('spin'),
    favours: ({ mains }) => (mains.shape === 'round' ? 0 : 0.5),
  },
  {
    ...inWords('upper end'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.wants.includes('control') && talk.arm !== 'now',
    tells: true,
  },
  {
    ...inWords('thick mains'),
    sports: ['tennis'],
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) =>
      talk.wants.includes('life') || talk.breaks === 'in weeks' || talk.breaks === 'in days',
    favours: ({ mains, crosses }) =>
      mains.family === crosses.family && mains.gaugeMm > crosses.gaugeMm ? 0.25 : 0,
  },
  {
    ...inWords('wants life'),
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
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
    ...inWords('breaks strings'),
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.breaks === 'in weeks' || talk.breaks === 'in days',
    favours: (strung, { spec, talk }) =>
      (talk.breaks === 'in days' ? 1.5 : 1) *
      (spec.sport === 'tennis'
        ? 2 * shareOf(strung, isMonofilament) + (isMonofilament(strung.mains) ? 0.5 : 0)
        : 1.5 * gaugeAbove(strung, spec.sport)),
    thicker: 1,
  },
  {
    ...inWords('never breaks'),
    sports: EVERY_SPORT,
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.breaks === 'never',
    favours: (strung, { spec }) =>
      spec.sport === 'tennis'
        ? 0.5 * shareOf(strung, isSoft)
        : -0.75 * gaugeAbove(strung, spec.sport),
    thicker: -1,
  },
  {
    ...inWords('asks for a family'),
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'sure',
    source: 'common practice',
    applies: ({ talk }) => talk.asksFamily !== null,
    favours: (strung, { talk }) => (talk.asksFamily ? 5 * familyShare(strung, talk.asksFamily) : 0),
  },
  {
    ...inWords('small budget'),
    sports: EVERY_SPORT,
    rank: 'wish',
    confidence: 'sure',
    source: 'common practice',
    applies: ({ talk }) => talk.budget === 'low',
    favours: (strung) =>
      1.5 * familyShare(strung, 'synthetic gut') - 4 * familyShare(strung, 'natural gut'),
  },
  {
    ...inWords('price of gut'),
    sports: ['tennis'],
    rank: 'default',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.budget !== 'low' && talk.budget !== 'open',
    favours: (strung) => -1.5 * familyShare(strung, 'natural gut'),
  },
];
