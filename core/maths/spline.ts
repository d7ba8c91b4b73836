/**
 * A cubic spline through the given knots, level (slope 0) at both ends.
 * `at` and `values` are of equal length, at least 2; `at` increases. The spline's second
 * derivatives solve a tridiagonal system (any text on numerical analysis: the clamped spline).
 *
 * @example
 * clampedSpline([0, 1, 2], [5, 5, 5])(0.5) // 5
 */
export function clampedSpline(
  at: readonly number[],
  values: readonly number[],
): (position: number) => number {
  const n = at.length;
  const x = (i: number) => at[i] as number;
  const y = (i: number) => values[i] as number;
  const slope = (i: number) => (y(i + 1) - y(i)) / (x(i + 1) - x(i));
  // Rows: lower·m[i−1] + diagonal·m[i] + upper·m[i+1] = right, swept forward then back.
  const upper: number[] = [];
  const right: number[] = [];
  for (let i = 0; i < n; i++) {
    const left = i > 0 ? x(i) - x(i - 1) : 0;
    const ahead = i < n - 1 ? x(i + 1) - x(i) : 0;
    const load = 6 * ((i < n - 1 ? slope(i) : 0) - (i > 0 ? slope(i - 1) : 0));
    const pivot = 2 * (left + ahead) - left * (upper[i - 1] ?? 0);
    upper.push(ahead / pivot);
    right.push((load - left * (right[i - 1] ?? 0)) / pivot);
  }
  const bend: number[] = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--)
    bend[i] = (right[i] as number) - (upper[i] as number) * (bend[i + 1] ?? 0);
  return (position) => {
    let i = 0;
    while (i < n - 2 && position > x(i + 1)) i++;
    const h = x(i + 1) - x(i);
    const [a, b] = [(x(i + 1) - position) / h, (position - x(i)) / h];
    return (
      a * y(i) +
      b * y(i + 1) +
      (((a ** 3 - a) * (bend[i] as number) + (b ** 3 - b) * (bend[i + 1] as number)) * h * h) / 6
    );
  };
}
