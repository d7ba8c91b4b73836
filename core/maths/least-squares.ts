/** Small systems of equations in the least squares. */
import { solveDense } from './dense';

/** A pivot below this share of the largest entry is none: its unknown is not told apart from the others. */
const SINGULAR = 1e-12;

/**
 * The x with which A·x is nearest to b; undefined where several are. An A without columns has the empty one.
 *
 * Source: normal equations by elimination with pivots (Golub & Van Loan, Matrix Computations; from memory).
 * Limits: for a handful of unknowns.
 *
 * @param a rows of equal length
 *
 * @example
 * solveLeast([[1], [1]], [1, 3]) // [2]
 * solveLeast([[1, 1]], [2]) // undefined
 */
export function solveLeast(
  a: readonly (readonly number[])[],
  b: readonly number[],
): readonly number[] | undefined {
  const n = a[0]?.length ?? 0;
  const sum = (of: (row: readonly number[], k: number) => number) =>
    a.reduce((total, row, k) => total + of(row, k), 0);
  const columns = Array.from({ length: n }, (_, i) => i);
  return solveDense(
    columns.map((i) => columns.map((j) => sum((row) => (row[i] as number) * (row[j] as number)))),
    columns.map((i) => sum((row, k) => (row[i] as number) * (b[k] as number))),
    SINGULAR,
  );
}
