/** What the open jobs of a workshop are cut from, and what is missing for them. */
import type { Mm } from '../measure/quantities';
import { cutFrom, type CuttingPlan, type StockLength, type WantedPiece } from './cutting';

/** What is left of a length and shorter is thrown away: half a set is needed for the least of jobs. From memory. */
const USEFUL_MM = 4500;

/** A length as the shelf keeps it. */
export interface ShelfLength {
  readonly id: string;
  readonly kind: StockLength['kind'];
  readonly mm: Mm;
  readonly leftMm: Mm;
  readonly priceMinor: number;
  /** One string in one gauge. */
  readonly key: string;
}

/** A job that is to be cut: what of it comes from the shop. */
export interface JobToCut {
  readonly number: number;
  readonly promised: string;
  readonly pieces: readonly { readonly name: string; readonly mm: Mm; readonly key: string }[];
}

/**
 * Lengths as they are cut from: what is opened already, and what nobody paid for by itself, costs nothing more.
 *
 * @example
 * stockOf([{ id: 'a', kind: 'set', mm: 12200, leftMm: 6000, priceMinor: 1150, key: 'x' }])[0].price // 0
 */
export const stockOf = (lengths: readonly ShelfLength[]): readonly StockLength[] =>
  lengths.map(({ id, kind, mm, leftMm, priceMinor, key }) => ({
    id,
    kind,
    mm: leftMm,
    price: leftMm < mm || kind === 'remnant' ? 0 : priceMinor,
    string: key,
  }));

/**
 * What a piece of a job goes by among those of a day.
 *
 * @example
 * pieceId(7, 'mains') // '7 mains'
 */
export const pieceId = (ticket: number, piece: string): string => `${ticket} ${piece}`;

/**
 * The plan of all open jobs together.
 *
 * @example
 * dayCuts([], []).unserved // []
 */
export const dayCuts = (lengths: readonly ShelfLength[], jobs: readonly JobToCut[]): CuttingPlan =>
  cutFrom(
    stockOf(lengths),
    jobs.flatMap(({ number, promised, pieces }) =>
      pieces.map(({ name, mm, key }): WantedPiece => ({
        id: pieceId(number, name),
        mm,
        string: key,
        job: String(number),
        promised,
      })),
    ),
    USEFUL_MM,
  );
