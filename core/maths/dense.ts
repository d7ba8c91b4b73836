/** Small full systems of equations. */

/**
 * Solves A·x = b by elimination with the largest pivot of a column (Golub & Van Loan, Matrix Computations; from memory).
 * Undefined where no pivot of a column is larger than `least` of the largest entry of the diagonal: A is singular then.
 *
 * @example
 * solveDense([[0, 2], [4, 0]], [2, 8]) // [2, 1]
 */
export function solveDense(
  a: readonly (readonly number[])[],
  b: readonly number[],
  least = 0,
): readonly number[] | undefined {
  const n = b.length;
  const largest = a.reduce((most, row, i) => Math.max(most, Math.abs(row[i] as number)), 0);
  const rows: Float64Array[] = a.map((row, i) => Float64Array.from([...row, b[i] as number]));
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let k = i + 1; k < n; k++)
      if (Math.abs(rows[k]?.[i] ?? 0) > Math.abs(rows[pivot]?.[i] ?? 0)) pivot = k;
    const row = rows[pivot] as Float64Array;
    rows[pivot] = rows[i] as Float64Array;
    rows[i] = row;
    const head = row[i] as number;
    if (Math.abs(head) <= least * largest) return undefined;
    for (let k = i + 1; k < n; k++) {
      const other = rows[k] as Float64Array;
      const share = (other[i] as number) / head;
      if (share === 0) continue;
      for (let j = i; j <= n; j++) other[j] = (other[j] as number) - share * (row[j] as number);
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    const row = rows[i] as Float64Array;
    let sum = row[n] as number;
    for (let j = i + 1; j < n; j++) sum -= (row[j] as number) * (x[j] as number);
    x[i] = sum / (row[i] as number);
  }
  return x;
}
