/** The second pass: which knots may be tied after each move. */
import type { StringName } from '../../terms/string-name';
import { runsBeside } from '../../path/pull-order';
import { isInside } from '../../path/segments';
import type { Knot } from '../../path/tie-off';
import type { StrungEnd } from '../actions';
import type { BenchPlan } from '../plan';
import type { Ends } from './ends';
import type { Move } from './moves';

export interface DueKnot extends StrungEnd {
  readonly knot: Knot;
}

/** A move, and the knots that may be tied once it is done. */
export interface MoveAndKnots {
  readonly move: Move;
  readonly due: readonly DueKnot[];
}

function knotsOf({ path }: BenchPlan): readonly DueKnot[] {
  return path.pieces.flatMap(({ segments }, piece) => {
    const insides = segments.filter(isInside);
    return ([-1, 1] as const).flatMap((way) => {
      const knot = path.knots[2 * piece + (way === 1 ? 1 : 0)];
      const last = insides.at(way === 1 ? -1 : 0);
      return knot && last ? [{ knot, way, string: last.string }] : [];
    });
  });
}

/** Each knot after the first move by which all that it waits for is in. */
export function withKnots(
  moves: readonly Move[],
  plan: BenchPlan,
  ends: Ends,
): readonly MoveAndKnots[] {
  const { custom, machine, path } = plan;
  const { order } = path;
  const mainsPiece = ends.pieceOf(order[0] as StringName);
  const mayBeTied = ({ knot, string, way }: DueKnot, inSoFar: number): boolean => {
    const strung = order.slice(0, inSoFar);
    if (knot.tiedAfter >= inSoFar || !strung.includes(string)) return false;
    // The first knot of a piece of crosses, where the house ties it when all are in.
    const waitsForAll =
      custom.topCross === 'at the end' && way === -1 && ends.pieceOf(string) !== mainsPiece;
    if (waitsForAll && inSoFar < order.length) return false;
    // A flying clamp cannot hold it for its knot before its neighbour is in: until then the starting clamp does.
    return machine.clampKind !== 'flying' || strung.some((each) => runsBeside(string, each));
  };
  let waiting = knotsOf(plan);
  return moves.map((move, i) => {
    // Not between the moves that bring one string in, nor before the centre pair is.
    if (moves[i + 1]?.inSoFar === move.inSoFar || move.inSoFar <= 2) return { move, due: [] };
    const due = waiting.filter((each) => mayBeTied(each, move.inSoFar));
    waiting = waiting.filter((each) => !due.includes(each));
    return { move, due };
  });
}
