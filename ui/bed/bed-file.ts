/** The bed as a picture of its own: SVG in true millimetres, on paper and in any program that draws. */
import { create } from 'xmlbuilder2';
import type { Bed } from '@/core/frame/bed';
import { passageMm } from '@/core/cut/lengths';
import { SIDES } from '@/core/terms/ends';
import type { Path } from '@/core/path/path';
import { drawnRuns } from './bed-runs';
import { outside, rimLine, stringLines } from './ink';

const PAPER = '#fdfbf5';
const INK = '#1c1a17';
const EDGE = '#8d8473';
const MAINS = '#1f4a78';
const CROSSES = '#a97a12';

const MARGIN_MM = 18;
const HOLE_MM = 1.4;

const mm = (value: number): number => Math.round(value * 100) / 100;

interface Line {
  readonly d: string;
  readonly stroke: string;
  readonly width: number;
  readonly dashed?: boolean;
}

/** Mains, crosses and, with a path, what runs outside; each kind a group with a name. Head up, seen from the face. */
export function bedFile(bed: Bed, path: Path | undefined, title: string): string {
  const width = mm(bed.outline.widthMm + 2 * MARGIN_MM);
  const height = mm(bed.outline.lengthMm + 2 * MARGIN_MM);
  const { mains, crosses } = bed.spec.pattern;
  const svg = create({ version: '1.0', encoding: 'UTF-8' }).ele(
    'http://www.w3.org/2000/svg',
    'svg',
    {
      width: `${width}mm`,
      height: `${height}mm`,
      viewBox: `${mm(-width / 2)} ${mm(-height / 2)} ${width} ${height}`,
      role: 'img',
    },
  );
  svg.ele('title').txt(title);
  svg
    .ele('desc')
    .txt(
      `${mains} mains and ${crosses} crosses, head up, seen from the face; one unit is one millimetre.`,
    );
  const group = (id: string, lines: readonly Line[]) => {
    const g = svg.ele('g', { id, fill: 'none' });
    for (const { d, stroke, width: thick, dashed } of lines)
      g.ele('path', {
        d,
        stroke,
        'stroke-width': thick,
        ...(dashed && { 'stroke-dasharray': '2.4 1.6' }),
      });
    return g;
  };
  /** A line with a rim of paper, so that what lies below ends at it. */
  const over = (d: string, stroke: string): readonly Line[] => [
    { d, stroke: PAPER, width: 2.6 },
    { d, stroke, width: 1.3 },
  ];
  const lines = stringLines(bed);
  const of = (kind: 'main' | 'cross') => lines.filter((line) => line.kind === kind);
  const groove = passageMm(bed.spec.sport) + 1.5;
  group('rim', [{ d: rimLine(bed, groove), stroke: EDGE, width: 0.5 }]).ele('path', {
    d: rimLine(bed, 0),
    fill: PAPER,
    stroke: EDGE,
    'stroke-width': 0.7,
  });
  group(
    'mains',
    of('main').map(({ d }) => ({ d, stroke: MAINS, width: 1.3 })),
  );
  group(
    'crosses',
    of('cross').flatMap(({ d }) => over(d, CROSSES)),
  );
  group(
    'mains-over',
    of('main').flatMap(({ over: pieces }) => (pieces === '' ? [] : over(pieces, MAINS))),
  );
  if (path)
    group(
      'outside',
      drawnRuns(bed, path).map(({ d, ink, tail }) => ({
        d,
        stroke: ink === 'mains' ? MAINS : CROSSES,
        width: 1.1,
        dashed: tail,
      })),
    );
  const holes = svg.ele('g', { id: 'holes', stroke: INK, 'stroke-width': 0.3 });
  for (const side of SIDES)
    for (const hole of bed.holes) {
      const { x, y } = outside(bed, hole, side, 0);
      const fill = hole.skipped ? PAPER : hole.main === undefined ? CROSSES : MAINS;
      holes
        .ele('circle', { cx: mm(x), cy: mm(-y), r: HOLE_MM, fill })
        .ele('title')
        .txt(`${hole.label} ${side}`);
    }
  return svg.end({ prettyPrint: true });
}
