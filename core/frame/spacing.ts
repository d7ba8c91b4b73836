/**
 * Where mains and crosses lie when nobody has measured them: gaps that widen smoothly outwards.
 * The figures are the middle of common practice, no source; the fit in `holes` moves the rim gaps
 * until the strings come out in the holes that were counted.
 */
import type { Mm } from '../measure/quantities';
import type { Sport } from '../terms/sport';

export interface Spacing {
  /** Share by which the outermost gap between mains is wider than the centre one. */
  readonly mainWiden: number;
  /** Distance from the outermost main to the rim, in outermost gaps. */
  readonly mainRim: number;
  readonly crossWiden: number;
  /** Distances from the top cross to the head and from the bottom cross to the throat, in outermost gaps. */
  readonly headRim: number;
  readonly throatRim: number;
  /** Distance of a main from the centre line at the throat, as a share of that at the head. */
  readonly fan: number;
}

const SPORT_SPACING: Record<Sport, Omit<Spacing, 'fan'>> = {
  tennis: { mainWiden: 0.25, mainRim: 2.05, crossWiden: 0.15, headRim: 2.2, throatRim: 2.2 },
  badminton: { mainWiden: 0.2, mainRim: 1.7, crossWiden: 0.15, headRim: 2.6, throatRim: 2.6 },
  squash: { mainWiden: 0.2, mainRim: 1.6, crossWiden: 0.15, headRim: 2.2, throatRim: 2.2 },
};

/** In a teardrop the mains run together towards the yoke, and the lowest part has mains only. */
const TEARDROP: Pick<Spacing, 'throatRim' | 'fan'> = { throatRim: 4.6, fan: 0.6 };

export const evenSpacing = (sport: Sport, teardrop: boolean): Spacing => ({
  ...SPORT_SPACING[sport],
  fan: 1,
  ...(teardrop ? TEARDROP : {}),
});

/**
 * Distances of the mains of one side from the centre line, M1 outwards, mm. Gap i (0 is the
 * centre gap) is g·(1 + widen·(i/(n−1))²); g makes all gaps and the rim distance fill half the width.
 *
 * @example
 * mainPositions(248, 8, evenSpacing('tennis', false)).length // 8
 */
export function mainPositions(
  widthMm: Mm,
  perSide: number,
  { mainWiden, mainRim }: Spacing,
): readonly number[] {
  const last = Math.max(1, perSide - 1);
  const gaps = Array.from({ length: perSide }, (_, i) => 1 + mainWiden * (i / last) ** 2);
  const shares = gaps.map((gap, i) => (i === 0 ? gap / 2 : gap));
  const total = shares.reduce((a, b) => a + b) + mainRim * (1 + mainWiden);
  let x = 0;
  return shares.map((share) => (x += (share * widthMm) / 2 / total));
}

/**
 * Heights of the crosses, from the top one down, mm from the middle of the head. Gaps widen from
 * the middle of the bed to its ends as those of the mains do, and leave the two rim distances.
 *
 * @example
 * crossPositions(336, 19, evenSpacing('tennis', false)).length // 19
 */
export function crossPositions(lengthMm: Mm, crosses: number, spacing: Spacing): readonly number[] {
  const middle = (crosses - 2) / 2;
  const gaps = Array.from(
    { length: crosses - 1 },
    (_, i) => 1 + spacing.crossWiden * ((i - middle) / Math.max(1, middle)) ** 2,
  );
  const end = 1 + spacing.crossWiden;
  const total = gaps.reduce((a, b) => a + b) + (spacing.headRim + spacing.throatRim) * end;
  const unit = lengthMm / total;
  let y = lengthMm / 2 - spacing.headRim * end * unit;
  return [y, ...gaps.map((gap) => (y -= gap * unit))];
}
