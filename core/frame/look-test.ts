/** The look test: gaps between neighbouring strings, and those that do not go with their neighbours. */
import type { Mm } from '../measure/quantities';
import type { Hole } from './holes';
import { ENDS, type End } from '../terms/ends';
import type { Outline } from './outline';

export interface Gap {
  /** `M7` and `M8`, `C3` and `C4`; the centre gap is from `M1` to `M1`. */
  readonly from: string;
  readonly to: string;
  readonly mm: Mm;
  /** How much wider (or, below zero, narrower) than its neighbours, mm. */
  readonly off: number;
}

interface Outlier {
  readonly gap: Gap;
  /** For a gap of the mains, the end it was seen at. */
  readonly end: End | undefined;
  /** The hole to look at again: that of the string further out. */
  readonly hole: string;
}

export interface Look {
  /** From the centre gap outwards, at each end. */
  readonly mains: Record<End, readonly Gap[]>;
  /** From the head down. */
  readonly crosses: readonly Gap[];
  /** Tip of the head to the top cross, bottom cross to the throat, outermost main to the rim, mm. */
  readonly rim: { readonly head: number; readonly throat: number; readonly side: number };
  /** The worst first. */
  readonly outliers: readonly Outlier[];
}

/** A gap is pointed at when it is off by this much and by this share of its neighbours. */
const NOTICED_MM = 2.2;
const NOTICED_SHARE = 0.22;

/**
 * Gaps between strings where they meet the rim, mm. A gap is measured against the mean of its two
 * neighbours, and against the nearer ones continued where it has only one. Common practice: gaps
 * that widen smoothly are how a wrong hole shows.
 */
export function lookTest(
  outline: Outline,
  mainHoles: Record<End, readonly Hole[]>,
  crossHoles: readonly Hole[],
): Look {
  const mainGaps = (end: End): readonly Gap[] => {
    const x = mainHoles[end].map((hole) => hole.x);
    const widths = x.map((each, i) => (i === 0 ? 2 * each : each - (x[i - 1] as number)));
    return gapsFrom(widths, (i) => [`M${Math.max(1, i)}`, `M${i + 1}`]);
  };
  const y = crossHoles.map((hole) => hole.y);
  const crosses = gapsFrom(
    y.slice(1).map((each, i) => (y[i] as number) - each),
    (i) => [`C${i + 1}`, `C${i + 2}`],
  );
  const mains = { head: mainGaps('head'), throat: mainGaps('throat') };
  const outermost = Math.max(...ENDS.map((end) => mainHoles[end].at(-1)?.x ?? 0));
  const outliers: Outlier[] = [
    ...ENDS.flatMap((end) =>
      mains[end]
        .map((gap, i) => ({ gap, end, hole: mainHoles[end][i]?.label ?? '' }))
        .filter(({ gap }, i) => i > 0 && stands(gap)),
    ),
    ...crosses
      .map((gap, i) => ({
        gap,
        end: undefined,
        hole: crossHoles[i < crosses.length / 2 ? i : i + 1]?.label ?? '',
      }))
      .filter(({ gap }) => stands(gap)),
  ];
  return {
    mains,
    crosses,
    rim: {
      head: outline.lengthMm / 2 - (y[0] as number),
      throat: (y.at(-1) as number) + outline.lengthMm / 2,
      side: outline.widthMm / 2 - outermost,
    },
    outliers: outliers.sort((a, b) => Math.abs(b.gap.off) - Math.abs(a.gap.off)),
  };
}

const stands = ({ mm, off }: Gap): boolean =>
  Math.abs(off) > NOTICED_MM && Math.abs(off) > NOTICED_SHARE * (mm - off);

function gapsFrom(
  widths: readonly number[],
  name: (i: number) => readonly [string, string],
): readonly Gap[] {
  const at = (i: number) => widths[i] as number;
  const last = widths.length - 1;
  return widths.map((mm, i): Gap => {
    const usual =
      i === 0
        ? at(1)
        : i === last
          ? 2 * at(last - 1) - at(Math.max(0, last - 2))
          : (at(i - 1) + at(i + 1)) / 2;
    const [from, to] = name(i);
    return { from, to, mm, off: mm - usual };
  });
}

/** The worst outliers as one says them, at most two: the others mostly are their neighbours' echo. */
export const lookWords = ({ outliers }: Look): readonly string[] =>
  outliers.slice(0, 2).map(({ gap, end, hole }) => {
    const mm = Math.abs(gap.off).toFixed(0);
    const where = end ? ` at the ${end}` : '';
    return `${gap.from}–${gap.to}${where} is ${mm} mm ${gap.off > 0 ? 'wider' : 'narrower'} than its neighbours: is ${hole} the right hole?`;
  });
