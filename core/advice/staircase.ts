/** The staircase: from the start, one step for each reason, to the figures that will be pulled. */
import type { Newtons } from '../measure/quantities';
import { printedRange, type FrameSpec } from '../frame/frame';
import { schoolWords } from '../house/house-rules';
import type { Sport } from '../terms/sport';
import { MOST_CROSS_DIFFERENCE, USUAL_PULL_N } from '../measure/pull-limits';
import { MONOFILAMENT_MOST_N } from './tension';
import {
  TICKET_STEP,
  formatTension,
  formatTicket,
  inTensionUnit,
  newtons,
  type Pulls,
  type TensionUnit,
  type TicketTension,
} from '../measure/units';
import {
  isMonofilament,
  STEP_N,
  type AdviceCase,
  groundsOf,
  type Grounds,
  type Strung,
  type Translation,
} from './rule';
import { smallSteps, type StartFrom, type StepState, type Switched } from './small-steps';
import { add, sameFamilies, shareOfReference, TRANSLATIONS } from './translations';

export interface Step extends Grounds {
  /** Where the workshop stands, when schools differ. */
  readonly school: string | undefined;
  readonly state: StepState;
  readonly canSwitch: boolean;
  /** What it moves, or would move, N. */
  readonly by: Pulls;
  /** The figures after it, N, not yet rounded. */
  readonly after: Pulls;
}

export interface Staircase {
  readonly steps: readonly Step[];
  /** Before rounding, N: the same in every unit. */
  readonly exact: Pulls;
  /** Rounded to what a machine and a hand can tell. */
  readonly ticket: TicketTension;
}

/** All small steps together move the reference at most this far, but those of safety: practice moves by 1 to 2 kg a time. */
export const MOST_MOVED_N = 2 * STEP_N;

/** For a frame whose range nobody can read. Tennis: common practice; the others from memory. */
const UNKNOWN_FRAME: Record<Sport, string> = {
  tennis: '23 to 24 kg, an adult tennis frame of unknown range.',
  badminton: '24 lb, a badminton frame of unknown range.',
  squash: '26 lb, a squash frame of unknown range.',
};

/** Advice by itself does not go below this; a client who asks may. From memory: extremes of 6 to 7 kg are seen in tennis. */
export const LEAST_N: Record<Sport, number> = {
  tennis: newtons(10, 'kg'),
  badminton: newtons(14, 'lb'),
  squash: newtons(16, 'lb'),
};

interface Start {
  readonly step: Omit<Step, 'state' | 'by' | 'after' | 'school'>;
  readonly pulls: Pulls;
  readonly from: StartFrom;
  /** The figures are already those of mains and crosses of this bed. */
  readonly translated: boolean;
}

const same = (n: number): Pulls => ({ mainN: n, crossN: n });

/** The reference pull of which a ticket is the translation, by its mains, which are felt most. */
function referenceOf(about: AdviceCase, strung: Strung, { mainN }: Pulls): number {
  // A translation is a share of the reference and a fixed part, so two of them give both.
  const atNone = shareOfReference(about, strung, 0).mainN;
  const share = shareOfReference(about, strung, 1).mainN - atNone;
  // A house that puts monofilament at the low end of the range puts every reference there.
  return 1 + share < 1e-6 ? frameStart(about.spec) : (mainN - atNone) / (1 + share);
}

/** The middle of the printed range, or what an unknown frame is started at, N. */
function frameStart(spec: FrameSpec): number {
  const range = printedRange(spec);
  return range ? (range.minN + range.maxN) / 2 : USUAL_PULL_N[spec.sport];
}

/** By how much the crosses of a job stood off what its own rules would have made of them, N. */
function ownCrosses(about: AdviceCase, strung: Strung, { mainN, crossN }: Pulls): number {
  const reference = referenceOf(about, strung, { mainN, crossN });
  const usual = reference + shareOfReference(about, strung, reference).crossN;
  const off = crossN - usual;
  return Math.abs(off) < 1e-6 ? 0 : off;
}

/** What the last job says of another bed: its reference, with the crosses as far off as they were. */
function fromLast(about: AdviceCase, known: Strung, tension: Pulls): Pulls {
  const mainN = referenceOf(about, known, tension);
  return { mainN, crossN: mainN + ownCrosses(about, known, tension) };
}

/** Where the staircase could start, the strongest first; what the frame says is always there. */
function startsOf(about: AdviceCase, strung: Strung): readonly Start[] {
  const { spec, talk, last } = about;
  const facts = { rank: 'default', confidence: 'sure', canSwitch: true } as const;
  const starts: Start[] = [];
  if (talk.asks)
    starts.push({
      step: {
        ...facts,
        id: 'asked',
        rank: 'wish',
        title: 'What the client asks for',
        why: `They ask for ${formatTicket(talk.asks)}. A clear wish comes before house rules and defaults.`,
        source: 'common practice',
      },
      pulls: talk.asks,
      from: 'asked',
      translated: true,
    });
  if (last) {
    const known = last.strung;
    const translated = !known || sameFamilies(known, strung);
    starts.push({
      step: {
        ...facts,
        id: 'last job',
        title: 'The last job',
        why: translated
          ? `${formatTicket(last.tension)} was in it. The next job starts from the last one.`
          : `${formatTicket(last.tension)} was in it, of ${familiesOf(known)}: as much as this in a soft string.`,
        source: 'common practice',
      },
      pulls: translated ? last.tension : fromLast(about, known, last.tension),
      from: 'last job',
      translated,
    });
  }
  const range = printedRange(spec);
  const unknown = UNKNOWN_FRAME[spec.sport];
  const figure = (n: number) => formatTension(n, spec.tension?.unit ?? 'kg');
  starts.push({
    step: {
      ...facts,
      id: 'start',
      title: range ? 'The middle of the printed range' : 'The usual start',
      why: range
        ? `The throat says ${figure(range.minN)} to ${figure(range.maxN)}; its middle leaves room both ways.`
        : `${unknown} Read the range in the throat when there is one.`,
      source: !range && spec.sport !== 'tennis' ? 'from memory' : 'common practice',
      canSwitch: false,
    },
    pulls: same(frameStart(spec)),
    from: 'frame',
    translated: false,
  });
  return starts;
}

const familiesOf = ({ mains, crosses }: Strung): string =>
  mains.family === crosses.family ? mains.family : `${mains.family} and ${crosses.family}`;

/** Highest pulls of this bed, N: what is printed on the frame, and what monofilament takes. */
function ceilings({ spec }: AdviceCase, { mains, crosses }: Strung): Pulls {
  const printed = printedRange(spec)?.maxN ?? Infinity;
  const of = (mono: boolean) =>
    Math.min(printed, mono && spec.sport === 'tennis' ? MONOFILAMENT_MOST_N : Infinity);
  return { mainN: of(isMonofilament(mains)), crossN: of(isMonofilament(crosses)) };
}

/** A figure rounded to the smallest step worth writing down, and never above its ceiling. */
function rounded(n: number, unit: TensionUnit, ceilingN: Newtons): number {
  const step = TICKET_STEP[unit];
  const nearest = newtons(inTensionUnit(n, unit, step), unit);
  return nearest > ceilingN + 1e-6
    ? newtons(Math.floor(ceilingN / newtons(step, unit) + 1e-9) * step, unit)
    : nearest;
}

/** What is offered waits for a tick; all else counts until it is taken away. */
const stateOf = ({ id, offered }: Translation, switched: Switched): StepState => {
  if (offered && switched[id] !== true) return { is: 'offered' };
  return switched[id] === false ? { is: 'off' } : { is: 'in' };
};

/**
 * The staircase for one bed, in the unit the ticket will be written in.
 * Its rules and their sources are listed in docs/method.md.
 *
 * @example
 * climb(usual.about, usual.strung, 'kg').ticket.unit // 'kg'
 */
export function climb(
  about: AdviceCase,
  strung: Strung,
  unit: TensionUnit,
  switched: Switched = {},
): Staircase {
  const { spec, house } = about;
  const starts = startsOf(about, strung);
  const chosen = starts.findIndex(({ step }) => switched[step.id] !== false);
  const start = starts[chosen] as Start;
  let after = start.pulls;
  const steps: Step[] = [
    { ...start.step, school: undefined, state: { is: 'in' }, by: start.pulls, after },
    // A start that was switched off stays in sight, so that it can be switched on again.
    ...starts.slice(0, chosen).map(({ step, pulls }): Step => ({
      ...step,
      school: undefined,
      state: { is: 'off' },
      by: add(pulls, { mainN: -after.mainN, crossN: -after.crossN }),
      after,
    })),
  ];
  const take = (step: Omit<Step, 'after'>) => {
    if (step.state.is === 'in') after = add(after, step.by);
    steps.push({ ...step, after });
  };

  // What was above the print is counted down from the print: an arm that hurts gets its step all the same.
  if (start.from === 'last job') limit(about, strung, after, 'before').forEach(take);
  let smallN = 0;
  for (const { rule, byN, state } of smallSteps(about, start.from, switched)) {
    if (state.is === 'in' && !rule.unbound) smallN += byN;
    const undone = !rule.applies(about);
    take({
      ...groundsOf(rule),
      title: undone ? `Not any more: ${rule.title.toLowerCase()}` : rule.title,
      why: undone ? 'It was reckoned in last time and does not hold now.' : rule.why,
      school: rule.school && schoolWords(house, rule.school),
      state,
      canSwitch: state.is !== 'already in',
      by: same(byN),
    });
  }
  const overN = Math.max(-MOST_MOVED_N, Math.min(MOST_MOVED_N, smallN)) - smallN;
  if (Math.abs(overN) > 1e-9)
    take({
      id: 'bound',
      title: 'Not more than 2 kg at a time',
      why: 'Small reasons add up to more than anybody can judge at once: move 1 to 2 kg, play, and see.',
      rank: 'default',
      confidence: 'usual',
      source: 'common practice',
      school: undefined,
      state: { is: 'in' },
      canSwitch: false,
      by: same(overN),
    });

  const referenceN = start.pulls.mainN;
  for (const rule of TRANSLATIONS) {
    if (!rule.sports.includes(spec.sport) || !rule.applies(about, strung)) continue;
    // A last job was found with whatever was done to its crosses.
    if (rule.offered && start.from === 'last job') continue;
    if (!rule.offered && (rule.kind === 'machine' ? start.from === 'frame' : start.translated))
      continue;
    take({
      ...groundsOf(rule),
      school: rule.school && schoolWords(house, rule.school),
      state: stateOf(rule, switched),
      canSwitch: true,
      by: rule.by(about, strung, referenceN),
    });
  }

  const least = Math.min(LEAST_N[spec.sport], start.pulls.mainN, start.pulls.crossN);
  limit(about, strung, after, 'after', least).forEach(take);
  apart(after).forEach(take);
  const ceiling = ceilings(about, strung);
  const mainN = rounded(after.mainN, unit, ceiling.mainN);
  return {
    steps,
    exact: after,
    ticket: {
      mainN,
      crossN: notFartherApart(mainN, rounded(after.crossN, unit, ceiling.crossN), unit),
      unit,
    },
  };
}

/** Crosses that schools and wishes together would put farther from the mains than a ticket takes. */
function apart({ mainN, crossN }: Pulls): readonly Omit<Step, 'after'>[] {
  const most = MOST_CROSS_DIFFERENCE * mainN;
  const byN = Math.min(mainN + most, Math.max(mainN - most, crossN)) - crossN;
  if (Math.abs(byN) < 1e-9) return [];
  return [
    {
      id: 'not farther apart',
      title: 'Not farther apart than 30 %',
      why: 'Crosses that differ more from their mains pull the head out of shape, and no ticket takes them.',
      rank: 'frame limits',
      confidence: 'usual',
      source: 'from memory',
      school: undefined,
      state: { is: 'in' },
      canSwitch: false,
      by: { mainN: 0, crossN: byN },
    },
  ];
}

/** Rounding may have put them a step farther apart. */
function notFartherApart(mainN: Newtons, crossN: Newtons, unit: TensionUnit): Newtons {
  const farN = Math.abs(crossN - mainN) - MOST_CROSS_DIFFERENCE * mainN;
  return farN > 1e-6
    ? crossN + Math.sign(mainN - crossN) * newtons(TICKET_STEP[unit], unit)
    : crossN;
}

/**
 * What safety and the frame still take away or add, in that order; before the small steps or after them.
 * Lowering has no hard floor: `leastN` keeps advice from going lower by itself than anybody has asked for.
 */
function limit(
  about: AdviceCase,
  strung: Strung,
  n: Pulls,
  when: 'before' | 'after',
  leastN = 0,
): readonly Omit<Step, 'after'>[] {
  const { sport } = about.spec;
  const steps: Omit<Step, 'after'>[] = [];
  let now = n;
  const between = (least: Pulls, most: Pulls, said: Grounds) => {
    const held = {
      mainN: Math.min(most.mainN, Math.max(least.mainN, now.mainN)),
      crossN: Math.min(most.crossN, Math.max(least.crossN, now.crossN)),
    };
    const by = { mainN: held.mainN - now.mainN, crossN: held.crossN - now.crossN };
    if (Math.abs(by.mainN) < 1e-9 && Math.abs(by.crossN) < 1e-9) return;
    const id = when === 'before' ? `${said.id} before` : said.id;
    steps.push({ ...said, id, school: undefined, state: { is: 'in' }, canSwitch: false, by });
    now = held;
  };
  const mono = sport === 'tennis' ? MONOFILAMENT_MOST_N : Infinity;
  between(
    same(leastN),
    {
      mainN: isMonofilament(strung.mains) ? mono : Infinity,
      crossN: isMonofilament(strung.crosses) ? mono : Infinity,
    },
    {
      id: 'safe pull',
      title: 'What is safe to play with',
      why: `Monofilament is not pulled above 27 kg, where it is hard on the arm; and advice by itself does not go below ${formatTension(LEAST_N[sport], sport === 'tennis' ? 'kg' : 'lb')}, which is an extreme of professionals.`,
      rank: 'safety',
      confidence: 'usual',
      source: 'common practice',
    },
  );
  between(same(0), same(printedRange(about.spec)?.maxN ?? Infinity), {
    id: 'printed maximum',
    title: 'The printed maximum',
    why: 'More than the maker prints can break the frame: only with the owner’s written word, and never by advice.',
    rank: 'frame limits',
    confidence: 'sure',
    source: 'common practice',
  });
  return steps;
}
