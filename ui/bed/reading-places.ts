/** Where a finished bed can be marked, in the order in which the arrow keys go through it. */
import type { Bed } from '@/core/frame/bed';
import type { Hole } from '@/core/frame/holes';
import { mainsAcross } from '@/core/path/path';
import { mainName } from '@/core/terms/string-name';
import { outside, type Point } from './ink';

export const READING_MODES = ['knots', 'mains', 'gaps', 'weave'] as const;
export type ReadingMode = (typeof READING_MODES)[number];

interface Place {
  /** `7HL`, `M8L`, `head M4R` or `C5 M3L`. */
  readonly key: string;
  readonly at: Point;
}

export interface Places {
  readonly places: readonly Place[];
  /** So many stand side by side; up and down goes by them. */
  readonly across: number;
}

const letter = (side: 'left' | 'right') => (side === 'left' ? 'L' : 'R');

/** The ends of each main, from left to right. */
function mainsOf(bed: Bed) {
  return mainsAcross(bed.mainsPerSide).map(({ main, side }) => {
    const turn = side === 'left' ? -1 : 1;
    const at = ({ x, y }: Hole): Point => ({ x: turn * x, y });
    return {
      name: String(mainName(main, side)),
      main,
      side,
      head: at(bed.mainHoles.head[main - 1] as Hole),
      throat: at(bed.mainHoles.throat[main - 1] as Hole),
    };
  });
}

const between = (a: Point, b: Point, share: number): Point => ({
  x: a.x + share * (b.x - a.x),
  y: a.y + share * (b.y - a.y),
});

/** How far from the rim a gap is marked, as a share of the main. */
const GAP_AT = 0.06;

export function readingPlaces(bed: Bed, mode: ReadingMode): Places {
  const mains = mainsOf(bed);
  switch (mode) {
    case 'knots': {
      const right = bed.holes.map((hole): Place => ({
        key: `${hole.label}R`,
        at: outside(bed, hole, 'right', 5),
      }));
      const left = bed.holes.toReversed().map((hole): Place => ({
        key: `${hole.label}L`,
        at: outside(bed, hole, 'left', 5),
      }));
      return { places: [...right, ...left], across: 1 };
    }
    case 'mains':
      return {
        places: mains.map(({ name, head, throat }) => ({
          key: name,
          at: between(head, throat, 0.5),
        })),
        across: 1,
      };
    case 'gaps': {
      const gaps = (['head', 'throat'] as const).flatMap((end) =>
        mains.flatMap((one, i): Place[] => {
          // The gap inside of it: towards the centre line. The middle one belongs to the right.
          const inner = one.side === 'left' ? mains[i + 1] : mains[i - 1];
          if (!inner || (one.main === 1 && one.side === 'left')) return [];
          const share = end === 'head' ? GAP_AT : 1 - GAP_AT;
          const here = between(one.head, one.throat, share);
          const next = between(inner.head, inner.throat, share);
          return [{ key: `${end} ${one.name}`, at: between(here, next, 0.5) }];
        }),
      );
      return { places: gaps, across: gaps.length / 2 };
    }
    case 'weave':
      return {
        places: bed.crossHoles.flatMap((hole, i) =>
          mains.flatMap(({ name, head, throat }): Place[] => {
            const share = (head.y - hole.y) / (head.y - throat.y);
            return share > 0 && share < 1
              ? [{ key: `C${i + 1} ${name}`, at: between(head, throat, share) }]
              : [];
          }),
        ),
        across: mains.length,
      };
  }
}

/** What `7HL` is called. */
export const placeWords = (key: string): string =>
  key.replace(
    /^(\d+[HT])([LR])$/,
    (_, label: string, side: string) =>
      `hole ${label} ${side === letter('left') ? 'left' : 'right'}`,
  );
