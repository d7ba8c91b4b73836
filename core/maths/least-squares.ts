/** Small systems of equations in the least squares. */

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
  const rows = Array.from({ length: n }, (_, i) => [
    ...Array.from({ length: n }, (__, j) =>
      a.reduce((sum, row) => sum + (row[i] as number) * (row[j] as number), 0),
    ),
    a.reduce((sum, row, k) => sum + (row[i] as number) * (b[k] as number), 0),
  ]);
  const largest = Math.max(0, ...rows.flatMap((row, i) => Math.abs(row[i] as number)));
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let k = i + 1; k < n; k++)
      if (Math.abs(rows[k]?.[i] ?? 0) > Math.abs(rows[pivot]?.[i] ?? 0)) pivot = k;
    const row = rows[pivot] as number[];
    [rows[i], rows[pivot]] = [row, rows[i] as number[]];
    const head = row[i] as number;
    if (Math.abs(head) <= SINGULAR * largest) return undefined;
    for (let k = 0; k < n; k++) {
      if (k === i) continue;
      const other = rows[k] as number[];
      const share = (other[i] as number) / head;
      for (let j = i; j <= n; j++) other[j] = (other[j] as number) - share * (row[j] as number);
    }
  }
  return rows.map((row, i) => (row[n] as number) / (row[i] as number));
}
