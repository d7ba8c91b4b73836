/** The client's words about the last job move this one. */
import {
  aboveAdvice,
  isMonofilament,
  isSoft,
  mixesSoftAndMono,
  shareOf,
  STEP_N,
  HALF_STEP_N,
  type AdviceCase,
  type Rule,
  inWords,
} from './rule';
import { familyShare, gaugeAbove } from './strung';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

/** What was in it plays soft already, so that only the tension is left to move. */
const wasSoft = ({ last }: AdviceCase): boolean =>
  Boolean(last?.strung && isSoft(last.strung.mains) && isSoft(last.strung.crosses));

/**
 * Whether the last bed was firmer than advised and there is a complaint that this answers. What of it is a reason that was
 * overruled comes down by that reason, which has not been taken yet.
 *
 * @example
 * isTooFirm(usual.about) // false
 */
export const isTooFirm = (about: AdviceCase): boolean =>
  aboveAdvice(about) > 0 &&
  (about.talk.faults.includes('hurts') ||
    about.talk.faults.includes('boardy') ||
    about.talk.arm === 'before' ||
    about.talk.arm === 'now');

/** No wish outweighs it, so that it stands at the end. */
const OFFERED_LAST = -20;

const facts = {
  sports: EVERY_SPORT,
  rank: 'wish',
  confidence: 'usual',
  source: 'common practice',
} as const;

export const LAST_JOB_RULES: readonly Rule[] = [
  {
    ...facts,
    ...inWords('launched'),
    applies: ({ talk }) => talk.faults.includes('launches'),
    small: { kind: 'feel', byN: () => STEP_N },
    favours: (strung) => 0.5 * shareOf(strung, isMonofilament),
    aboutLastJob: true,
  },
  {
    ...facts,
    ...inWords('was boardy'),
    applies: ({ talk }) => talk.faults.includes('boardy'),
    small: { kind: 'feel', byN: () => -(STEP_N + HALF_STEP_N) },
    favours: (strung) => 0.75 * shareOf(strung, isSoft) - 1.25 * shareOf(strung, isMonofilament),
    aboutLastJob: true,
  },
  {
    ...facts,
    ...inWords('broke early'),
    applies: ({ talk }) => talk.faults.includes('broke'),
    favours: (strung, { spec }) =>
      spec.sport === 'tennis'
        ? 1.25 * shareOf(strung, isMonofilament) + (mixesSoftAndMono(strung) ? 0.5 : 0)
        : gaugeAbove(strung, spec.sport),
    thicker: 1,
    aboutLastJob: true,
  },
  {
    ...facts,
    ...inWords('went dead'),
    applies: ({ talk }) => talk.faults.includes('dead'),
    favours: (strung) => familyShare(strung, 'natural gut') - 1.5 * shareOf(strung, isMonofilament),
    aboutLastJob: true,
  },
  {
    ...facts,
    ...inWords('it hurts'),
    rank: 'arm',
    applies: ({ talk }) => talk.faults.includes('hurts'),
    // The string is changed first; where it was soft already, the rule below takes the other half too.
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    favours: (strung) => 1.5 * shareOf(strung, isSoft) - 3 * shareOf(strung, isMonofilament),
    thicker: -1,
    aboutLastJob: true,
  },
  {
    ...facts,
    ...inWords('it hurts, and was soft'),
    rank: 'arm',
    applies: (about) => about.talk.faults.includes('hurts') && wasSoft(about),
    small: { kind: 'feel', byN: () => -HALF_STEP_N },
    aboutLastJob: true,
  },
  {
    ...facts,
    ...inWords('strung above its advice'),
    rank: 'arm',
    confidence: 'sure',
    applies: isTooFirm,
    small: { kind: 'feel', byN: (about) => -aboveAdvice(about) },
    aboutLastJob: true,
    onlyFromLastJob: true,
    unbound: true,
  },
  {
    ...facts,
    ...inWords('left before'),
    applies: ({ last }) => (last?.left ?? []).length > 0,
    favours: (strung, { last }) =>
      (last?.left ?? []).some(
        ({ mains, crosses }) =>
          mains.family === strung.mains.family && crosses.family === strung.crosses.family,
      )
        ? OFFERED_LAST
        : 0,
    aboutLastJob: true,
  },
  {
    ...facts,
    ...inWords('strings slide'),
    applies: ({ talk }) => talk.faults.includes('slides'),
    favours: ({ crosses }) => (isMonofilament(crosses) ? 1 : 0),
    aboutLastJob: true,
  },
];
