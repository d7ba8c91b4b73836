import { scaleLinear } from 'd3-scale';
import { changeOf, TRAITS, type Trait } from '@/core/advice/character';

interface TraitPictureProps {
  readonly differences: Readonly<Record<Trait, number>>;
  /** The same in words, for those who cannot see it. */
  readonly words: string;
}

const WIDTH = 300;
const HEIGHT = 46;
const MIDDLE = 16;
/** A difference that nobody could miss fills the picture. */
const MOST = 2.5;

const bar = scaleLinear().domain([-MOST, MOST]).range([-MIDDLE, MIDDLE]).clamp(true);

/** Six traits beside what the client has now: up is more, down is less, a dot is the same. One glance. */
export function TraitPicture({ differences, words }: TraitPictureProps) {
  const cell = WIDTH / TRAITS.length;
  return (
    <svg
      role="img"
      aria-label={words}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-1 block w-full max-w-[22rem]"
    >
      <line x1={0} x2={WIDTH} y1={MIDDLE} y2={MIDDLE} className="stroke-edge" strokeWidth={0.6} />
      {TRAITS.map((trait, i) => {
        const x = (i + 0.5) * cell;
        const by = bar(differences[trait]);
        const felt = changeOf(differences[trait]) !== 'as now';
        return (
          <g key={trait}>
            {felt ? (
              <rect
                x={x - 5}
                y={by > 0 ? MIDDLE - by : MIDDLE}
                width={10}
                height={Math.abs(by)}
                // Told apart by shape too: more is filled, less is an outline.
                className={by > 0 ? 'fill-ink' : 'fill-sheet stroke-ink'}
                strokeWidth={1}
              />
            ) : (
              <circle cx={x} cy={MIDDLE} r={1.8} className="fill-ink" />
            )}
            <text
              x={x}
              y={HEIGHT - 3}
              textAnchor="middle"
              className={felt ? 'fill-ink text-[10px]' : 'fill-soft text-[10px]'}
            >
              {trait}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
