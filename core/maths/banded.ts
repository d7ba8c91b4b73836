/** Symmetric positive definite systems whose entries lie near the diagonal. */

/** Lower half of a symmetric matrix: row i holds the entries from column i − width to i. */
export interface BandedMatrix {
  readonly size: number;
  readonly width: number;
  readonly rows: readonly Float64Array[];
}

/**
 * @example
 * bandedMatrix(3, 1).size // 3
 */
export const bandedMatrix = (size: number, width: number): BandedMatrix => ({
  size,
  width,
  rows: Array.from({ length: size }, () => new Float64Array(width + 1)),
});

/**
 * Adds to the entry of row i and column j, which must lie within the band.
 *
 * @example
 * ((m) => (addTo(m, 0, 0, 8), solveBanded(m, [4])))(bandedMatrix(1, 0)) // [0.5]
 */
export function addTo({ width, rows }: BandedMatrix, i: number, j: number, value: number): void {
  const [row, column] = i >= j ? [i, j] : [j, i];
  const place = column - row + width;
  if (place < 0) throw new RangeError(`Entry ${i}, ${j} lies outside a band of ${width}.`);
  (rows[row] as Float64Array)[place] = ((rows[row] as Float64Array)[place] as number) + value;
}

/**
 * Solves A·x = b. `matrix` is used up.
 *
 * Source, limits: those of `factorBanded`.
 *
 * @example
 * ((m) => (addTo(m, 0, 0, 2), addTo(m, 1, 1, 4), solveBanded(m, [2, 4])))(bandedMatrix(2, 1)) // [1, 1]
 */
export const solveBanded = (matrix: BandedMatrix, b: ArrayLike<number>): number[] =>
  Array.from(factorBanded(matrix)(b));

/**
 * Factors A once and solves it for any b, by Cholesky's factorisation without a root, A = L·D·Lᵀ, within the band
 * (Golub & Van Loan, Matrix Computations; from memory). `matrix` is used up.
 * Throws a RangeError when A is not positive definite.
 *
 * @example
 * ((m) => (addTo(m, 0, 0, 2), addTo(m, 1, 1, 4), [...factorBanded(m)([2, 4])]))(bandedMatrix(2, 1)) // [1, 1]
 */
export function factorBanded({
  size,
  width,
  rows,
}: BandedMatrix): (b: ArrayLike<number>) => Float64Array {
  const at = (i: number, j: number) => (rows[i] as Float64Array)[j - i + width] as number;
  for (let i = 0; i < size; i++) {
    const row = rows[i] as Float64Array;
    const first = Math.max(0, i - width);
    for (let j = first; j < i; j++) {
      let sum = at(i, j);
      for (let k = Math.max(first, j - width); k < j; k++) sum -= at(i, k) * at(j, k);
      row[j - i + width] = sum;
    }
    let pivot = at(i, i);
    for (let j = first; j < i; j++) {
      const scaled = at(i, j) / at(j, j);
      pivot -= scaled * at(i, j);
      row[j - i + width] = scaled;
    }
    if (!(pivot > 0)) throw new RangeError('The matrix is not positive definite.');
    row[width] = pivot;
  }
  return (b) => {
    const x = Float64Array.from(b);
    for (let i = 0; i < size; i++) {
      let sum = x[i] as number;
      for (let j = Math.max(0, i - width); j < i; j++) sum -= at(i, j) * (x[j] as number);
      x[i] = sum;
    }
    for (let i = size - 1; i >= 0; i--) {
      let sum = (x[i] as number) / at(i, i);
      for (let k = i + 1; k <= Math.min(size - 1, i + width); k++)
        sum -= at(k, i) * (x[k] as number);
      x[i] = sum;
    }
    return x;
  };
}
