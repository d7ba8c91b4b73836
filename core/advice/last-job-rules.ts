/** The client's words about the last job move this one. */
import {
  isMonofilament,
  isSoft,
  mixesSoftAndMono,
  shareOf,
  STEP_N,
  HALF_STEP_N,
  type AdviceCase,
  type Rule,
} from './rule';
import { familyShare, gaugeAbove } from './strung';

const EVERY_SPORT = ['tennis', 'badminton', 'squash'] as const;

/** What was in it plays soft already, so that only the tension is left to move. */
const wasSoft = ({ last }: AdviceCase): boolean =>
  Boolean(last?.strung && isSoft(last.strung.mains) && isSoft(last.strung.crosses));

const facts = {
  sports: EVERY_SPORT,
  rank: 'wish',
  confidence: 'usual',
  source: 'common practice',
} as const;

export const LAST_JOB_RULES: readonly Rule[] = [
  {
    ...facts,
    id: 'launched',
    title: 'It launched',
    why: 'The ball flew: 1 kg up, and see again after a few sessions.',
    applies: ({ talk }) => talk.faults.includes('launches'),
    small: { kind: 'feel', byN: () => STEP_N },
    favours: (strung) => 0.5 * shareOf(strung, isMonofilament),
    aboutLastJob: true,
  },
  {
    ...facts,
    id: 'was boardy',
    title: 'It was boardy',
    why: 'Hard and without give: 1.5 kg down, the middle of 1 to 2 kg, or a softer string.',
    applies: ({ talk }) => talk.faults.includes('boardy'),
    small: { kind: 'feel', byN: () => -(STEP_N + HALF_STEP_N) },
    favours: (strung) => 0.75 * shareOf(strung, isSoft) - 1.25 * shareOf(strung, isMonofilament),
    aboutLastJob: true,
  },
  {
    ...facts,
    id: 'broke early',
    title: 'It broke early',
    why: 'A thicker string, a tougher family, or monofilament in the mains alone.',
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
    id: 'went dead',
    title: 'It went dead unbroken',
    why: 'Sooner next time, or a family that holds its tension: a string is often dead long before it breaks.',
    applies: ({ talk }) => talk.faults.includes('dead'),
    favours: (strung) => familyShare(strung, 'natural gut') - 1.5 * shareOf(strung, isMonofilament),
    aboutLastJob: true,
  },
  {
    ...facts,
    id: 'it hurts',
    title: 'It hurts to play with',
    rank: 'arm',
    why: 'The family first, then thickness, then tension.',
    applies: ({ talk }) => talk.faults.includes('hurts'),
    favours: (strung) => 1.5 * shareOf(strung, isSoft) - 3 * shareOf(strung, isMonofilament),
    thicker: -1,
    aboutLastJob: true,
  },
  {
    ...facts,
    id: 'it hurts, and was soft',
    title: 'It hurts, and the string is soft already',
    rank: 'arm',
    why: 'The string is soft already, so the tension goes: 1 kg down.',
    applies: (about) => about.talk.faults.includes('hurts') && wasSoft(about),
    small: { kind: 'feel', byN: () => -STEP_N },
    aboutLastJob: true,
  },
  {
    ...facts,
    id: 'strings slide',
    title: 'The strings slide',
    why: 'Strings that stay out of place are worn, or too soft for the swing: smooth monofilament crosses let the mains snap back.',
    applies: ({ talk }) => talk.faults.includes('slides'),
    favours: ({ crosses }) => (isMonofilament(crosses) ? 1 : 0),
    aboutLastJob: true,
  },
];
