import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Bed } from '@/core/frame/bed';
import type { Gap } from '@/core/frame/look-test';
import { formatHeadDimension, type LengthSystem } from '@/core/measure/units';

interface LookChartProps {
  readonly bed: Bed;
  readonly lengthSystem: LengthSystem;
}

const WIDTH = 300;
const HEIGHT = 78;
const LEFT = 24;
const BOTTOM = 14;

interface Row {
  readonly gaps: readonly Gap[];
  readonly mark: keyof typeof MARKS;
}

const MARKS = {
  ring: { stroke: 'stroke-mains', fill: 'fill-paper' },
  dot: { stroke: 'stroke-mains', fill: 'fill-mains' },
  square: { stroke: 'stroke-crosses', fill: 'fill-paper' },
} as const;

function GapPlot({
  title,
  rows,
  ends,
  doubted,
}: {
  readonly title: string;
  readonly rows: readonly Row[];
  readonly ends: readonly [string, string];
  readonly doubted: ReadonlySet<Gap>;
}) {
  const all = rows.flatMap(({ gaps }) => gaps.map(({ mm }) => mm));
  const [least, most] = [Math.min(...all) * 0.6, Math.max(...all) * 1.08];
  const longest = Math.max(...rows.map(({ gaps }) => gaps.length));
  const x = scaleLinear([0, Math.max(1, longest - 1)], [LEFT + 6, WIDTH - 8]);
  const y = scaleLinear([least, most], [HEIGHT - BOTTOM, 6]);
  const through = line<Gap>(
    (_, i) => x(i),
    ({ mm }) => y(mm),
  );
  const ticks = y.ticks(3);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full"
      role="img"
      aria-label={`${title}: ${rows
        .map(({ gaps }) => gaps.map(({ mm }) => mm.toFixed(1)).join(' '))
        .join('; ')} mm`}
    >
      {ticks.map((mm) => (
        <g key={mm} transform={`translate(0 ${y(mm)})`}>
          <path d={`M${LEFT} 0H${WIDTH}`} className="stroke-hair" strokeWidth={0.6} />
          <text x={LEFT - 4} dy="0.32em" fontSize={9} textAnchor="end" className="figure fill-soft">
            {mm}
          </text>
        </g>
      ))}
      <text x={LEFT} y={HEIGHT - 2} fontSize={9} className="fill-soft">
        {ends[0]}
      </text>
      <text x={WIDTH} y={HEIGHT - 2} fontSize={9} textAnchor="end" className="fill-soft">
        {ends[1]}
      </text>
      {rows.map(({ gaps, mark }) => {
        const look = `${MARKS[mark].stroke} ${MARKS[mark].fill}`;
        return (
          <g key={mark}>
            <path
              d={through([...gaps]) ?? ''}
              className={`fill-none ${MARKS[mark].stroke}`}
              strokeOpacity={0.5}
            />
            {gaps.map((gap, i) => (
              <g key={`${gap.from}${gap.to}`} transform={`translate(${x(i)} ${y(gap.mm)})`}>
                {doubted.has(gap) && (
                  <circle r={5.5} className="stroke-warn fill-none" strokeWidth={1.4} />
                )}
                {mark === 'square' ? (
                  <rect x={-2} y={-2} width={4} height={4} className={look} />
                ) : (
                  <circle r={2.2} className={look} />
                )}
                <title>{`${gap.from}–${gap.to}: ${gap.mm.toFixed(1)} mm`}</title>
              </g>
            ))}
          </g>
        );
      })}
    </svg>
  );
}

/** The look test as a chart: gaps between neighbours, which should change smoothly from one to the next. */
export function LookChart({ bed, lengthSystem }: LookChartProps) {
  const { look } = bed;
  const doubted = new Set(look.outliers.map(({ gap }) => gap));
  const size = (mm: number) => formatHeadDimension(mm, lengthSystem);
  return (
    <section aria-label="Look test" className="max-w-md">
      <h3 className="label">
        Gaps between mains (mm): rings at the head, dots at the throat; {size(look.rim.side)} to the
        rim
      </h3>
      <GapPlot
        title="Gaps between mains"
        rows={[
          { gaps: look.mains.head, mark: 'ring' },
          { gaps: look.mains.throat, mark: 'dot' },
        ]}
        ends={['centre', 'outermost']}
        doubted={doubted}
      />
      <h3 className="label mt-1">
        Gaps between crosses (mm); {size(look.rim.head)} to the head, {size(look.rim.throat)} to the
        throat
      </h3>
      <GapPlot
        title="Gaps between crosses"
        rows={[{ gaps: look.crosses, mark: 'square' }]}
        ends={['head', 'throat']}
        doubted={doubted}
      />
    </section>
  );
}
