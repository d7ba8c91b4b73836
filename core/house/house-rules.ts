/** Questions on which good stringers differ, and where a workshop stands on each. */
import { z } from 'zod';
import { isSoftFamily, type Family } from '../terms/family';
import type { Sport } from '../terms/sport';
import { newtons } from '../measure/units';

interface School {
  readonly text: string;
  /** What its followers say for it. */
  readonly why: string;
}

export interface HouseQuestion {
  readonly title: string;
  readonly schools: Readonly<Record<string, School>>;
}

/** Every question with its schools and their reasons. Common practice, no source. */
export const HOUSE_QUESTIONS = {
  tennisCrosses: {
    title: 'Tennis, one string: crosses against mains',
    schools: {
      equal: { text: 'equal', why: 'One figure is simple, and the client can name it.' },
      lower: {
        text: 'crosses 2 lb lower',
        why: 'Crosses cut the mains; lower ones prolong their life at no felt loss.',
      },
      'higher on the mean': {
        text: 'mains 2 lb lower, crosses 2 lb higher',
        why: 'Crosses lose pull to the weave, draw the distorted hoop back and raise the mains; the mean stays the reference.',
      },
    },
  },
  badmintonCrosses: {
    title: 'Badminton: crosses against mains',
    schools: {
      higher: {
        text: 'crosses 2 lb higher',
        why: 'The mains widen the head; crosses a little tighter bring its shape back.',
      },
      equal: { text: 'equal', why: 'Less load on the sides of a light frame.' },
    },
  },
  squashCrosses: {
    title: 'Squash: crosses against mains',
    schools: {
      equal: { text: 'equal', why: 'The bed is long and narrow; the mains do most of the work.' },
      lower: {
        text: 'crosses 2 lb lower',
        why: 'Short crosses feel tight at the same figure and cut the mains.',
      },
    },
  },
  hybrid: {
    title: 'Hybrid of soft string and monofilament',
    schools: {
      'soft string higher': {
        text: 'the soft string a share above the monofilament',
        why: 'Monofilament is stiffer at the same figure; 10 % apart, 45 beside 50 lb, feels like one string.',
      },
      'each by its own rule': {
        text: 'each string by the monofilament rule alone',
        why: 'The monofilament is already lowered once; more makes the bed uneven.',
      },
    },
  },
  monofilament: {
    title: 'Monofilament instead of a soft string',
    schools: {
      'by a share': {
        text: 'lower by a share',
        why: 'Stiffness goes with the pull, so a share of it fits every frame.',
      },
      'low end of the range': {
        text: 'at the low end of the printed range',
        why: 'Nothing to work out, and the maker stands behind the figure.',
      },
    },
  },
  stiffFrame: {
    title: 'A stiff frame',
    schools: {
      'down with a sore arm': {
        text: 'lower with any arm trouble, else as it is',
        why: 'The arm decides; without trouble the frame alone is no reason.',
      },
      up: { text: 'higher', why: 'A stiff frame is lively; a firmer bed brings it under control.' },
      down: { text: 'lower', why: 'The shock that the frame does not take, the bed must.' },
    },
  },
  climate: {
    title: 'Altitude, heat, cold and season',
    schools: {
      'small steps': {
        text: 'move by small steps',
        why: 'Thin or warm air makes the ball livelier, damp and cold make it heavy.',
      },
      'leave it': {
        text: 'leave the tension',
        why: 'The days differ more than half a kilogram can follow.',
      },
    },
  },
  bridge: {
    title: 'A bridge where a tail does not reach the gripper',
    schools: {
      'on the last pull': {
        text: 'where there is not enough, on the last pull',
        why: 'A second clamp and a length of scrap string lend a hand’s breadth, and a half set goes further.',
      },
      never: {
        text: 'never',
        why: 'A bridge can slip and gives a little, so the last string is not sure of its figure: cut more.',
      },
    },
  },
  tips: {
    title: 'What the bench says at the step',
    schools: {
      'each once': {
        text: 'each thing once, where it matters',
        why: 'A reminder at the string in hand costs a glance and saves a bed.',
      },
      'notes only': {
        text: 'only notes of the frame and the racket, and cautions',
        why: 'A hand that has strung a thousand needs no telling.',
      },
    },
  },
  knotPull: {
    title: 'The last pull before a knot',
    schools: {
      '10 % higher': {
        text: '10 % higher',
        why: 'Makes up for what the string draws back between clamp and knot.',
      },
      '5 lb higher': { text: '5 lb higher', why: 'The same, without reckoning.' },
      'pull again': {
        text: 'the same figure again, with the clamp base pushed to the head',
        why: 'No string is ever above its figure; the slack is taken out of the clamp instead.',
      },
    },
  },
  ahead: {
    title: 'Mains ahead on one side',
    schools: {
      one: {
        text: 'one',
        why: 'The hoop is pulled out of shape least; left and right then ring alike.',
      },
      two: { text: 'two', why: 'Half the walking round the machine, and still close to even.' },
      three: { text: 'three', why: 'Quick, and no more than a frame should bear.' },
      'three then six': {
        text: 'three, then six by turns',
        why: 'Never more than three ahead, with the fewest changes of side.',
      },
      four: {
        text: 'four in badminton, elsewhere three',
        why: 'Thin strings at low loads distort the hoop less, and eleven mains a side want pace.',
      },
    },
  },
  start: {
    title: 'Starting the mains',
    schools: {
      'starting clamp': {
        text: 'a starting clamp outside on one, then pull its neighbour',
        why: 'Each main is pulled on its own from the first.',
      },
      'both at half': {
        text: 'both centre mains together at half tension, then each in full',
        why: 'No starting clamp presses on the frame.',
      },
    },
  },
  firstCrosses: {
    title: 'Starting the crosses',
    schools: {
      'two together': {
        text: 'two woven and pulled together, the first pulled again later',
        why: 'One starting clamp does it, and the first is tied when others hold the bed.',
      },
      'second first': {
        text: 'the second first, then the top one alone',
        why: 'The top cross has its full pull before anything hangs on it.',
      },
    },
  },
  topCross: {
    title: 'Tying the top cross off',
    schools: {
      'after three': {
        text: 'after three more crosses',
        why: 'The starting clamp comes off early, and the bed holds it by then.',
      },
      'at the end': {
        text: 'when all crosses are in',
        why: 'Both knots of the crosses are tied in one go, with nothing more to pull.',
      },
    },
  },
  preStretch: {
    title: 'Pre-stretch',
    schools: {
      never: { text: 'never', why: 'It takes liveliness out of the string.' },
      'gut and nylon': {
        text: 'natural gut, multifilament and synthetic gut',
        why: 'Takes out early creep: the bed starts steadier and stays so.',
      },
      'every string': { text: 'every string', why: 'Every bed settles before it is handed over.' },
    },
  },
} as const satisfies Record<string, HouseQuestion>;

export type HouseQuestionName = keyof typeof HOUSE_QUESTIONS;
type SchoolOf<Q extends HouseQuestionName> = keyof (typeof HOUSE_QUESTIONS)[Q]['schools'] & string;

export const HOUSE_QUESTION_NAMES = Object.keys(HOUSE_QUESTIONS) as HouseQuestionName[];

const oneOf = <Q extends HouseQuestionName>(question: Q) =>
  z.enum(Object.keys(HOUSE_QUESTIONS[question].schools) as [SchoolOf<Q>, ...SchoolOf<Q>[]]);

const schoolsShape = {
  tennisCrosses: oneOf('tennisCrosses'),
  badmintonCrosses: oneOf('badmintonCrosses'),
  squashCrosses: oneOf('squashCrosses'),
  hybrid: oneOf('hybrid'),
  monofilament: oneOf('monofilament'),
  stiffFrame: oneOf('stiffFrame'),
  climate: oneOf('climate'),
  knotPull: oneOf('knotPull'),
  preStretch: oneOf('preStretch'),
  ahead: oneOf('ahead'),
  start: oneOf('start'),
  firstCrosses: oneOf('firstCrosses'),
  topCross: oneOf('topCross'),
  bridge: oneOf('bridge'),
  tips: oneOf('tips'),
} satisfies Record<HouseQuestionName, z.ZodType>;

/** The sentence for each figure that is out of its bounds. */
export const HOUSE_FIGURE_LIMITS = {
  monofilamentShare: 'Monofilament is lowered by 0 to 20 %: 5 to 10 in practice.',
  hybridShare: 'The soft string is 0 to 20 % above the monofilament: 10 in practice.',
  crossesByN: 'Crosses differ from mains by at most 10 lb, or 4.5 kg.',
  lockOutShare: 'A lock-out settles 0 to 20 % lower than a constant pull: 5 to 10 from memory.',
} as const;

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
};

/** House rules as they were kept: a question that was not asked yet then stands as is usual. */
export const keptHouseSchema = z
  .record(z.string(), z.unknown())
  .transform((kept) => ({ ...USUAL_HOUSE, ...kept }))
  .pipe(houseRulesSchema);

/** Whether two workshops, or one at two times, stand alike on everything. */
export const sameHouse = (a: HouseRules, b: HouseRules): boolean =>
  (Object.keys(USUAL_HOUSE) as (keyof HouseRules)[]).every((name) => a[name] === b[name]);

const TWO_LB = newtons(2, 'lb');

/** What a workshop's school puts on mains and crosses of a bed of one string, N. */
export function crossesStep(
  house: HouseRules,
  sport: Sport,
): { readonly mainN: number; readonly crossN: number } {
  if (house.crossesByN !== null) return { mainN: 0, crossN: house.crossesByN };
  const school = {
    tennis: house.tennisCrosses,
    badminton: house.badmintonCrosses,
    squash: house.squashCrosses,
  }[sport];
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

/** Whether the house stretches a string of this family before it goes in. */
export const preStretches = ({ preStretch }: HouseRules, family: Family): boolean =>
  preStretch === 'every string' || (preStretch === 'gut and nylon' && isSoftFamily(family));

const schoolOn = <Q extends HouseQuestionName>(house: Pick<HouseRules, Q>, question: Q) =>
  (HOUSE_QUESTIONS[question].schools as Readonly<Record<string, School>>)[house[question]];

/** The words of the school that a workshop follows on a question. */
export const schoolWords = <Q extends HouseQuestionName>(
  house: Pick<HouseRules, Q>,
  question: Q,
): string => schoolOn(house, question)?.text ?? '';

/** What that school says for itself. */
export const schoolWhy = <Q extends HouseQuestionName>(
  house: Pick<HouseRules, Q>,
  question: Q,
): string => schoolOn(house, question)?.why ?? '';
