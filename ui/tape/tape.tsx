import { range } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import type { Part, PartName, PieceLength } from '@/core/cut/lengths';
import { formatStringLength, MM_PER_FOOT, type LengthSystem } from '@/core/measure/units';
import { PIECE_WORDS, spareText } from '@/core/cut/wording';

export interface TapePiece {
  readonly piece: PieceLength;
  /** What it is cut from, and how much of that is there; undefined off a reel. */
  readonly stock: { readonly text: string; readonly mm: number } | undefined;
}

interface TapeProps {
  readonly pieces: readonly TapePiece[];
  readonly lengthSystem: LengthSystem;
}

const WIDTH = 680;
const LEFT = 70;
const ROW = 112;
const BAR = 24;

type Drawn = Exclude<PartName, 'stretch'>;

/** How each part is filled: the more of it lies in the bed, the fuller the ink. */
const OPACITY: Record<Drawn, number> = {
  'inside strings': 1,
  'outside runs': 0.72,
  'through the frame': 0.5,
  crimp: 1,
  'tie-offs and knots': 0.38,
  'reach to the gripper': 0.24,
  margin: 0.12,
  learnt: 0.12,
};

const NUMBERS: Record<PartName, string> = {
  'inside strings': '1',
  'outside runs': '2',
  'through the frame': '3',
  crimp: '4',
  'tie-offs and knots': '5',
  'reach to the gripper': '6',
  margin: '7',
  stretch: '8',
  learnt: '9',
};

export const partNumber = (name: PartName): string => NUMBERS[name];

/** Parts that add to the tape; what is taken off again is the arrow at its end. */
const isDrawn = (part: Part): part is Part & { readonly name: Drawn } =>
  part.name !== 'stretch' && part.mm > 0;

const PIECE_NAMES = { mains: 'Mains', crosses: 'Crosses', whole: 'One piece' } as const;

/**
 * Each piece as a ruler to scale, its parts in order, and under it the string that it is cut from,
 * so that enough or not enough is seen before it is read.
 */
export function Tape({ pieces, lengthSystem }: TapeProps) {
  const longest = Math.max(
    ...pieces.map(({ piece, stock }) =>
      Math.max(
        stock?.mm ?? 0,
        piece.parts.reduce((sum, part) => sum + Math.max(0, part.mm), 0),
      ),
    ),
  );
  const x = scaleLinear([0, longest * 1.02], [LEFT, WIDTH - 8]);
  const step = lengthSystem === 'metric' ? 1000 : MM_PER_FOOT * 2;
  const ticks = range(0, longest, step);
  const height = pieces.length * ROW + 24;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full min-w-[36rem]"
      role="img"
      aria-label={pieces
        .map(
          ({ piece, stock }) =>
            `${PIECE_WORDS[piece.name]}: cut ${formatStringLength(piece.cutMm, lengthSystem)}${stock ? `, from ${stock.text}: ${spareText(stock.mm - piece.cutMm, lengthSystem)}` : ''}`,
        )
        .join('. ')}
    >
      {ticks.map((mm) => (
        <g key={mm} transform={`translate(${x(mm)} 0)`}>
          <path d={`M0 14V${height - 4}`} className="stroke-hair" />
          <text y={10} fontSize={13} textAnchor="middle" className="figure fill-soft">
            {lengthSystem === 'metric' ? `${mm / 1000} m` : `${Math.round(mm / MM_PER_FOOT)} ft`}
          </text>
        </g>
      ))}
      {pieces.map(({ piece, stock }, row) => {
        const ink = piece.name === 'crosses' ? 'crosses' : 'mains';
        const fill = ink === 'mains' ? 'fill-mains' : 'fill-crosses';
        const mark = piece.name === 'whole' ? piece.sides?.[0].mm : undefined;
        const top = 26 + row * ROW;
        let at = 0;
        const cut = x(piece.cutMm);
        const short = stock && stock.mm < piece.cutMm;
        return (
          <g key={piece.name}>
            <text
              x={0}
              y={top + 16}
              fontSize={17}
              className={`figure ${ink === 'mains' ? 'fill-mains' : 'fill-crosses-ink'}`}
            >
              {PIECE_NAMES[piece.name]}
            </text>
            {piece.parts.filter(isDrawn).map(({ name, mm }) => {
              const from = x(at);
              at += mm;
              const width = x(at) - from;
              return (
                <g key={name}>
                  <rect
                    x={from}
                    y={top}
                    width={width}
                    height={BAR}
                    className={`${fill} stroke-paper`}
                    fillOpacity={OPACITY[name]}
                    strokeWidth={0.8}
                  />
                  {width > 9 && (
                    <text
                      x={from + width / 2}
                      y={top + 16}
                      fontSize={13}
                      textAnchor="middle"
                      className={`figure ${OPACITY[name] > 0.6 ? 'fill-paper' : 'fill-ink'}`}
                    >
                      {NUMBERS[name]}
                    </text>
                  )}
                </g>
              );
            })}
            <path
              d={`M${x(at)} ${top + BAR + 6}H${cut}m5 -3l-5 3 5 3`}
              className="stroke-soft fill-none"
            />
            <path d={`M${cut} ${top - 5}V${top + 70}`} className="stroke-ink" strokeWidth={2} />
            {mark !== undefined && (
              <g transform={`translate(${x(mark)} ${top})`}>
                <path d={`M0-6V${BAR + 3}`} className="stroke-paper" strokeWidth={2} />
                <path d={`M0-6V${BAR + 3}`} className="stroke-ink" strokeDasharray="3 2" />
                <text y={BAR + 14} fontSize={13} textAnchor="middle" className="figure fill-ink">
                  mark {formatStringLength(mark, lengthSystem)}
                </text>
              </g>
            )}
            {stock && (
              <>
                <rect
                  x={x(0)}
                  y={top + 42}
                  width={x(stock.mm) - x(0)}
                  height={12}
                  className="stroke-ink fill-none"
                />
                {short ? (
                  <rect
                    x={x(stock.mm)}
                    y={top + 42}
                    width={cut - x(stock.mm)}
                    height={12}
                    className="fill-warn"
                  />
                ) : (
                  <rect
                    x={cut}
                    y={top + 42}
                    width={x(stock.mm) - cut}
                    height={12}
                    className="fill-ink"
                    fillOpacity={0.18}
                  />
                )}
                <text x={x(0) + 6} y={top + 52} fontSize={12} className="fill-soft">
                  {stock.text}
                </text>
              </>
            )}
            <text
              x={cut - 8}
              y={top + 74}
              fontSize={22}
              textAnchor="end"
              className="figure fill-ink"
            >
              cut {formatStringLength(piece.cutMm, lengthSystem)}
            </text>
            {stock && (
              <text
                x={cut + 8 > WIDTH - 120 ? cut - 150 : cut + 8}
                y={top + 74}
                fontSize={17}
                textAnchor={cut + 8 > WIDTH - 120 ? 'end' : 'start'}
                className={`figure ${short ? 'fill-warn' : 'fill-soft'}`}
              >
                {spareText(stock.mm - piece.cutMm, lengthSystem)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
