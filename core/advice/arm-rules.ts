/** A sore arm changes the string first, then its thickness, then the tension. */
import {
  isMonofilament,
  shareOf,
  HALF_STEP_N,
  STEP_N,
  type AdviceCase,
  type Rule,
  type Strung,
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
    id: 'arm trouble',
    title: 'Arm trouble',
    sports: EVERY_SPORT,
    rank: 'arm',
    confidence: 'sure',
    source: 'common practice',
    why: 'A soft string and a lower tension, more so while it is sore: never a firm string at a high tension.',
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
    id: 'thin for a sore arm',
    title: 'Thin for a sore arm',
    sports: EVERY_SPORT,
    rank: 'arm',
    confidence: 'usual',
    source: 'common practice',
    why: 'For a sore arm thinner and softer beats thicker.',
    applies: ({ talk }) => talk.arm === 'now',
    thicker: -1,
  },
  {
    id: 'aramid',
    title: 'Aramid',
    sports: EVERY_SPORT,
    rank: 'safety',
    confidence: 'sure',
    source: 'common practice',
    why: 'Aramid is very stiff; almost nobody strings it now, and no arm should.',
    applies: () => true,
    favours: (strung) => -10 * familyShare(strung, 'aramid'),
  },
  {
    id: 'bed for an arm',
    title: 'When an arm has been sore',
    sports: EVERY_SPORT,
    rank: 'arm',
    confidence: 'usual',
    source: 'common practice',
    why: 'A string that has gone dead asks for more effort, which is how arms get hurt: restring before it is.',
    applies: trouble,
    tells: true,
  },
];
