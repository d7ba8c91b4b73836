/** How badly readings fit a smooth curve: least squares that one bad reading cannot move far. */

/** What is known of a coefficient before the readings; undefined is nothing. */
export interface Prior {
  readonly mean: number;
  readonly deviation: number;
}

/** Cost of the best fit of `values` with their variances: a negative log-likelihood, at least 0. */
export type Fitter = (values: readonly number[], variances: readonly number[]) => number;

/** Turns of reweighting; after two the order of answers no longer changes. */
const TURNS = 2;
/** Student's t with three degrees of freedom: near the normal in its middle, far heavier in its tails. */
const FREEDOM = 3;

/**
 * A fitter for rows of basis values (one row a reading, one column a coefficient) by iteratively
 * reweighted least squares under Student's t errors (Lange, Little & Taylor 1989), from memory.
 *
 * @example
 * fitter([[1], [1], [1]], [undefined])([5, 5, 5], [1, 1, 1]) // 0
 */
export function fitter(
  rows: readonly (readonly number[])[],
  priors: readonly (Prior | undefined)[],
): Fitter {
  const size = priors.length;
  const count = rows.length;
  const basis = Float64Array.from(rows.flat());
  const priorWeights = Float64Array.from(priors, (prior) => (prior ? 1 / prior.deviation ** 2 : 0));
  const priorMeans = Float64Array.from(priors, (prior) => prior?.mean ?? 0);
  const matrix = new Float64Array(size * size);
  const found = new Float64Array(size);
  const squares = new Float64Array(count);

  /** One turn: coefficients for weights from the squares so far, then the squares that they leave. */
  const turn = (values: readonly number[], variances: readonly number[], first: boolean) => {
    matrix.fill(0);
    for (let a = 0; a < size; a++) {
      const weight = priorWeights[a] as number;
      matrix[a * size + a] = weight;
      found[a] = weight * (priorMeans[a] as number);
    }
    for (let i = 0; i < count; i++) {
      const trust = first ? 1 : (FREEDOM + 1) / (FREEDOM + (squares[i] as number));
      const weight = trust / (variances[i] as number);
      const value = values[i] as number;
      for (let a = 0; a < size; a++) {
        const share = weight * (basis[i * size + a] as number);
        found[a] = (found[a] as number) + share * value;
        for (let b = 0; b <= a; b++)
          matrix[a * size + b] =
            (matrix[a * size + b] as number) + share * (basis[i * size + b] as number);
      }
    }
    solveInPlace(matrix, found, size);
    for (let i = 0; i < count; i++) {
      let off = values[i] as number;
      for (let a = 0; a < size; a++) off -= (found[a] as number) * (basis[i * size + a] as number);
      squares[i] = (off * off) / (variances[i] as number);
    }
  };

  return (values, variances) => {
    for (let i = 0; i <= TURNS; i++) turn(values, variances, i === 0);
    let cost = 0;
    for (let a = 0; a < size; a++)
      cost +=
        0.5 * (priorWeights[a] as number) * ((found[a] as number) - (priorMeans[a] as number)) ** 2;
    for (let i = 0; i < count; i++)
      cost += ((FREEDOM + 1) / 2) * Math.log1p((squares[i] as number) / FREEDOM);
    return cost;
  };
}

/** Solves a small symmetric positive definite system, lower triangle given, by Cholesky; `b` becomes x. */
function solveInPlace(a: Float64Array, b: Float64Array, n: number): void {
  for (let j = 0; j < n; j++) {
    for (let i = j; i < n; i++) {
      let sum = a[i * n + j] as number;
      for (let k = 0; k < j; k++) sum -= (a[i * n + k] as number) * (a[j * n + k] as number);
      a[i * n + j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / (a[j * n + j] as number);
    }
  }
  for (let i = 0; i < n; i++) {
    let sum = b[i] as number;
    for (let k = 0; k < i; k++) sum -= (a[i * n + k] as number) * (b[k] as number);
    b[i] = sum / (a[i * n + i] as number);
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i] as number;
    for (let k = i + 1; k < n; k++) sum -= (a[k * n + i] as number) * (b[k] as number);
    b[i] = sum / (a[i * n + i] as number);
  }
}
