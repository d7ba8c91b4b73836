/** Back to an earlier step at the bench: what is released, in which order, so that nothing goes slack. */
import type { BenchStep } from './plan';
import type { Action, Holder } from './ledger';

/** What is taken off and put back to undo one step. */
export interface UndoStep {
  /** Index of the step that is undone. */
  readonly of: number;
  readonly words: string;
  /** The head takes this string again, at so many newtons, before a holder is moved. */
  readonly take?: { readonly string: string; readonly pullN: number };
  readonly free: readonly Holder[];
  readonly put: readonly { readonly holder: Holder; readonly string: string }[];
  /** Strings that are drawn out again. */
  readonly draw: readonly string[];
}

/** What each holder is on after the first `done` steps. */
export function holdersAfter(
  steps: readonly BenchStep[],
  done: number,
): ReadonlyMap<Holder, string> {
  const holders = new Map<Holder, string>();
  for (const { actions } of steps.slice(0, done))
    for (const action of actions) hold(holders, action);
  return holders;
}

function hold(holders: Map<Holder, string>, action: Action): void {
  if (action.do === 'clamp') holders.set(action.holder, action.string);
  else if (action.do === 'grip outside') holders.set('starting clamp', action.string);
  else if (action.do === 'free') holders.delete(action.holder);
}

const list = (words: readonly string[]): string =>
  new Intl.ListFormat('en', { type: 'conjunction' }).format(words);

/** What the hands do with the holders in a step, `clamp 1 from M2R to M3R`; nothing where none is moved. */
export function handWords(steps: readonly BenchStep[], at: number): string | undefined {
  const [before, after] = [holdersAfter(steps, at), holdersAfter(steps, at + 1)];
  const moves = [...new Set([...before.keys(), ...after.keys()])].flatMap((holder) => {
    const [from, to] = [before.get(holder), after.get(holder)];
    if (from === to) return [];
    if (to === undefined) return [`${holder} off ${from}`];
    return [from === undefined ? `${holder} on ${to}` : `${holder} from ${from} to ${to}`];
  });
  return moves.length > 0 ? list(moves) : undefined;
}

/**
 * What undoes the steps from `done` back to `to`, the latest first. Each step is run backwards: the
 * head takes the string again before its clamp comes off, the clamp goes back to where it was, then the
 * head lets down. So the machine passes through the states of the way in, in reverse, and what the
 * ledger proved for them holds for the way back.
 */
export function undoSteps(
  steps: readonly BenchStep[],
  done: number,
  to: number,
): readonly UndoStep[] {
  const undone: UndoStep[] = [];
  for (let of = done - 1; of >= to; of--) {
    const step = undoOne(steps, of);
    if (step) undone.push(step);
  }
  return undone;
}

function undoOne(steps: readonly BenchStep[], of: number): UndoStep | undefined {
  const step = steps[of];
  if (!step || step.actions.length === 0) return undefined;
  const [before, after] = [holdersAfter(steps, of), holdersAfter(steps, of + 1)];
  const moved = (holder: Holder) => before.get(holder) !== after.get(holder);
  const free = [...after.keys()].filter(moved);
  const put = [...before]
    .filter(([holder]) => moved(holder))
    .map(([holder, string]) => ({ holder, string }));
  const draw = step.actions.flatMap((action) => (action.do === 'thread' ? [action.string] : []));
  const pulled = step.actions.find((action) => action.do === 'pull');
  const tied = step.actions.find((action) => action.do === 'tie');
  const on = ({ holder, string }: (typeof put)[number]) =>
    holder === 'starting clamp'
      ? `put the starting clamp outside on ${string}`
      : `set ${holder} on ${string}`;
  // Pulled a second time with nothing moved, or a hole that was opened: nothing to take back.
  if (!tied && free.length + put.length + draw.length === 0) return undefined;
  const words = tied
    ? [
        ...put.map(({ holder, string }) => `Set ${holder} on ${string} close to its knot`),
        `cut the knot of ${tied.string} and draw its tail back`,
      ]
    : [
        ...(pulled ? [`Take the tail of ${pulled.string} in the head again`] : []),
        ...(free.length > 0 ? [`${pulled ? 'free' : 'Free'} ${list(free)}`] : []),
        ...put.map(on),
        ...(pulled ? ['let the head down slowly'] : []),
        ...(draw.length > 0 ? [`draw ${list(draw)} out`] : []),
      ];
  return {
    of,
    words: `${words.join(', ')}.`,
    ...(pulled && { take: { string: pulled.string, pullN: pulled.pullN } }),
    free,
    put,
    draw,
  };
}
