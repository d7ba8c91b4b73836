/** How badly readings fit a smooth curve: least squares that one bad reading cannot move far. */

/** What is known of a coefficient before the readings; undefined is nothing. */
export interface Prior {
  readonly mean: number;
  readonly deviation: number;
}

/** Cost of the best fit of `values` with their variances: a negative log-likelihood, at least 0. */
export type Fitter = (values: readonly number[], variances: readonly number[]) => number;

/** Turns of reweighting; the cost no longer moves by a hundredth after three. */
const TURNS = 3;
/** Student's t with three degrees of freedom: near the normal in its middle, far heavier in its tails. */
const FREEDOM = 3;

/**
 * A fitter for rows of basis values (one row a reading, one column a coefficient) by iteratively
 * reweighted least squares under Student's t errors (Lange, Little & Taylor 1989), from memory.
 */
export function fitter(
  rows: readonly (readonly number[])[],
  priors: readonly (Prior | undefined)[],
): Fitter {
  const size = priors.length;
  const matrix = new Float64Array(size * size);
  const right = new Float64Array(size);
  const weights = new Float64Array(rows.length);
  return (values, variances) => {
    weights.fill(1);
    let cost = 0;
    for (let turn = 0; turn <= TURNS; turn++) {
      matrix.fill(0);
      right.fill(0);
      for (let i = 0; i < rows.length; i++) {
        const row = rows[i] as readonly number[];
        const weight = (weights[i] as number) / (variances[i] as number);
        for (let a = 0; a < size; a++) {
          const share = weight * (row[a] as number);
          right[a] = (right[a] as number) + share * (values[i] as number);
          for (let b = 0; b <= a; b++)
            matrix[a * size + b] = (matrix[a * size + b] as number) + share * (row[b] as number);
        }
      }
      priors.forEach((prior, a) => {
        if (!prior) return;
        const weight = 1 / prior.deviation ** 2;
        matrix[a * size + a] = (matrix[a * size + a] as number) + weight;
        right[a] = (right[a] as number) + weight * prior.mean;
      });
      solveInPlace(matrix, right, size);
      cost = 0;
      priors.forEach((prior, a) => {
        if (prior) cost += 0.5 * (((right[a] as number) - prior.mean) / prior.deviation) ** 2;
      });
      for (let i = 0; i < rows.length; i++) {
        const row = rows[i] as readonly number[];
        let off = values[i] as number;
        for (let a = 0; a < size; a++) off -= (right[a] as number) * (row[a] as number);
        const square = (off * off) / (variances[i] as number);
        cost += ((FREEDOM + 1) / 2) * Math.log1p(square / FREEDOM);
        weights[i] = (FREEDOM + 1) / (FREEDOM + square);
      }
    }
    return cost;
  };
}

/** Solves a small symmetric positive definite system, lower triangle given, by Cholesky; `b` becomes x. */
function solveInPlace(a: Float64Array, b: Float64Array, n: number): void {
  const at = (i: number, j: number) => a[i * n + j] as number;
  for (let j = 0; j < n; j++) {
    for (let i = j; i < n; i++) {
      let sum = at(i, j);
      for (let k = 0; k < j; k++) sum -= at(i, k) * at(j, k);
      a[i * n + j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / at(j, j);
    }
  }
  for (let i = 0; i < n; i++) {
    let sum = b[i] as number;
    for (let k = 0; k < i; k++) sum -= at(i, k) * (b[k] as number);
    b[i] = sum / at(i, i);
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i] as number;
    for (let k = i + 1; k < n; k++) sum -= at(k, i) * (b[k] as number);
    b[i] = sum / at(i, i);
  }
}
