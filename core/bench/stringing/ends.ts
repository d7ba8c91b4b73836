/** Where each string of a path comes in and goes out, which way it is pulled, and at what figure. */
import type { StringName } from '../../terms/string-name';
import { knotPull } from '../../advice/tension';
import { isInside, placeName, type HolePlace } from '../../path/segments';
import type { Action, StrungEnd, Way } from '../actions';
import { setPull, type BenchPlan } from '../plan';

interface Seat {
  readonly piece: number;
  readonly index: number;
  readonly ends: readonly [HolePlace, HolePlace];
}

/** What every pass over the work list asks about its strings. */
export interface Ends {
  readonly pieceOf: (string: StringName) => number;
  readonly indexOf: (string: StringName) => number;
  /** Towards which end of its piece a string is pulled: away from the centre loop. */
  readonly wayOf: (string: StringName) => Way;
  readonly isLast: (end: StrungEnd) => boolean;
  /** A string with where it comes in and where the head pulls it. */
  readonly inAndOut: (
    string: StringName,
    way: Way,
  ) => { readonly string: StringName; readonly from: HolePlace; readonly at: HolePlace };
  readonly thread: (string: StringName) => Action;
  readonly setN: (string: StringName) => number;
  readonly knotN: (string: StringName) => number;
}

export function endsOf({ bed, path, tension, custom }: BenchPlan): Ends {
  const rows = path.pieces.map(({ segments }) => segments.filter(isInside));
  const seats = new Map(
    rows.flatMap((row, piece) =>
      row.map(({ string, from, to }, index): readonly [string, Seat] => [
        string,
        { piece, index, ends: [from, to] },
      ]),
    ),
  );
  const seat = (string: StringName) => seats.get(string) as Seat;
  const setN = setPull(bed, tension);
  const [one, other] = path.order.slice(0, 2).map(seat) as [Seat, Seat];
  return {
    pieceOf: (string) => seat(string).piece,
    indexOf: (string) => seat(string).index,
    wayOf: (string) =>
      seat(string).piece === one.piece && 2 * seat(string).index < one.index + other.index ? -1 : 1,
    isLast: ({ string, way }) =>
      seat(string).index === (way === 1 ? (rows[seat(string).piece]?.length ?? 0) - 1 : 0),
    inAndOut: (string, way) => {
      const [first, last] = seat(string).ends;
      return way === 1 ? { string, from: first, at: last } : { string, from: last, at: first };
    },
    thread: (string) => {
      const [from, to] = seat(string).ends;
      return { do: 'thread', string, through: [placeName(from), placeName(to)] };
    },
    setN,
    knotN: (string) => knotPull(setN(string), tension.unit, custom.knotPull),
  };
}
