import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { formatTension, inTensionUnit, type TensionUnit } from '@/core/measure/units';

export interface AgeingChartProps {
  /** The share that is lost, day by day since stringing. */
  readonly curve: readonly {
    readonly day: number;
    readonly low: number;
    readonly middle: number;
    readonly high: number;
  }[];
  /** Mean tension that was set, N. */
  readonly setN: number;
  readonly unit: TensionUnit;
  readonly today: number;
  readonly due: number;
  /** The loss that ends its life. */
  readonly ends: number;
  /** Days on which it was measured. */
  readonly measured: readonly number[];
}

const WIDTH = 620;
const HEIGHT = 250;
const LEFT = 40;
const RIGHT = 14;
const TOP = 22;
const BOTTOM = 30;
const WEEK = 7;

/** What a bed has left of its tension, from the last knot on: a band in which four of five lie, never a line that pretends. */
export function AgeingChart({ curve, setN, unit, today, due, ends, measured }: AgeingChartProps) {
  const last = curve.at(-1)?.day ?? 1;
  const figure = (lost: number) => inTensionUnit(setN * (1 - lost), unit, 0.1);
  const lowest = Math.min(figure(ends), ...curve.map(({ high }) => figure(high)));
  const x = scaleLinear([0, last], [LEFT, WIDTH - RIGHT]);
  const y = scaleLinear([lowest - 0.4, figure(0) + 0.4], [HEIGHT - BOTTOM, TOP]);
  type Point = (typeof curve)[number];
  const band =
    area<Point>(
      ({ day }) => x(day),
      ({ high }) => y(figure(high)),
      ({ low }) => y(figure(low)),
    )([...curve]) ?? '';
  const middle =
    line<Point>(
      ({ day }) => x(day),
      ({ middle: lost }) => y(figure(lost)),
    )([...curve]) ?? '';
  const at = (day: number) => curve.findLast((point) => point.day <= day);
  const now = at(Math.min(today, last));
  const words = now
    ? `Strung at ${formatTension(setN, unit)} on average; after ${today} days ${formatTension(setN * (1 - now.high), unit)} to ${formatTension(setN * (1 - now.low), unit)} are left; due ${due} days after stringing.`
    : '';
  const weeks = Array.from({ length: Math.floor(last / WEEK) + 1 }, (_, i) => i);
  const every = weeks.length > 14 ? 4 : 2;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full max-w-3xl"
      role="img"
      aria-label={words}
    >
      {y.ticks(5).map((tick) => (
        <g key={tick} transform={`translate(0 ${y(tick)})`}>
          <path d={`M${LEFT} 0H${WIDTH - RIGHT}`} className="stroke-hair" strokeWidth={0.6} />
          <text
            x={LEFT - 6}
            dy="0.32em"
            fontSize={12}
            textAnchor="end"
            className="figure fill-soft"
          >
            {tick}
          </text>
        </g>
      ))}
      {weeks
        .filter((week) => week % every === 0)
        .map((week) => (
          <g key={week} transform={`translate(${x(week * WEEK)} ${HEIGHT - BOTTOM})`}>
            <path d="M0 0V5" className="stroke-edge" strokeWidth={1} />
            <text y={18} fontSize={12} textAnchor="middle" className="figure fill-soft">
              {week === 0 ? 'strung' : `${week} wk`}
            </text>
          </g>
        ))}
      <text x={LEFT - 6} y={TOP - 10} fontSize={12} textAnchor="end" className="fill-soft">
        {unit}
      </text>
      <path d={band} className="fill-mains" fillOpacity={0.22} />
      <path d={middle} className="stroke-mains fill-none" strokeWidth={2} />
      <path
        d={`M${LEFT} ${y(figure(ends))}H${WIDTH - RIGHT}`}
        className="stroke-warn"
        strokeWidth={1}
        strokeDasharray="5 4"
      />
      <text x={LEFT + 6} y={y(figure(ends)) + 14} fontSize={12} className="fill-warn">
        below this it is not what it was strung for
      </text>
      {[
        { day: today, text: 'today', dash: undefined },
        { day: due, text: 'due', dash: '2 3' },
      ]
        .filter(({ day }) => day <= last)
        .map(({ day, text, dash }, i) => (
          <g key={text}>
            <path
              d={`M${x(day)} ${TOP - 6}V${HEIGHT - BOTTOM}`}
              className="stroke-ink"
              strokeWidth={1}
              strokeDasharray={dash}
            />
            <text
              x={x(day) < LEFT + 24 ? x(day) + 6 : x(day)}
              y={TOP - 10 + (Math.abs(x(today) - x(due)) < 44 ? i * 11 : 0)}
              fontSize={12}
              // Beside the unit of the axis, not in one word with it.
              textAnchor={x(day) > WIDTH - 60 ? 'end' : x(day) < LEFT + 24 ? 'start' : 'middle'}
              className="fill-ink"
            >
              {text}
            </text>
          </g>
        ))}
      {measured.map((day, i) => {
        const point = at(Math.min(day, last));
        return (
          point && (
            <circle
              key={i}
              cx={x(Math.min(day, last))}
              cy={y(figure(point.middle))}
              r={4}
              className="fill-paper stroke-ink"
              strokeWidth={2}
            />
          )
        );
      })}
    </svg>
  );
}
