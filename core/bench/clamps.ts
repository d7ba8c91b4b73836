/** Which clamp each free end of what is strung hangs on, and how it moves on with the next pull. */
import { MACHINE_CLAMPS, type Action, type Holder, type Way } from './ledger';
import type { ClampSet } from '../house/machine';

/** A string at the end of what is strung, and towards which end of its piece. */
export interface StrungEnd {
  readonly string: string;
  readonly way: Way;
}

const PAD = 'A leather pad under the starting clamp, so that it does not bite the rim.';

export interface Clamps {
  /** What the end is held by; undefined while nothing does. */
  readonly holderOf: (end: StrungEnd) => Holder | undefined;
  /** Whether any end of this piece is held. */
  readonly holds: (piece: number) => boolean;
  /** Brings the clamp of its arm onto a string that the head pulls, and lets the head go. */
  readonly moveOn: (end: StrungEnd) => readonly Action[];
  /** The starting clamp grips something of its own meanwhile, so it cannot lend itself. */
  readonly startingClampOut: (isOut: boolean) => void;
  /** The arm is tied off: its holder is free for another. */
  readonly tied: (end: StrungEnd) => void;
}

/**
 * `pieceOf` tells the piece of a string, `isLast` whether it is the last of its piece that way,
 * `hasNeighbour` whether a string under tension runs side by side with it, by which a flying clamp could
 * hold it. The ledger has the last word on what this arranges.
 */
export function clampsOf(
  machine: ClampSet,
  pieceOf: (string: string) => number,
  isLast: (end: StrungEnd) => boolean,
  hasNeighbour: (string: string) => boolean = () => true,
): Clamps {
  const arms = new Map<string, { readonly holder: Holder; readonly end: StrungEnd }>();
  const armOf = ({ string, way }: StrungEnd) => `${pieceOf(string)} ${way}`;
  let startingIsOut = false;
  const own = MACHINE_CLAMPS.slice(0, machine.clamps);

  function moveOn(end: StrungEnd): readonly Action[] {
    const arm = armOf(end);
    const known = arms.get(arm)?.holder;
    const taken = [...arms.values()].map(({ holder }) => holder);
    const spare = own.find((clamp) => !taken.includes(clamp));
    const off: readonly Action[] = known ? [{ do: 'free', holder: known }] : [];
    const clamp = (holder: Holder): readonly Action[] => {
      arms.set(arm, { holder, end });
      return [{ do: 'clamp', holder, string: end.string }, { do: 'let go' }];
    };
    // A flying clamp holds nothing alone: until a neighbour is in, the starting clamp holds the string outside.
    if (
      machine.clampKind === 'flying' &&
      !hasNeighbour(end.string) &&
      !taken.includes('starting clamp') &&
      !startingIsOut
    ) {
      arms.set(arm, { holder: 'starting clamp', end });
      return [...off, { do: 'grip outside', ...end }, { do: 'let go' }];
    }
    if (known && known !== 'starting clamp') return [...off, ...clamp(known)];
    if (spare) return [...off, ...clamp(spare)];
    // Out of clamps, the starting clamp lends itself: it holds the string outside, on a pad.
    const other = [...arms].find(([, { holder }]) => holder !== 'starting clamp');
    if (!isLast(end) || !other) {
      arms.set(arm, { holder: 'starting clamp', end });
      return [...off, { do: 'grip outside', ...end }, { do: 'let go' }];
    }
    // A knot wants a clamp on its string, so the starting clamp takes the other arm over.
    const [name, { holder, end: otherEnd }] = other;
    arms.set(name, { holder: 'starting clamp', end: otherEnd });
    return [...off, { do: 'grip outside', ...otherEnd }, { do: 'free', holder }, ...clamp(holder)];
  }

  return {
    holderOf: (end) => arms.get(armOf(end))?.holder,
    holds: (piece) => [...arms.keys()].some((arm) => arm.startsWith(`${piece} `)),
    moveOn,
    startingClampOut: (isOut) => {
      startingIsOut = isOut;
    },
    tied: (end) => arms.delete(armOf(end)),
  };
}

/** What is said of a starting clamp that lends itself while `string` is pulled. */
export function lendingWords(
  string: string,
  actions: readonly Action[],
): { readonly words: string; readonly caution?: string } {
  const grip = actions.find((action) => action.do === 'grip outside');
  if (!grip) return { words: '' };
  return {
    words:
      grip.string === string
        ? '; the starting clamp holds it outside'
        : `; the starting clamp takes ${grip.string} over outside, so that this one has a clamp for its knot`,
    caution: PAD,
  };
}
