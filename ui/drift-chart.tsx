import { extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { offBy, type MachineCheck } from '@/core/house/calibration';
import { formatDay } from '@/core/measure/promised-time';

const WIDTH = 460;
const HEIGHT = 110;
const LEFT = 34;
const BOTTOM = 18;
/** At least so far up and down, so that a good machine looks good. */
const LEAST_PERCENT = 3;

/** How far a machine was off at each check, in percent of what it was set to. */
export function DriftChart({ checks }: { readonly checks: readonly MachineCheck[] }) {
  const days = checks.map(({ day }) => new Date(`${day}T00:00Z`));
  const [first, latest] = extent(days);
  if (!first || !latest) return null;
  const percents = checks.map((check) => 100 * offBy(check));
  const most = Math.max(LEAST_PERCENT, ...percents.map(Math.abs)) * 1.1;
  const x = scaleUtc([first, latest], [LEFT + 10, WIDTH - 12]);
  const y = scaleLinear([-most, most], [HEIGHT - BOTTOM, 8]);
  const at = (i: number) => (first < latest ? x(days[i] as Date) : WIDTH / 2);
  const words = ({ day }: MachineCheck, i: number) =>
    `${formatDay(`${day}T00:00`)}: ${(percents[i] ?? 0).toFixed(1)} %`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mb-3 block w-full max-w-xl"
      role="img"
      aria-label={`Off by, in percent: ${checks.map(words).join('; ')}`}
    >
      {y.ticks(3).map((tick) => (
        <g key={tick} transform={`translate(0 ${y(tick)})`}>
          <path
            d={`M${LEFT} 0H${WIDTH}`}
            className={tick === 0 ? 'stroke-ink' : 'stroke-hair'}
            strokeWidth={0.7}
          />
          <text
            x={LEFT - 5}
            dy="0.32em"
            fontSize={11}
            textAnchor="end"
            className="figure fill-soft"
          >
            {tick > 0 ? `+${tick}` : tick} %
          </text>
        </g>
      ))}
      <path
        d={
          line<MachineCheck>(
            (_, i) => at(i),
            (check) => y(100 * offBy(check)),
          )([...checks]) ?? ''
        }
        className="stroke-mains fill-none"
        strokeWidth={1.6}
      />
      {checks.map((check, i) => (
        <circle
          key={i}
          cx={at(i)}
          cy={y(percents[i] ?? 0)}
          r={3.2}
          className="fill-paper stroke-mains"
          strokeWidth={1.6}
        >
          <title>{words(check, i)}</title>
        </circle>
      ))}
      <text x={LEFT + 10} y={HEIGHT - 4} fontSize={10} className="fill-soft">
        {formatDay(`${checks[0]?.day}T00:00`)}
      </text>
      {first < latest && (
        <text x={WIDTH} y={HEIGHT - 4} fontSize={10} textAnchor="end" className="fill-soft">
          {formatDay(`${checks.at(-1)?.day}T00:00`)}
        </text>
      )}
    </svg>
  );
}
