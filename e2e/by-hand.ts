/**
 * The cut of a job on an elliptical head, worked out by hand from the ruled distances: nothing here
 * comes from the application. Sources: the equation of an ellipse for the chords, a sum of small
 * steps along the ellipse moved outwards for the outside runs; the allowances are those that the
 * Workshop page states.
 */
export interface RuledHead {
  readonly lengthMm: number;
  readonly widthMm: number;
  /** Mains of one side from the centre line. */
  readonly mains: readonly number[];
  /** Crosses from the inside of the tip. */
  readonly crosses: readonly number[];
}

export interface Allowances {
  readonly passageMm: number;
  readonly endMm: number;
  readonly marginMm: number;
  readonly gaugeMm: number;
  readonly stretch: number;
}

/** Way along the ellipse moved out by `out`, between two places given by their angle from the tip. */
function along(a: number, b: number, out: number, from: number, to: number): number {
  const at = (t: number) => {
    const [nx, ny] = [Math.sin(t) / a, Math.cos(t) / b];
    const n = Math.hypot(nx, ny);
    return [a * Math.sin(t) + (out * nx) / n, b * Math.cos(t) + (out * ny) / n] as const;
  };
  let sum = 0;
  const steps = 200;
  for (let i = 0; i < steps; i++) {
    const [p, q] = [
      at(from + ((to - from) * i) / steps),
      at(from + ((to - from) * (i + 1)) / steps),
    ];
    sum += Math.hypot(p[0] - q[0], p[1] - q[1]);
  }
  return sum;
}

const total = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

/** Mains from a centre loop at the head, crosses from the head down, two pieces; both in mm. */
export function cutByHand({ lengthMm, widthMm, mains, crosses }: RuledHead, allow: Allowances) {
  const [a, b] = [widthMm / 2, lengthMm / 2];
  const heights = crosses.map((below) => b - below);
  const mainChords = mains.map((x) => 2 * b * Math.sqrt(1 - (x / a) ** 2));
  const crossChords = heights.map((y) => 2 * a * Math.sqrt(1 - (y / b) ** 2));
  const mainAngle = mains.map((x) => Math.asin(x / a));
  const crossAngle = heights.map((y) => Math.acos(y / b));
  const { passageMm } = allow;

  // The loop over the centre line, then M1–M2, M2–M3 … on both sides; head and throat are alike.
  const mainRuns =
    2 * along(a, b, passageMm, 0, mainAngle[0] ?? 0) +
    2 * total(mainAngle.slice(1).map((t, i) => along(a, b, passageMm, mainAngle[i] ?? 0, t)));
  const crossRuns = total(
    crossAngle.slice(1).map((t, i) => along(a, b, passageMm, crossAngle[i] ?? 0, t)),
  );

  const crimp = (length: number, crossings: number) => {
    const gap = length / (crossings + 1);
    return (crossings + 1) * (Math.hypot(gap, allow.gaugeMm) - gap);
  };
  const headHeight = mains.map((x) => b * Math.sqrt(1 - (x / a) ** 2));
  const met = (main: number, cross: number) =>
    Math.abs(heights[cross] ?? 0) < (headHeight[main] ?? 0);
  const mainCrimp =
    2 *
    total(mainChords.map((chord, m) => crimp(chord, heights.filter((_, c) => met(m, c)).length)));
  const crossCrimp = total(
    crossChords.map((chord, c) => crimp(chord, 2 * mains.filter((_, m) => met(m, c)).length)),
  );

  const cut = (inside: number, runs: number, strings: number, crimped: number) =>
    (inside + runs + 2 * strings * passageMm + crimped) / (1 + allow.stretch) +
    2 * allow.endMm +
    allow.marginMm;
  return {
    mainsMm: cut(2 * total(mainChords), mainRuns, 2 * mains.length, mainCrimp),
    crossesMm: cut(total(crossChords), crossRuns, crosses.length, crossCrimp),
  };
}
