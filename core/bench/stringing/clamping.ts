/** The third pass: the clamps of every move, and the ties in the order in which clamps are there for them. */
import { placeName } from '../../path/segments';
import { message } from '../../terms/words/english';
import { clampOnto, lendingWords } from '../clamps';
import type { BenchPlan, BenchStep } from '../plan';
import { applyAll, holderOf, lastPull, openState } from '../state';
import type { Ends } from './ends';
import type { DueKnot, MoveAndKnots } from './knots';
import type { Move } from './moves';

export function clampedSteps(
  list: readonly MoveAndKnots[],
  { path, machine }: BenchPlan,
  ends: Ends,
): readonly BenchStep[] {
  const steps: BenchStep[] = [];
  let state = openState(path);

  function add({ step, hands, clamped, tellsLending }: Omit<Move, 'inSoFar'>): void {
    state = applyAll(state, hands);
    const moved = clamped.flatMap((end, i) => {
      const all = clampOnto(state, end, machine);
      // With two tails in its gripper the head lets go when both are clamped.
      const actions =
        i < clamped.length - 1 ? all.filter(({ do: what }) => what !== 'let go') : all;
      state = applyAll(state, actions);
      return actions;
    });
    const lending = tellsLending && step.string ? lendingWords(step.string, moved) : undefined;
    steps.push({
      ...step,
      words: [...step.words, ...(lending?.words ?? [])],
      ...(lending?.caution && { caution: lending.caution }),
      actions: [...hands, ...moved],
    });
  }

  /** What the starting clamp holds is taken in the head again, and clamped for its knot. */
  function takeFromStartingClamp({ string, way }: DueKnot): void {
    const pullN = ends.knotN(string);
    const isFirst = lastPull(state, string) === undefined;
    add({
      step: {
        kind: 'pull again',
        words: [
          isFirst
            ? message('step.pull again.come back', { string })
            : message('step.pull again.for its knot', { string }),
        ],
        ...ends.inAndOut(string, way),
        pullN,
      },
      hands: [{ do: 'pull', string, way, pullN }],
      clamped: [{ string, way }],
    });
  }

  function tie(due: DueKnot): void {
    const { string, way, knot } = due;
    if (holderOf(state, due) === 'starting clamp') takeFromStartingClamp(due);
    const at = { hole: knot.hole, side: knot.side };
    add({
      step: {
        kind: 'tie',
        words: [message('step.tie', { string, at: placeName(at) })],
        string,
        at,
        ...(!knot.bored && { caution: message('step.tie.caution') }),
      },
      hands: [
        { do: 'tie', string, way, at },
        { do: 'free', holder: holderOf(state, due) ?? 'clamp 1' },
      ],
      clamped: [],
    });
  }

  for (const { move, due } of list) {
    add(move);
    // What has a clamp is tied first: its clamp then serves what the starting clamp holds meanwhile.
    const isLent = (each: DueKnot) =>
      lastPull(state, each.string) !== undefined && holderOf(state, each) === 'starting clamp';
    const inTurn = due.toSorted((a, b) => Number(isLent(a)) - Number(isLent(b)));
    for (const each of inTurn) tie(each);
  }
  return steps;
}
