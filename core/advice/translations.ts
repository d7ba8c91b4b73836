/**
 * From one reference pull, that of a soft string in the whole bed, to the figures of two strings. Every
 * step here is reckoned on the reference, so that taking one away takes away exactly its own part.
 */
import { say } from '../terms/words/english';
import type { Newtons } from '../measure/quantities';
import { printedRange } from '../frame/frame';
import { CROSSES_QUESTION, crossesStep } from '../house/house-rules';
import { betweenMachines } from '../house/machine';
import { SPORTS } from '../terms/sport';
import { USUAL_PULL_N } from '../measure/pull-limits';
import {
  HALF_STEP_N,
  isMonofilament,
  mixesSoftAndMono,
  STEP_N,
  type AdviceCase,
  type Strung,
  type Translation,
  inWords,
} from './rule';
import type { Pulls } from '../measure/units';

const NONE: Pulls = { mainN: 0, crossN: 0 };

/** Steps a workshop's schools on hybrids and monofilament leave to each other. */
const hybridRuleHolds = ({ house }: AdviceCase, strung: Strung): boolean =>
  house.hybrid === 'soft string higher' && mixesSoftAndMono(strung);

const onMonofilament = ({ mains, crosses }: Strung, byN: Newtons): Pulls => ({
  mainN: isMonofilament(mains) ? byN : 0,
  crossN: isMonofilament(crosses) ? byN : 0,
});

export const TRANSLATIONS: readonly Translation[] = [
  {
    ...inWords('monofilament'),
    kind: 'bed',
    sports: ['tennis', 'squash'],
    rank: 'house rule',
    confidence: 'usual',
    source: 'common practice',
    school: 'monofilament',
    applies: (about, strung) =>
      (isMonofilament(strung.mains) || isMonofilament(strung.crosses)) &&
      !hybridRuleHolds(about, strung),
    by: ({ house, spec }, strung, referenceN) => {
      const range = printedRange(spec);
      const byN =
        house.monofilament === 'low end of the range' && range
          ? range.minN - referenceN
          : -house.monofilamentShare * referenceN;
      return onMonofilament(strung, byN);
    },
  },
  {
    ...inWords('hybrid'),
    kind: 'bed',
    sports: ['tennis', 'squash'],
    rank: 'house rule',
    confidence: 'usual',
    source: 'common practice',
    school: 'hybrid',
    applies: hybridRuleHolds,
    by: ({ house }, strung, referenceN) =>
      onMonofilament(strung, referenceN / (1 + house.hybridShare) - referenceN),
  },
  ...SPORTS.map((sport): Translation => ({
    id: 'crosses',
    title: say('rule.crosses'),
    why: say(`rule.crosses.${sport}.why`),
    kind: 'bed',
    sports: [sport],
    rank: 'house rule',
    confidence: 'loose',
    source: sport === 'squash' ? 'from memory' : 'common practice',
    school: CROSSES_QUESTION[sport],
    applies: ({ house }, strung) => {
      const { mainN, crossN } = crossesStep(house, sport);
      return (mainN !== 0 || crossN !== 0) && !mixesSoftAndMono(strung);
    },
    by: ({ house }) => crossesStep(house, sport),
  })),
  {
    ...inWords('machine'),
    kind: 'machine',
    sports: ['tennis', 'badminton', 'squash'],
    rank: 'house rule',
    confidence: 'loose',
    source: 'from memory',
    applies: ({ last, house }) => Boolean(last?.pull && last.pull !== house.benchPull),
    by: ({ house, last }, _, referenceN) => {
      const byN =
        betweenMachines(referenceN, last?.pull ?? house.benchPull, house.benchPull, house) -
        referenceN;
      return { mainN: byN, crossN: byN };
    },
  },
  {
    ...inWords('crosses end lower'),
    kind: 'bed',
    offered: true,
    sports: ['tennis', 'badminton', 'squash'],
    rank: 'default',
    confidence: 'loose',
    source: 'from memory',
    applies: (about) => missingOfCrosses(about, USUAL_PULL_N[about.spec.sport]) >= HALF_STEP_N,
    by: (about, _, referenceN) => ({ mainN: 0, crossN: missingOfCrosses(about, referenceN) }),
  },
];

/** What crosses would have to be pulled higher so that they end where they were set, a step at most, N. */
function missingOfCrosses({ crossesEnd }: AdviceCase, setN: Newtons): Newtons {
  if (!crossesEnd || crossesEnd.gain <= 0) return 0;
  return Math.max(0, Math.min(STEP_N, (crossesEnd.shortShare * setN) / crossesEnd.gain));
}

/** What every translation but that between machines adds up to on a reference of 1 N. */
export function shareOfReference(about: AdviceCase, strung: Strung, referenceN: Newtons): Pulls {
  return TRANSLATIONS.filter(({ kind, offered }) => kind === 'bed' && !offered)
    .filter((rule) => rule.sports.includes(about.spec.sport) && rule.applies(about, strung))
    .map((rule) => rule.by(about, strung, referenceN))
    .reduce(add, NONE);
}

export const add = (a: Pulls, b: Pulls): Pulls => ({
  mainN: a.mainN + b.mainN,
  crossN: a.crossN + b.crossN,
});

/** Whether two beds are of the same families, mains for mains and crosses for crosses. */
export const sameFamilies = (a: Strung, b: Strung): boolean =>
  a.mains.family === b.mains.family && a.crosses.family === b.crosses.family;
