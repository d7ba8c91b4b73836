'use client';

import { extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { formatDay } from '@/core/measure/promised-time';
import {
  formatTicket,
  inTensionUnit,
  type TensionUnit,
  type TicketTension,
} from '@/core/measure/units';

/** A job that was done on a racket, as its history shows it. */
export interface StrungBefore {
  readonly number: number;
  /** Day it was handed over, on the workshop's clock: `2026-11-25T17:00`. */
  readonly day: string;
  readonly tension: TicketTension;
  readonly strings: string;
  readonly remarks: string;
}

interface HistoryChartProps {
  /** The latest first. */
  readonly jobs: readonly StrungBefore[];
  readonly unit: TensionUnit;
  readonly className?: string;
}

const WIDTH = 460;
const HEIGHT = 110;
const LEFT = 28;
const BOTTOM = 18;
const MOST = 12;

/** Tension from job to job on one racket: mains solid, crosses double; a string is named where it changes. */
export function HistoryChart({ jobs, unit, className }: HistoryChartProps) {
  const shown = jobs.slice(0, MOST).toReversed();
  const figure = (n: number) => inTensionUnit(n, unit, 0.1);
  const all = shown.flatMap(({ tension }) => [figure(tension.mainN), figure(tension.crossN)]);
  const days = shown.map(({ day }) => new Date(`${day}Z`));
  const [first, latest] = extent(days);
  if (!first || !latest) return null;
  const x = scaleUtc([first, latest], [LEFT + 10, WIDTH - 12]);
  const y = scaleLinear([Math.min(...all) - 0.5, Math.max(...all) + 0.5], [HEIGHT - BOTTOM, 14]);
  const at = (i: number) => (shown.length === 1 ? WIDTH / 2 : x(days[i] as Date));
  const through = (string: 'mainN' | 'crossN') =>
    line<StrungBefore>(
      (_, i) => at(i),
      ({ tension }) => y(figure(tension[string])),
    )([...shown]) ?? '';
  const words = ({ day, tension, strings, remarks }: StrungBefore) =>
    `${formatDay(day)}: ${formatTicket(tension)}, ${strings}${remarks && `. ${remarks}`}`;
  return (
    <section aria-label="What was in it" className={className}>
      <h3 className="label">
        What was in it ({unit}): mains solid, crosses double; point at a job for its remarks
      </h3>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="block w-full max-w-xl"
        role="img"
        aria-label={shown.map(words).join('; ')}
      >
        {y.ticks(3).map((tick) => (
          <g key={tick} transform={`translate(0 ${y(tick)})`}>
            <path d={`M${LEFT} 0H${WIDTH}`} className="stroke-hair" strokeWidth={0.6} />
            <text
              x={LEFT - 5}
              dy="0.32em"
              fontSize={11}
              textAnchor="end"
              className="figure fill-soft"
            >
              {tick}
            </text>
          </g>
        ))}
        <path d={through('crossN')} className="stroke-crosses fill-none" strokeWidth={3.4} />
        <path d={through('crossN')} className="stroke-paper fill-none" strokeWidth={1.3} />
        <path d={through('mainN')} className="stroke-mains fill-none" strokeWidth={1.8} />
        {shown.map((job, i) => {
          const changed = i === 0 || shown[i - 1]?.strings !== job.strings;
          return (
            <g key={job.number}>
              <title>{words(job)}</title>
              <rect
                x={at(i) - 3}
                y={y(figure(job.tension.crossN)) - 3}
                width={6}
                height={6}
                className="fill-paper stroke-crosses"
                strokeWidth={1.4}
              />
              <circle
                cx={at(i)}
                cy={y(figure(job.tension.mainN))}
                r={3.2}
                className="fill-paper stroke-mains"
                strokeWidth={1.6}
              />
              {changed && (
                <text
                  x={at(i)}
                  y={9}
                  fontSize={10}
                  textAnchor={at(i) > WIDTH * 0.6 ? 'end' : 'start'}
                  className="fill-ink"
                >
                  {job.strings}
                </text>
              )}
            </g>
          );
        })}
        <text x={LEFT + 10} y={HEIGHT - 4} fontSize={10} className="fill-soft">
          {formatDay(shown[0]?.day ?? '')}
        </text>
        {shown.length > 1 && (
          <text x={WIDTH} y={HEIGHT - 4} fontSize={10} textAnchor="end" className="fill-soft">
            {formatDay(shown.at(-1)?.day ?? '')}
          </text>
        )}
      </svg>
    </section>
  );
}
