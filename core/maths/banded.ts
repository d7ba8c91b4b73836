/** Symmetric positive definite systems whose entries lie near the diagonal. */

/** Lower half of a symmetric matrix, row after row: row i holds the entries from column i − width to i. */
export interface BandedMatrix {
  readonly size: number;
  readonly width: number;
  readonly entries: Float64Array;
}

/**
 * @example
 * bandedMatrix(3, 1).size // 3
 */
export const bandedMatrix = (size: number, width: number): BandedMatrix => ({
  size,
  width,
  entries: new Float64Array(size * (width + 1)),
});

/**
 * Adds to the entry of row i and column j, which must lie within the band.
 *
 * @example
 * ((m) => (addTo(m, 0, 0, 8), solveBanded(m, [4])))(bandedMatrix(1, 0)) // [0.5]
 */
export function addTo({ width, entries }: BandedMatrix, i: number, j: number, value: number): void {
  const [row, column] = i >= j ? [i, j] : [j, i];
  const place = column - row + width;
  if (place < 0) throw new RangeError(`Entry ${i}, ${j} lies outside a band of ${width}.`);
  const at = row * (width + 1) + place;
  entries[at] = (entries[at] as number) + value;
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
  entries,
}: BandedMatrix): (b: ArrayLike<number>) => Float64Array {
  const n = width + 1;
  // Column j of row i stands at i·n + j − i + width.
  for (let i = 0; i < size; i++) {
    const first = Math.max(0, i - width);
    const row = i * n - i + width;
    for (let j = first; j < i; j++) {
      // Column `first` of row i lies within the band of row j, too.
      let other = j * n - j + width + first;
      let sum = entries[row + j] as number;
      const end = row + j;
      for (let k = row + first; k < end; k++, other++)
        sum -= (entries[k] as number) * (entries[other] as number);
      entries[end] = sum;
    }
    let pivot = entries[row + i] as number;
    for (let j = first; j < i; j++) {
      const entry = entries[row + j] as number;
      const scaled = entry / (entries[j * n + width] as number);
      pivot -= scaled * entry;
      entries[row + j] = scaled;
    }
    if (!(pivot > 0)) throw new RangeError('The matrix is not positive definite.');
    entries[row + i] = pivot;
  }
  return (b) => {
    const x = Float64Array.from(b);
    for (let i = 0; i < size; i++) {
      const row = i * n - i + width;
      let sum = x[i] as number;
      for (let j = Math.max(0, i - width); j < i; j++)
        sum -= (entries[row + j] as number) * (x[j] as number);
      x[i] = sum;
    }
    for (let i = size - 1; i >= 0; i--) {
      let sum = (x[i] as number) / (entries[i * n + width] as number);
      for (let k = i + 1; k <= Math.min(size - 1, i + width); k++)
        sum -= (entries[k * n - k + width + i] as number) * (x[k] as number);
      x[i] = sum;
    }
    return x;
  };
}
