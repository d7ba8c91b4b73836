/** How money is rounded: to the nearest minor unit where it is worked out, and without a remainder where it is shared. */

/**
 * The tax on an amount that holds none yet, minor units (EN 16931, BR-CO-17: rounded to the nearest).
 *
 * @example
 * taxOn(1000, 2000) // 200
 */
export const taxOn = (netMinor: number, taxBp: number): number =>
  Math.round((netMinor * taxBp) / 10_000);

/**
 * The tax that an amount holds already, minor units.
 *
 * @example
 * taxIn(1200, 2000) // 200
 */
export const taxIn = (grossMinor: number, taxBp: number): number =>
  Math.round((grossMinor * taxBp) / (10_000 + taxBp));

/**
 * Shares a whole amount out by whole weights so that the shares add up to it: each gets its part rounded down, and
 * what is left goes to the largest remainders, the earlier first. Source: the largest remainder method.
 *
 * @example
 * shareOut(100, [1, 1, 1]) // [34, 33, 33]
 */
export function shareOut(minor: number, weights: readonly number[]): readonly number[] {
  const sum = weights.reduce((all, weight) => all + weight, 0);
  if (weights.length === 0) return [];
  // Without weights the first one bears it.
  if (sum === 0) return weights.map((_, i) => (i === 0 ? minor : 0));
  // Of two large amounts the product is no whole number that a double can hold.
  const products = weights.map((weight) => BigInt(minor) * BigInt(weight));
  const shares = products.map((product) => Number(product / BigInt(sum)));
  const left = minor - shares.reduce((all, share) => all + share, 0);
  const first = products
    .map((product, i) => ({ i, over: Number(product % BigInt(sum)) }))
    .sort((a, b) => b.over - a.over || a.i - b.i)
    .slice(0, left);
  for (const { i } of first) shares[i] = (shares[i] ?? 0) + 1;
  return shares;
}
