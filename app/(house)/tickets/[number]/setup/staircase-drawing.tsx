import { scaleLinear } from 'd3-scale';
import type { Step } from '@/core/advice/staircase';
import { inTensionUnit, tensionFigure, type Pulls, type TensionUnit } from '@/core/measure/units';

const WIDTH = 270;
const HEIGHT = 44;
/** Beyond any row: strings and bands run on from one to the next, however tall its own is. */
const FAR = 900;
const EDGE = 14;
const LEAST_SPAN: Record<TensionUnit, number> = { kg: 4, lb: 8 };
/** So much of a row a pair of figures takes. */
const FIGURES = 74;
/** Mains lie above crosses, and beside them where both have one figure. */
const MAINS = { y: 16, aside: -3 };
const CROSSES = { y: 28, aside: 3 };

/** What the strings pass on their way: N. */
interface Behind {
  readonly printed: { readonly minN: number; readonly maxN: number } | undefined;
  readonly last: Pulls | undefined;
}

export interface StairScale extends Behind {
  readonly unit: TensionUnit;
  readonly x: (n: number) => number;
  readonly ticks: readonly { readonly figure: number; readonly x: number }[];
}

/** A scale wide enough for all figures, and so wide that half a kilogram never looks like much. */
export function stairScale(
  figures: readonly Pulls[],
  behind: Behind,
  unit: TensionUnit,
): StairScale {
  const all = [...figures, ...(behind.last ? [behind.last] : [])]
    .flatMap(({ mainN, crossN }) => [mainN, crossN])
    .map((n) => inTensionUnit(n, unit, 0.001));
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = Math.max(0.5, (LEAST_SPAN[unit] - (most - least)) / 2);
  const scale = scaleLinear([least - room, most + room], [EDGE, WIDTH - EDGE]);
  return {
    ...behind,
    unit,
    x: (n) => scale(inTensionUnit(n, unit, 0.001)),
    ticks: scale.ticks(4).map((figure) => ({ figure, x: scale(figure) })),
  };
}

/** The printed range and the last job, behind every row. */
function Bands({ scale: { printed, last, x } }: { readonly scale: StairScale }) {
  const inside = (at: number) => Math.min(WIDTH, Math.max(0, at));
  const band = (from: number, to: number, className: string) => (
    <rect
      x={inside(from)}
      y={-FAR}
      width={Math.max(0, inside(to) - inside(from))}
      height={2 * FAR}
      className={className}
    />
  );
  return (
    <>
      {printed && band(x(printed.minN), x(printed.maxN), 'fill-hair/40')}
      {last &&
        band(
          Math.min(x(last.mainN), x(last.crossN)) - 6,
          Math.max(x(last.mainN), x(last.crossN)) + 6,
          'fill-edge/30',
        )}
    </>
  );
}

interface TreadProps {
  readonly scale: StairScale;
  readonly before: Pulls | undefined;
  readonly after: Pulls;
  /** What a step that does not count would move. */
  readonly would?: Pulls | undefined;
  readonly end: 'start' | 'step' | 'last' | 'yours';
}

/** From the figures before to those after: mains a solid line, crosses a double one; what does not count is dotted. */
export function Tread({ scale, before, after, would, end }: TreadProps) {
  const { x, unit } = scale;
  const isEnd = end === 'last' || end === 'yours';
  const line = (string: keyof Pulls, { y, aside }: typeof MAINS) => {
    const to = x(after[string]) + aside;
    const from = before ? x(before[string]) + aside : to;
    return `M${from} ${before ? -FAR : y}V${y}H${to}V${isEnd ? y : FAR}`;
  };
  const dotted = (string: keyof Pulls, { y, aside }: typeof MAINS) =>
    would && `M${x(after[string]) + aside} ${y}H${x(after[string] + would[string]) + aside}`;
  const crosses = line('crossN', CROSSES);
  const reached = [x(after.mainN), x(after.crossN)];
  const passed = before ? [...reached, x(before.mainN), x(before.crossN)] : reached;
  // The figures stand ahead of where it goes, so that no string runs through them.
  const [left, right] = [Math.min(...passed) - 14, Math.max(...passed) + 14];
  const goesLeft =
    before !== undefined && after.mainN + after.crossN < before.mainN + before.crossN;
  const isLeft = goesLeft ? left > FIGURES : right + FIGURES > WIDTH;
  const dash = end === 'yours' ? '5 4' : undefined;
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden className="block shrink-0 overflow-visible">
      <Bands scale={scale} />
      <path
        d={crosses}
        className="stroke-crosses fill-none"
        strokeWidth={6}
        strokeDasharray={dash}
      />
      <path d={crosses} className="stroke-paper fill-none" strokeWidth={2.4} />
      <path
        d={line('mainN', MAINS)}
        className="stroke-mains fill-none"
        strokeWidth={4}
        strokeDasharray={dash}
      />
      <path
        d={dotted('crossN', CROSSES)}
        className="stroke-crosses fill-none"
        strokeWidth={2.5}
        strokeDasharray="2 4"
      />
      <path
        d={dotted('mainN', MAINS)}
        className="stroke-mains fill-none"
        strokeWidth={2.5}
        strokeDasharray="2 4"
      />
      {end !== 'step' && (
        <>
          <rect
            x={x(after.crossN) + CROSSES.aside - 6}
            y={CROSSES.y - 6}
            width={12}
            height={12}
            className={isEnd ? 'fill-crosses stroke-crosses' : 'fill-paper stroke-crosses'}
            strokeWidth={2.5}
          />
          <circle
            cx={x(after.mainN) + MAINS.aside}
            cy={MAINS.y}
            r={6.5}
            className={isEnd ? 'fill-mains stroke-mains' : 'fill-paper stroke-mains'}
            strokeWidth={2.5}
          />
        </>
      )}
      {!would && (
        <text
          x={isLeft ? left : right}
          y={MAINS.y + 11}
          fontSize={isEnd ? 20 : 15}
          textAnchor={isLeft ? 'end' : 'start'}
          className="figure fill-ink"
        >
          {tensionFigure(after.mainN, unit)}/{tensionFigure(after.crossN, unit)}
        </text>
      )}
    </svg>
  );
}

/** The scale itself, and what the bands are. */
export function StairFoot({ scale }: { readonly scale: StairScale }) {
  const { unit, ticks, printed, last } = scale;
  const range =
    printed && `${tensionFigure(printed.minN, unit)} to ${tensionFigure(printed.maxN, unit)}`;
  return (
    <div className="sm:ml-auto" style={{ width: WIDTH }}>
      <svg width={WIDTH} height={18} aria-hidden className="border-edge block border-t">
        {ticks.map(({ figure, x }) => (
          <text
            key={figure}
            x={x}
            y={14}
            fontSize={12}
            textAnchor="middle"
            className="figure fill-soft"
          >
            {figure}
          </text>
        ))}
      </svg>
      <p className="label flex flex-wrap gap-x-4">
        {range && (
          <span>
            <span aria-hidden className="bg-hair/40 border-hair mr-1 inline-block size-3 border" />
            printed {range} {unit}
          </span>
        )}
        {last && (
          <span>
            <span
              aria-hidden
              className="bg-edge/30 border-edge/50 mr-1 inline-block size-3 border"
            />
            last job {tensionFigure(last.mainN, unit)}/{tensionFigure(last.crossN, unit)}
          </span>
        )}
      </p>
    </div>
  );
}

/** What a step that does not count would move, where it would move anything. */
export const wouldMove = ({ state, by }: Pick<Step, 'state' | 'by'>): Pulls | undefined =>
  state.is !== 'in' && (by.mainN !== 0 || by.crossN !== 0) ? by : undefined;
