/** Back to an earlier step at the bench: what is released, in which order, so that nothing goes slack. */
import type { StringName } from '../terms/string-name';
import type { Newtons } from '../measure/quantities';
import type { Path } from '../path/path';
import { listed } from '../terms/listed';
import { english, message, sentence, type Message } from '../terms/words/english';
import type { Holder } from './actions';
import type { BenchStep } from './plan';
import { applyAll, stateAfter, type BenchState } from './state';

/** What of a sequence tells where its clamps are. */
interface Steps {
  readonly path: Path;
  readonly steps: readonly BenchStep[];
}

/** What is taken off and put back to undo one step. */
export interface UndoStep {
  /** Index of the step that is undone. */
  readonly of: number;
  readonly words: string;
  /** The head takes this string again, at so many newtons, before a holder is moved. */
  readonly take?: { readonly string: StringName; readonly pullN: Newtons };
  readonly free: readonly Holder[];
  readonly put: readonly { readonly holder: Holder; readonly string: StringName }[];
  /** Strings that are drawn out again. */
  readonly draw: readonly StringName[];
}

/** What each holder is on; the starting clamp is named by the string that it grips outside. */
export function holdersIn({ layout, holds }: BenchState): ReadonlyMap<Holder, StringName> {
  return new Map(
    holds.flatMap(({ piece, at, by, way }) => {
      const string = layout.pieces[piece]?.[by === 'starting clamp' ? at - way / 2 : at];
      return by === 'head' || by === 'knot' || string === undefined ? [] : [[by, string] as const];
    }),
  );
}

/**
 * What the hands do with the holders in a step, `clamp 1 from M2R to M3R`; nothing where none is moved.
 *
 * @example
 * handWords(usual.sequence, 7) // 'clamp 1 from M1R to M2R'
 */
export function handWords({ path, steps }: Steps, done: number): string | undefined {
  const state = stateAfter(path, steps, done);
  const [before, after] = [state, applyAll(state, steps[done]?.actions ?? [])].map(holdersIn) as [
    ReadonlyMap<Holder, StringName>,
    ReadonlyMap<Holder, StringName>,
  ];
  const moves = [...new Set([...before.keys(), ...after.keys()])].flatMap((holder) => {
    const [from, to] = [before.get(holder), after.get(holder)];
    if (from === to) return [];
    if (to === undefined) return [message('hands.off', { holder, from: from ?? '' })];
    return [
      from === undefined
        ? message('hands.on', { holder, to })
        : message('hands.move', { holder, from, to }),
    ];
  });
  return moves.length > 0 ? listed(moves.map(english)) : undefined;
}

/**
 * What undoes the steps from `done` back to `to`, the latest first. Each step is run backwards: the
 * head takes the string again before its clamp comes off, the clamp goes back to where it was, then the
 * head lets down. So the machine passes through the states of the way in, in reverse, and what the
 * ledger proved for them holds for the way back.
 *
 * @example
 * undoSteps(usual.sequence, 8, 7).map(({ take }) => take.string) // ['M2R']
 */
export function undoSteps({ path, steps }: Steps, done: number, to: number): readonly UndoStep[] {
  let state = stateAfter(path, steps, to);
  const undone: UndoStep[] = [];
  for (let of = to; of < done; of++) {
    const next = applyAll(state, steps[of]?.actions ?? []);
    const step = undoOne(steps[of], of, holdersIn(state), holdersIn(next));
    if (step) undone.unshift(step);
    state = next;
  }
  return undone;
}

function undoOne(
  step: BenchStep | undefined,
  of: number,
  before: ReadonlyMap<Holder, StringName>,
  after: ReadonlyMap<Holder, StringName>,
): UndoStep | undefined {
  if (!step || step.actions.length === 0) return undefined;
  const moved = (holder: Holder) => before.get(holder) !== after.get(holder);
  const free = [...after.keys()].filter(moved);
  const put = [...before]
    .filter(([holder]) => moved(holder))
    .map(([holder, string]) => ({ holder, string }));
  const draw = step.actions.flatMap((action) => (action.do === 'thread' ? [action.string] : []));
  const pulled = step.actions.find((action) => action.do === 'pull');
  const tied = step.actions.find((action) => action.do === 'tie');
  // Pulled a second time with nothing moved, or a hole that was opened: nothing to take back.
  if (!tied && free.length + put.length + draw.length === 0) return undefined;
  const clauses: readonly Message[] = tied
    ? [
        ...put.map((each) => message('undo.clamp by the knot', each)),
        message('undo.cut the knot', { string: tied.string }),
      ]
    : [
        ...(pulled ? [message('undo.take again', { string: pulled.string })] : []),
        ...(free.length > 0 ? [message('undo.free', { holders: free })] : []),
        ...put.map(({ holder, string }) =>
          holder === 'starting clamp'
            ? message('undo.grip', { string })
            : message('undo.clamp', { holder, string }),
        ),
        ...(pulled ? [message('undo.let down')] : []),
        ...(draw.length > 0 ? [message('undo.draw out', { strings: draw })] : []),
      ];
  return {
    of,
    words: sentence(clauses),
    ...(pulled && { take: { string: pulled.string, pullN: pulled.pullN } }),
    free,
    put,
    draw,
  };
}
