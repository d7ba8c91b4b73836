/** The small steps of the staircase: which reasons count beside each other, and what each still moves. */
import type { Newtons } from '../measure/quantities';
import { isTooFirm } from './last-job-rules';
import { aboveAdvice, RANKS, type AdviceCase, type Rule } from './rule';
import { RULES } from './rules';

/** Where a staircase starts. */
export type StartFrom = 'asked' | 'last job' | 'frame';

export type StepState =
  | { readonly is: 'in' }
  /** Switched off by the stringer. */
  | { readonly is: 'off' }
  /** It counts once the stringer takes it. */
  | { readonly is: 'offered' }
  /** Something of a higher rank pulls the other way. */
  | { readonly is: 'yields'; readonly to: string }
  /** The tension that it starts from was found with it. */
  | { readonly is: 'already in' };

/** Steps that the stringer has switched by hand, by id; true brings back one that had yielded. */
export type Switched = Readonly<Record<string, boolean>>;

interface SmallStep {
  readonly rule: Rule;
  readonly byN: Newtons;
  readonly state: StepState;
}

/** What a rule moves, N, and nothing when it does not hold. */
const movedBy = (rule: Rule, about: AdviceCase): number =>
  rule.small && rule.applies(about) ? rule.small.byN(about) : 0;

interface Moves {
  readonly rule: Rule;
  readonly wholeN: Newtons;
}

interface Weighed {
  /** Which count, the strongest rank first. */
  readonly active: readonly Moves[];
  /** Which yield, and to what. */
  readonly yielded: ReadonlyMap<Rule, string>;
}

/** Which of some small steps count beside each other. */
function weigh(inForce: readonly Moves[], from: StartFrom, switched: Switched): Weighed {
  const active: Moves[] = [];
  const yielded = new Map<Rule, string>();
  for (const rank of RANKS) {
    const here = inForce.filter(({ rule }) => rule.rank === rank);
    for (const { rule, wholeN } of here) {
      const stronger = active.find((other) => other.wholeN * wholeN < 0);
      if (from === 'asked' && RANKS.indexOf(rank) >= RANKS.indexOf('wish'))
        yielded.set(rule, 'what the client asks for');
      else if (stronger && rule.small?.kind === 'feel')
        yielded.set(rule, stronger.rule.title.toLowerCase());
    }
    const left = here.filter(({ rule }) => !yielded.has(rule) && rule.small?.kind === 'feel');
    if (rank === 'wish')
      for (const { rule, wholeN } of left) {
        const against = left.find(
          (other) => other.wholeN * wholeN < 0 && switched[other.rule.id] !== false,
        );
        if (against) yielded.set(rule, against.rule.title.toLowerCase());
      }
    // What the stringer has switched off is no reason against anything any more.
    active.push(...left.filter(({ rule }) => !yielded.has(rule) && switched[rule.id] !== false));
  }
  return { active, yielded };
}

const isCarried = ({ small, aboutLastJob, mayStay }: Rule): boolean =>
  small?.kind === 'feel' && !aboutLastJob && !mayStay;

/** What reasons of each direction had moved the last bed by, N; reasons that it was strung against had not. */
function carriedOver(about: AdviceCase): { readonly downN: Newtons; readonly upN: Newtons } {
  const { last, spec } = about;
  const then = last?.talk ? { ...about, talk: last.talk } : about;
  const { active } = weigh(
    RULES.filter(
      (rule) =>
        isCarried(rule) && rule.sports.includes(spec.sport) && (last?.talk || rule.standing),
    )
      .map((rule) => ({ rule, wholeN: movedBy(rule, then) }))
      .filter(({ wholeN }) => wholeN !== 0),
    'last job',
    {},
  );
  const sum = (sign: number) =>
    active.reduce((all, { wholeN }) => all + Math.max(0, sign * wholeN), 0);
  // Where a complaint takes the whole of it down by a step of its own, it is not taken twice.
  const overruledN = isTooFirm(about) ? 0 : aboveAdvice(about);
  return { downN: Math.max(0, sum(-1) - overruledN), upN: sum(1) };
}

/**
 * What each step still moves when the last job is the start, N. It is what all reasons of one direction move by now less
 * what they moved by then, whichever they were: the same half kilogram is not taken twice. What was wished or feared then
 * and is not any more is nobody's reason to go the other way by itself.
 */
function movedSince(
  all: readonly Moves[],
  { active }: Weighed,
  about: AdviceCase,
): ReadonlyMap<Rule, Newtons> {
  const { downN, upN } = carriedOver(about);
  const then = about.last?.talk && { ...about, talk: about.last.talk };
  const left = { '-1': downN, '1': upN };
  const moved = new Map<Rule, Newtons>();
  const counts = new Set(active.map(({ rule }) => rule));
  // What counted then and counts now is what was carried over first.
  const before = (rule: Rule) => (then ? movedBy(rule, then) !== 0 : rule.standing === true);
  const inTurn = all.toSorted((a, b) => Number(before(b.rule)) - Number(before(a.rule)));
  for (const { rule, wholeN } of inTurn) {
    const thenN = then ? movedBy(rule, then) : 0;
    if (rule.mayStay) moved.set(rule, Math.max(0, wholeN - thenN));
    else if (rule.small?.kind === 'place') moved.set(rule, wholeN - thenN);
    else if (!isCarried(rule) || !counts.has(rule)) moved.set(rule, wholeN);
    else {
      const sign = wholeN < 0 ? '-1' : '1';
      const taken = Math.min(left[sign], Math.abs(wholeN));
      left[sign] -= taken;
      moved.set(rule, wholeN - Number(sign) * taken);
    }
  }
  return moved;
}

/**
 * The small steps of a case, each with what it moves from where the staircase starts; what moves nothing and moved nothing
 * is left out.
 *
 * @example
 * smallSteps(usual.about, 'frame', {}).every(({ rule }) => rule.small !== undefined) // true
 */
export function smallSteps(
  about: AdviceCase,
  from: StartFrom,
  switched: Switched,
): readonly SmallStep[] {
  const all = RULES.filter(
    (rule) =>
      rule.small &&
      rule.sports.includes(about.spec.sport) &&
      (from === 'last job' || !rule.onlyFromLastJob),
  ).map((rule) => ({ rule, wholeN: movedBy(rule, about) }));
  const inForce = all.filter(({ wholeN }) => wholeN !== 0);
  const weighed = weigh(inForce, from, switched);
  // By all that would count: what is switched off takes exactly itself away.
  const moved = from === 'last job' ? movedSince(all, weigh(inForce, from, {}), about) : undefined;
  return all.flatMap(({ rule, wholeN }): SmallStep[] => {
    const byN = moved?.get(rule) ?? wholeN;
    if (wholeN === 0 && byN === 0) return [];
    const to = weighed.yielded.get(rule);
    const said = switched[rule.id];
    const state: StepState =
      Math.abs(byN) < 1e-9
        ? { is: 'already in' }
        : said === false
          ? { is: 'off' }
          : to !== undefined && said !== true
            ? { is: 'yields', to }
            : { is: 'in' };
    return [{ rule, byN: Math.abs(byN) < 1e-9 ? wholeN : byN, state }];
  });
}
