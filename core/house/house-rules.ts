/** Questions on which good stringers differ, and where a workshop stands on each. */
import { z } from 'zod';
import { isSoftFamily, type Family } from '../terms/family';
import type { Sport } from '../terms/sport';
import { newtons, type Pulls } from '../measure/units';
import { english, message, type Message } from '../terms/words/english';

/** Every question with its schools by name; what they say stands in `terms/words`. Common practice, no source. */
export const HOUSE_QUESTIONS = {
  tennisCrosses: ['equal', 'lower', 'higher on the mean'],
  badmintonCrosses: ['higher', 'equal'],
  squashCrosses: ['equal', 'lower'],
  hybrid: ['soft string higher', 'each by its own rule'],
  monofilament: ['by a share', 'low end of the range'],
  stiffFrame: ['down with a sore arm', 'up', 'down'],
  climate: ['small steps', 'leave it'],
  bridge: ['on the last pull', 'never'],
  tips: ['each once', 'notes only'],
  knotPull: ['10 % higher', '5 lb higher', 'pull again'],
  ahead: ['one', 'two', 'three', 'three then six', 'four'],
  start: ['starting clamp', 'both at half'],
  firstCrosses: ['two together', 'second first'],
  topCross: ['after three', 'at the end'],
  preStretch: ['never', 'gut and nylon', 'every string'],
  comeBack: ['by the curve', 'old rule', 'twice a year', 'monthly for monofilament'],
  brokenString: ['the house pays', 'the client pays'],
} as const satisfies Record<string, readonly [string, ...string[]]>;

export type HouseQuestionName = keyof typeof HOUSE_QUESTIONS;
type SchoolOf<Q extends HouseQuestionName> = (typeof HOUSE_QUESTIONS)[Q][number];

export const HOUSE_QUESTION_NAMES = Object.keys(HOUSE_QUESTIONS) as HouseQuestionName[];

const schoolsShape = {
  tennisCrosses: z.enum(HOUSE_QUESTIONS.tennisCrosses),
  badmintonCrosses: z.enum(HOUSE_QUESTIONS.badmintonCrosses),
  squashCrosses: z.enum(HOUSE_QUESTIONS.squashCrosses),
  hybrid: z.enum(HOUSE_QUESTIONS.hybrid),
  monofilament: z.enum(HOUSE_QUESTIONS.monofilament),
  stiffFrame: z.enum(HOUSE_QUESTIONS.stiffFrame),
  climate: z.enum(HOUSE_QUESTIONS.climate),
  bridge: z.enum(HOUSE_QUESTIONS.bridge),
  tips: z.enum(HOUSE_QUESTIONS.tips),
  knotPull: z.enum(HOUSE_QUESTIONS.knotPull),
  ahead: z.enum(HOUSE_QUESTIONS.ahead),
  start: z.enum(HOUSE_QUESTIONS.start),
  firstCrosses: z.enum(HOUSE_QUESTIONS.firstCrosses),
  topCross: z.enum(HOUSE_QUESTIONS.topCross),
  preStretch: z.enum(HOUSE_QUESTIONS.preStretch),
  comeBack: z.enum(HOUSE_QUESTIONS.comeBack),
  brokenString: z.enum(HOUSE_QUESTIONS.brokenString),
} satisfies Record<HouseQuestionName, z.ZodType>;

export const houseRulesSchema = z.object({
  ...schoolsShape,
  /** How much lower monofilament is pulled, as a fraction of the reference. */
  monofilamentShare: z.number().min(0).max(0.2),
  /** How much above the monofilament the soft string of a hybrid is. */
  hybridShare: z.number().min(0).max(0.2),
  /** The workshop's own difference of crosses from mains, N; null goes by the schools. */
  crossesByN: z.number().min(-44.5).max(44.5).nullable(),
  /** How the machine that most jobs are strung on pulls. */
  benchPull: z.enum(['constant pull', 'lock-out']),
  /** How much lower a lock-out settles than a constant pull, as a fraction. */
  lockOutShare: z.number().min(0).max(0.2),
  /** Further out of shape than this while it is strung, mm, a hoop is at risk. */
  mostOutOfShapeMm: z.number().min(0.5).max(15),
  /** Measured on the workshop's own machines, not remembered. */
  lockOutMeasured: z.boolean(),
});

export type HouseRules = z.infer<typeof houseRulesSchema>;

/** Where a workshop starts that has not said anything. */
export const USUAL_HOUSE: HouseRules = {
  tennisCrosses: 'equal',
  badmintonCrosses: 'higher',
  squashCrosses: 'equal',
  hybrid: 'soft string higher',
  monofilament: 'by a share',
  stiffFrame: 'down with a sore arm',
  climate: 'small steps',
  knotPull: '10 % higher',
  preStretch: 'never',
  comeBack: 'by the curve',
  brokenString: 'the house pays',
  ahead: 'two',
  start: 'starting clamp',
  firstCrosses: 'two together',
  topCross: 'after three',
  bridge: 'on the last pull',
  tips: 'each once',
  monofilamentShare: 0.075,
  hybridShare: 0.1,
  crossesByN: null,
  benchPull: 'constant pull',
  lockOutShare: 0.075,
  lockOutMeasured: false,
  mostOutOfShapeMm: 4,
};

/**
 * Where a workshop stands today; as is usual while it has settled nothing.
 *
 * @example
 * rulesOf({ houseRules: null }).ahead // 'two'
 */
export const rulesOf = ({
  houseRules,
}: {
  readonly houseRules: HouseRules | null | undefined;
}): HouseRules => houseRules ?? USUAL_HOUSE;

/** House rules as they were kept: a question that was not asked yet then stands as is usual. */
export const keptHouseSchema = z
  .record(z.string(), z.unknown())
  .transform((kept) => ({ ...USUAL_HOUSE, ...kept }))
  .pipe(houseRulesSchema);

/**
 * Whether two workshops, or one at two times, stand alike on everything.
 *
 * @example
 * sameHouse(USUAL_HOUSE, { ...USUAL_HOUSE, ahead: 'one' }) // false
 */
export const sameHouse = (a: HouseRules, b: HouseRules): boolean =>
  (Object.keys(USUAL_HOUSE) as (keyof HouseRules)[]).every((name) => a[name] === b[name]);

/** The question on crosses against mains, by sport. */
export const CROSSES_QUESTION = {
  tennis: 'tennisCrosses',
  badminton: 'badmintonCrosses',
  squash: 'squashCrosses',
} as const satisfies Readonly<Record<Sport, HouseQuestionName>>;

const TWO_LB = newtons(2, 'lb');

/**
 * What a workshop's school puts on mains and crosses of a bed of one string, N.
 *
 * @example
 * crossesStep(USUAL_HOUSE, 'badminton').crossN // 8.896
 */
export function crossesStep(house: HouseRules, sport: Sport): Pulls {
  if (house.crossesByN !== null) return { mainN: 0, crossN: house.crossesByN };
  const school = house[CROSSES_QUESTION[sport]];
  switch (school) {
    case 'equal':
      return { mainN: 0, crossN: 0 };
    case 'lower':
      return { mainN: 0, crossN: -TWO_LB };
    case 'higher':
      return { mainN: 0, crossN: TWO_LB };
    case 'higher on the mean':
      return { mainN: -TWO_LB, crossN: TWO_LB };
  }
}

/**
 * Whether the house stretches a string of this family before it goes in.
 *
 * @example
 * preStretches({ ...USUAL_HOUSE, preStretch: 'gut and nylon' }, 'natural gut') // true
 */
export const preStretches = ({ preStretch }: HouseRules, family: Family): boolean =>
  preStretch === 'every string' || (preStretch === 'gut and nylon' && isSoftFamily(family));

/** A school on a question, as the key of what it says. */
type SchoolKey = { [Q in HouseQuestionName]: `house.${Q}.${SchoolOf<Q>}` }[HouseQuestionName];

const keyOf = (question: HouseQuestionName, school: string) =>
  `house.${question}.${school}` as SchoolKey;

/**
 * What a question asks.
 *
 * @example
 * questionWords('ahead') // 'Mains ahead on one side'
 */
export const questionWords = (question: HouseQuestionName): string =>
  english(message(`house.${question}`));

/**
 * Every school on a question: its name in the rules, what it does, and what it says for itself.
 *
 * @example
 * schoolsOn('badmintonCrosses').map(({ text }) => text) // ['crosses 2 lb higher', 'equal']
 */
export const schoolsOn = (question: HouseQuestionName) =>
  HOUSE_QUESTIONS[question].map((school) => ({
    school,
    text: english(message(keyOf(question, school))),
    why: english(message(`${keyOf(question, school)}.why`)),
  }));

/**
 * The words of the school that a workshop follows on a question.
 *
 * @example
 * schoolWords(USUAL_HOUSE, 'ahead') // 'two'
 */
export const schoolWords = <Q extends HouseQuestionName>(
  house: Pick<HouseRules, Q>,
  question: Q,
): string => english(message(keyOf(question, house[question])));

/**
 * What that school says for itself.
 *
 * @example
 * schoolWhy(USUAL_HOUSE, 'start').key // 'house.start.starting clamp.why'
 */
export const schoolWhy = <Q extends HouseQuestionName>(
  house: Pick<HouseRules, Q>,
  question: Q,
): Message => message(`${keyOf(question, house[question])}.why`);
