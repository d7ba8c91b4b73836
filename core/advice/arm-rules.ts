/** A sore arm changes the string first, then its thickness, then the tension. */
import {
  isMonofilament,
  shareOf,
  HALF_STEP_N,
  STEP_N,
  type AdviceCase,
  type Rule,
  type Strung,
  inWords,
} from './rule';
import { familyShare, gaugeAbove } from './strung';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

const trouble = ({ talk }: AdviceCase) => talk.arm === 'before' || talk.arm === 'now';

/** Points against monofilament and for soft strings, in full for an arm that hurts now. */
const sparing = (strung: Strung, weight: number): number =>
  weight *
  (2.5 * familyShare(strung, 'natural gut') +
    2 * familyShare(strung, 'multifilament') +
    0.5 * familyShare(strung, 'synthetic gut') -
    7 * shareOf(strung, isMonofilament));

export const ARM_RULES: readonly Rule[] = [
  {
    ...inWords('arm trouble'),
    sports: EVERY_SPORT,
    rank: 'arm',
    confidence: 'sure',
    source: 'common practice',
    applies: trouble,
    small: {
      kind: 'feel',
      byN: ({ talk }) => (talk.arm === 'now' ? -(STEP_N + HALF_STEP_N) : -HALF_STEP_N),
    },
    favours: (strung, { talk, spec }) =>
      sparing(strung, talk.arm === 'now' ? 1 : 0.5) -
      // In tennis the thickness follows from a rule of its own; elsewhere it is the choice.
      (spec.sport === 'tennis' ? 0 : 0.25 * gaugeAbove(strung, spec.sport)),
  },
  {
    ...inWords('thin for a sore arm'),
    sports: EVERY_SPORT,
    rank: 'arm',
    confidence: 'usual',
    source: 'common practice',
    applies: ({ talk }) => talk.arm === 'now',
    thicker: -1,
  },
  {
    ...inWords('aramid'),
    sports: EVERY_SPORT,
    rank: 'safety',
    confidence: 'sure',
    source: 'common practice',
    applies: () => true,
    favours: (strung) => -10 * familyShare(strung, 'aramid'),
  },
  {
    ...inWords('bed for an arm'),
    sports: EVERY_SPORT,
    rank: 'arm',
    confidence: 'usual',
    source: 'common practice',
    applies: trouble,
    tells: true,
  },
];
