/** The first pass: what is threaded and pulled, string by string, in the order of the pulls. */
import { isMain, type StringName } from '../../terms/string-name';
import type { Newtons } from '../../measure/quantities';
import { schoolWhy } from '../../house/house-rules';
import { formatTension } from '../../measure/units';
import { message, type Message } from '../../terms/words/english';
import type { Action, StrungEnd, Way } from '../actions';
import type { BenchPlan, BenchStep, StepKind } from '../plan';
import type { Ends } from './ends';

/** A step before its clamps are worked out. */
export interface Move {
  readonly step: Omit<BenchStep, 'actions'>;
  /** How many strings of the order are in with it. */
  readonly inSoFar: number;
  readonly hands: readonly Action[];
  /** Ends that a clamp comes onto while the head pulls. */
  readonly clamped: readonly StrungEnd[];
  /** It says so where the starting clamp lends itself. */
  readonly tellsLending?: true;
}

type Hands = Partial<Pick<Move, 'hands' | 'clamped' | 'tellsLending'>>;
type More = Omit<Move['step'], 'kind' | 'words'>;

/** Every move from the centre mains to the last cross; knots, clamps and covered holes come later. */
export function movesOf(plan: BenchPlan, ends: Ends): readonly Move[] {
  const { custom, path } = plan;
  const { order } = path;
  const moves: Move[] = [];
  let inSoFar = 2;
  const add = (kind: StepKind, words: readonly Message[], hands: Hands, more: More) => {
    moves.push({ step: { kind, words, ...more }, inSoFar, hands: [], clamped: [], ...hands });
  };

  const woven = new Set<StringName>();
  const thread = (...strings: readonly StringName[]): readonly Action[] =>
    strings
      .filter((string) => !woven.has(string))
      .map((string) => {
        woven.add(string);
        return ends.thread(string);
      });

  /** A pull with its clamp; the last of a piece at the figure of its knot, and again where the house does so. */
  function pull(string: StringName, way: Way, before: readonly Action[], words: Message): void {
    const end = { string, way };
    const isLast = ends.isLast(end);
    const pullN = isLast ? ends.knotN(string) : ends.setN(string);
    const place = ends.inAndOut(string, way);
    const clauses = [
      ...(isLast ? [message('clause.last before its knot')] : []),
      ...(isMain(string) ? [] : [message('clause.straighten')]),
    ];
    add(
      'pull',
      [words, ...clauses],
      { hands: [...before, { do: 'pull', ...end, pullN }], clamped: [end], tellsLending: true },
      { ...place, pullN, ...(isLast && { why: schoolWhy(custom, 'knotPull') }) },
    );
    if (isLast && custom.knotPull === 'pull again')
      add(
        'pull again',
        [message('step.pull again', { string, figure: formatTension(pullN, plan.tension.unit) })],
        { hands: [{ do: 'pull', ...end, pullN }], clamped: [end] },
        { ...place, pullN },
      );
  }

  /** A string that a starting clamp held is pulled by itself, and that clamp comes off. */
  function pullFromClamp(end: StrungEnd, pullN: Newtons, words: Message): void {
    const hands: readonly Action[] = [{ do: 'pull', ...end, pullN }];
    const place = ends.inAndOut(end.string, end.way);
    add('pull', [words], { hands, clamped: [end] }, { ...place, pullN });
  }

  function startMains(one: StringName, other: StringName): void {
    const [end, otherEnd] = [one, other].map((string) => ({ string, way: ends.wayOf(string) })) as [
      StrungEnd,
      StrungEnd,
    ];
    const why = schoolWhy(custom, 'start');
    if (custom.start === 'starting clamp') {
      add(
        'start',
        [message('step.start.mains by clamp', { one, other })],
        { hands: [...thread(one, other), { do: 'grip outside', ...otherEnd }] },
        { ...ends.inAndOut(other, otherEnd.way), why },
      );
      pull(one, end.way, [], message('step.pull.and clamp', { string: one }));
      pullFromClamp(otherEnd, ends.setN(other), message('step.pull.come back', { string: other }));
      return;
    }
    const pullN = ends.setN(one) / 2;
    add(
      'start',
      [message('step.start.mains at half', { one, other })],
      {
        hands: [...thread(one, other), { do: 'pull', ...end, pullN, and: otherEnd }],
        clamped: [end, otherEnd],
      },
      { ...ends.inAndOut(one, end.way), pullN, why },
    );
    for (const { string, way } of [end, otherEnd])
      pull(string, way, [], message('step.pull.in full', { string }));
  }

  /** The first two crosses of a piece of their own; `first` comes first in the order of the pulls. */
  function startCrosses(first: StringName, second: StringName): void {
    add('set tension', [message('step.set tension.crosses')], {}, { pullN: plan.tension.crossN });
    const [top, next] = ends.indexOf(first) === 0 ? [first, second] : [second, first];
    const why = schoolWhy(custom, 'firstCrosses');
    if (custom.firstCrosses === 'two together') {
      add(
        'start',
        [message('step.start.crosses together', { top, next })],
        { hands: [...thread(top, next), { do: 'grip outside', string: top, way: -1 }] },
        // As it is woven; its pull comes back the other way.
        { ...ends.inAndOut(top, 1), why },
      );
      pull(next, 1, [], message('step.pull.through', { string: next, top }));
      return;
    }
    add(
      'start',
      [message('step.start.second cross first', { top, next })],
      { hands: [...thread(top, next), { do: 'grip outside', string: next, way: -1 }] },
      { ...ends.inAndOut(next, 1), why },
    );
    pull(next, 1, [], message('step.pull', { string: next }));
    const alone = message('step.pull.alone', { string: top });
    pullFromClamp({ string: top, way: -1 }, ends.knotN(top), alone);
  }

  const [one, other] = order as [StringName, StringName];
  startMains(one, other);
  let crossesBegun = false;
  while (inSoFar < order.length) {
    const string = order[inSoFar] as StringName;
    const ahead = order[inSoFar + 1];
    inSoFar++;
    if (isMain(string)) {
      pull(string, ends.wayOf(string), thread(string), message('step.pull', { string }));
    } else if (ends.pieceOf(string) !== ends.pieceOf(one) && !crossesBegun) {
      crossesBegun = true;
      inSoFar++;
      startCrosses(string, ahead as StringName);
    } else {
      // One cross is woven ahead of the pull.
      const next = ahead === undefined || isMain(ahead) ? [] : [ahead];
      const weave = [string, ...next].filter((each) => !woven.has(each));
      const words =
        weave.length > 0
          ? message('step.pull.weave', { woven: weave, string })
          : message('step.pull', { string });
      pull(string, ends.wayOf(string), thread(string, ...next), words);
    }
  }
  return moves;
}
