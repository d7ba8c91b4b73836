/** The bed in words: what the pointer or the arrow keys name, one string, run or hole at a time. */
import { isMain, type StringName } from '@/core/terms/string-name';
import type { Bed } from '@/core/frame/bed';
import { coveredBy, rimAlong } from '@/core/path/groove';
import type { Hole } from '@/core/frame/holes';
import { passageMm } from '@/core/cut/lengths';
import type { Path } from '@/core/path/path';
import { placeName, type HolePlace, type Segment } from '@/core/path/segments';
import { formatHeadDimension, type LengthSystem } from '@/core/measure/units';
import { stringLines } from './ink';

/** One stop on the way along the strings. */
export interface Stop {
  readonly key: string;
  /** The string that it is, if it is one. */
  readonly string: string | undefined;
  /** The line of a string; a run has its own, under the same key, in `drawnRuns`. */
  readonly d: string;
  /** The hole that it leads to. */
  readonly to: HolePlace | undefined;
  readonly words: string;
}

const nameOf = (string: StringName): string =>
  isMain(string)
    ? `Main ${Number.parseInt(string.slice(1), 10)} ${string.endsWith('L') ? 'left' : 'right'}`
    : `Cross ${string.slice(1)}`;

const holeWords = ({ label, tieOff, double, port }: Hole): string =>
  `${label}${tieOff.length > 0 ? ', bored for a knot' : ''}${double ? ', two barrels' : ''}${port ? ', an open port' : ''}`;

/** The stops of a bed: along its path where there is one, else string by string across it. */
export function stopsOf(bed: Bed, path: Path | undefined, system: LengthSystem): readonly Stop[] {
  const lines = new Map(stringLines(bed).map((line) => [line.name, line]));
  const size = (mm: number) => formatHeadDimension(mm, system);
  const length = (name: StringName) => {
    const line = lines.get(name);
    return line ? size(Math.hypot(line.from.x - line.to.x, line.from.y - line.to.y)) : '';
  };
  if (!path)
    return [...lines.values()].map(({ name, kind, d }): Stop => {
      const number = Number.parseInt(name.slice(1), 10) - 1;
      const holes =
        kind === 'cross'
          ? `hole ${holeWords(bed.crossHoles[number] as Hole)}`
          : `holes ${holeWords(bed.mainHoles.head[number] as Hole)} to ${holeWords(bed.mainHoles.throat[number] as Hole)}`;
      return {
        key: name,
        string: name,
        d,
        to: undefined,
        words: `${nameOf(name)}: ${length(name)}, ${holes}`,
      };
    });
  return path.pieces.flatMap(({ name, segments }) =>
    segments.flatMap((segment, i): readonly Stop[] => {
      const key = `${name}${i}`;
      if (segment.kind === 'tail') return [];
      if (segment.kind === 'inside') {
        const [first] = segment.crossings;
        const weave = first ? `, first ${first.over ? 'over' : 'under'} ${first.string}` : '';
        return [
          {
            key,
            string: segment.string,
            d: lines.get(segment.string)?.d ?? '',
            to: segment.to,
            words: `${nameOf(segment.string)}: ${length(segment.string)}, from ${placeName(segment.from)} to ${placeName(segment.to)}${weave}`,
          },
        ];
      }
      const over = coveredBy(bed, segment).map(({ hole }) => hole.label);
      return [
        {
          key,
          string: undefined,
          d: '',
          to: segment.to,
          words: `${segment.kind === 'tie-off run' ? 'Tail' : 'Outside'}: ${size(rimAlong(bed, segment) + 2 * passageMm(bed.spec.sport))}, from ${placeName(segment.from)} to ${placeName(segment.to)}${over.length > 0 ? `, over ${over.join(' ')}` : ''}`,
        },
      ];
    }),
  );
}

/** Whether a run belongs to the mains or the crosses: to what it comes from, tails to their string. */
export function inkOf(segments: readonly Segment[], i: number): 'mains' | 'crosses' {
  const [before, after] = [segments[i - 1], segments[i + 1]];
  const string =
    before?.kind === 'inside' ? before.string : after?.kind === 'inside' ? after.string : undefined;
  return string === undefined || isMain(string) ? 'mains' : 'crosses';
}
