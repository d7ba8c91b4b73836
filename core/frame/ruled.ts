/** Hole positions read off a frame, turned into places along the rim. */
import { refusal, type Refusal } from '../terms/result';
import type { Mm } from '../measure/quantities';
import { LEAST_HOLE_GAP } from './holes';
import { headOutline, type FrameField, type FrameSpec, type HolePositions } from './frame';
import { halfPerimeter, rimAtArc, rimAtX, rimAtY, type Outline, type RimPoint } from './outline';
import type { End } from '../terms/ends';

/** Points further than this from the rim were not read on this head, mm. */
const OFF_THE_RIM = 8;

export type RuledArcs =
  | { readonly ok: true; readonly arcs: readonly number[] }
  | ({ readonly ok: false; readonly field: FrameField } & Refusal);

/** Misread towards each other, two holes may seem this share as far apart as they are ever bored. */
const MISREAD_GAP = 0.4;
/** The first hole lies at most this share of the half rim from the centre line. */
const REACH = 0.2;

const FIELD = { head: 'headMm', side: 'sideMm', throat: 'throatMm' } as const;

/**
 * The distance of each hole of a half along the inside of the rim from the middle of the head, mm,
 * in order from the head to the throat; or the row that cannot be, with its sentence.
 */
export function ruledArcs(
  { head, sport }: Pick<FrameSpec, 'head' | 'sport'>,
  outline: Outline,
  positions: HolePositions,
): RuledArcs {
  const half = halfPerimeter(outline);
  const least = LEAST_HOLE_GAP[sport] * MISREAD_GAP;
  const refuse = (field: FrameField, why: Refusal): RuledArcs => ({ ok: false, field, ...why });
  const grow = (arcs: readonly number[], field: FrameField): RuledArcs => {
    const close = arcs.findIndex(
      (arc, i) => i > 0 && arc > (arcs[i - 1] as number) && arc - (arcs[i - 1] as number) < least,
    );
    if (close > 0)
      return refuse(
        field,
        refusal('frame.ruled too close', {
          first: close,
          second: close + 1,
          mm: ((arcs[close] as number) - (arcs[close - 1] as number)).toFixed(1),
        }),
      );
    const wrong = arcs.findIndex((arc, i) => i > 0 && arc <= (arcs[i - 1] as number));
    if (wrong > 0)
      return refuse(
        field,
        refusal('frame.ruled out of order', { later: wrong + 1, earlier: wrong }),
      );
    if ((arcs.at(-1) as number) >= half)
      return refuse(field, refusal('frame.ruled beyond the middle', { half: Math.round(half) }));
    if ((arcs[0] as number) > REACH * half || (arcs.at(-1) as number) < (1 - REACH) * half)
      return refuse(field, refusal('frame.ruled ends missing'));
    return { ok: true, arcs };
  };

  if (Array.isArray(positions)) {
    if (positions.every((each) => typeof each === 'number')) return grow(positions, 'sideMm');
    const points = positions.filter((each) => typeof each !== 'number');
    const nearest = points.map(([x, below]) => nearestOn(outline, x, head.lengthMm / 2 - below));
    const off = nearest.findIndex(({ off }) => off > OFF_THE_RIM);
    if (off >= 0)
      return refuse(
        'sideMm',
        refusal('frame.ruled off the rim', {
          point: points[off]?.join(', ') ?? '',
          off: Math.round(nearest[off]?.off ?? 0),
        }),
      );
    return grow(
      nearest.map(({ point }) => point.arc),
      'sideMm',
    );
  }

  for (const name of ['head', 'side', 'throat'] as const)
    if (positions[name].length === 0)
      return refuse(FIELD[name], refusal('frame.ruled rows missing'));
  const widest = outline.widthMm / 2;
  for (const end of ['head', 'throat'] as const) {
    const far = positions[end].find((x) => x > widest);
    if (far !== undefined)
      return refuse(
        FIELD[end],
        refusal('frame.ruled beside the head', { far, widthMm: outline.widthMm.toFixed(0) }),
      );
  }
  const deep = positions.side.find((below) => below >= head.lengthMm);
  if (deep !== undefined)
    return refuse(
      'sideMm',
      refusal('frame.ruled below the head', { deep, lengthMm: head.lengthMm }),
    );
  const atEnd = (end: End) => positions[end].map((x) => rimAtX(outline, x, end).arc);
  const side = positions.side.map((below) => rimAtY(outline, head.lengthMm / 2 - below).arc);
  const atHead = atEnd('head');
  const atThroat = atEnd('throat').toReversed();
  if ((atHead.at(-1) as number) >= (side[0] as number))
    return refuse(
      'sideMm',
      refusal('frame.ruled first of the side', { side: positions.side[0] ?? 0 }),
    );
  if ((side.at(-1) as number) >= (atThroat[0] as number))
    return refuse(
      'throatMm',
      refusal('frame.ruled last of the side', { at: positions.side.at(-1) ?? 0 }),
    );
  return grow([...atHead, ...side, ...atThroat], 'sideMm');
}

function nearestOn(
  { half }: Outline,
  x: number,
  y: number,
): { readonly point: RimPoint; readonly off: number } {
  const off = (p: RimPoint) => Math.hypot(p.x - x, p.y - y);
  const point = half.reduce((best, p) => (off(p) < off(best) ? p : best));
  return { point, off: off(point) };
}

export interface RuledRows {
  readonly head: readonly number[];
  readonly side: readonly number[];
  readonly throat: readonly number[];
}

/**
 * Hole positions as rows of a ruler, whichever way they were given, as fine as a form writes them;
 * none when nothing was ruled. Where the rim runs steeper than it runs flat, holes belong to the side.
 *
 * @example
 * ruledRowsOf(usual.spec) === undefined // true
 */
export function ruledRowsOf(spec: FrameSpec): RuledRows | undefined {
  const { positionsMm } = spec.holes;
  if (positionsMm === null) return undefined;
  const hundredths = (row: readonly number[]) => row.map((mm) => Math.round(mm * 100) / 100);
  if (!Array.isArray(positionsMm))
    return {
      head: hundredths(positionsMm.head),
      side: hundredths(positionsMm.side),
      throat: hundredths(positionsMm.throat),
    };
  const outline = headOutline(spec);
  if (!outline.ok) return undefined;
  const ruled = ruledArcs(spec, outline.value, positionsMm);
  if (!ruled.ok) return undefined;
  const rows = { head: [] as number[], side: [] as number[], throat: [] as number[] };
  const tenth = (mm: Mm) => Math.round(mm * 10) / 10;
  for (const arc of ruled.arcs) {
    const [p, q] = [rimAtArc(outline.value, arc - 0.5), rimAtArc(outline.value, arc + 0.5)];
    const { x, y } = rimAtArc(outline.value, arc);
    if (Math.abs(q.x - p.x) < Math.abs(q.y - p.y))
      rows.side.push(tenth(spec.head.lengthMm / 2 - y));
    else if (y > 0) rows.head.push(tenth(x));
    else rows.throat.unshift(tenth(x));
  }
  return rows;
}
