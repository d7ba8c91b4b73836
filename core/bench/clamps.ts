/** Which clamp comes onto the string that the head pulls, and where the others go meanwhile. */
import type { StringName } from '../terms/string-name';
import type { ClampSet } from '../house/machine';
import { runsBeside } from '../path/pull-order';
import { message, type Message } from '../terms/words/english';
import { MACHINE_CLAMPS, type Action, type Holder, type StrungEnd } from './actions';
import { holderOf, isInUse, isLast, type BenchState } from './state';

/** An end of what is strung of a piece that a clamp of the machine holds. */
function clampedEnd({
  layout,
  tense,
  holds,
}: BenchState): { holder: Holder; end: StrungEnd } | undefined {
  for (const { piece, by: holder, way } of holds)
    if (holder === 'clamp 1' || holder === 'clamp 2') {
      const string = layout.pieces[piece]?.[tense[piece]?.[way === 1 ? 1 : 0] ?? -1];
      if (string !== undefined) return { holder, end: { string, way } };
    }
  return undefined;
}

/**
 * Brings a clamp onto a string that the head pulls, and lets the head go. A clamp moves on with its own end;
 * out of clamps, the starting clamp lends itself. The ledger has the last word on what this arranges.
 */
export function clampOnto(state: BenchState, end: StrungEnd, machine: ClampSet): readonly Action[] {
  const known = holderOf(state, end);
  const spare = MACHINE_CLAMPS.slice(0, machine.clamps).find((clamp) => !isInUse(state, clamp));
  const off: readonly Action[] = known ? [{ do: 'free', holder: known }] : [];
  const on = (holder: Holder): readonly Action[] => [
    { do: 'clamp', holder, string: end.string },
    { do: 'let go' },
  ];
  const outside: readonly Action[] = [...off, { do: 'grip outside', ...end }, { do: 'let go' }];
  // A flying clamp holds nothing alone: until a neighbour is in, the starting clamp holds the string outside.
  const isAlone = !state.strung.some((each) => runsBeside(end.string, each));
  if (machine.clampKind === 'flying' && isAlone && !isInUse(state, 'starting clamp'))
    return outside;
  if (known && known !== 'starting clamp') return [...off, ...on(known)];
  if (spare) return [...off, ...on(spare)];
  // Out of clamps, the starting clamp lends itself: it holds the string outside, on a pad.
  const other = clampedEnd(state);
  if (!isLast(state, end) || !other) return outside;
  // A knot wants a clamp on its string, so the starting clamp takes the other end over.
  return [
    ...off,
    { do: 'grip outside', ...other.end },
    { do: 'free', holder: other.holder },
    ...on(other.holder),
  ];
}

/** What is said of a starting clamp that lends itself while `string` is pulled. */
export function lendingWords(
  string: StringName,
  actions: readonly Action[],
): { readonly words: readonly Message[]; readonly caution?: Message } {
  const grip = actions.find((action) => action.do === 'grip outside');
  if (!grip) return { words: [] };
  return {
    words: [
      grip.string === string
        ? message('clause.held outside')
        : message('clause.taken over outside', { other: grip.string }),
    ],
    caution: message('clause.held outside.caution'),
  };
}
