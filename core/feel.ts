/**
 * The stiffness of a bed as a net of strings under tension, and the tension that gives the same on
 * another frame. A segment of length l under the tension T resists being pushed aside with T/l at each
 * end; the rim stands still. Static and for small pushes; friction at the crossings, the stretch of
 * the strings and the give of the frame are left out.
 */
import type { Bed } from './bed';
import { addTo, bandedMatrix, solveBanded } from './banded';
import type { Sport } from './sport';
import type { TicketTension } from './units';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** One string as a straight line from rim to rim, mm, under its tension, N. */
export interface NetString {
  readonly from: Point;
  readonly to: Point;
  readonly n: number;
}

export interface Net {
  /** From left to right, each from the head to the throat. */
  readonly mains: readonly NetString[];
  /** From the head to the throat, each from left to right. */
  readonly crosses: readonly NetString[];
}

/** Radius of what presses on the bed, mm. ITF Rules of Tennis, Appendix I: a ball of 65.4 to 68.6 mm;
 * BWF Laws, Law 2: a base of 25 to 28 mm; WSF Specifications: a ball of 40 mm. */
export const PRESS_RADIUS_MM: Record<Sport, number> = {
  tennis: 33.5,
  badminton: 13.25,
  squash: 20,
};

/** The net of a bed, mains and crosses at the tensions of a ticket. */
export function netOf(bed: Bed, { mainN, crossN }: Pick<TicketTension, 'mainN' | 'crossN'>): Net {
  const right = bed.mainHoles.head.map((head, i): NetString => {
    const throat = bed.mainHoles.throat[i] as Point;
    return { from: { x: head.x, y: head.y }, to: { x: throat.x, y: throat.y }, n: mainN };
  });
  const mirrored = ({ from, to, n }: NetString): NetString => ({
    from: { x: -from.x, y: from.y },
    to: { x: -to.x, y: to.y },
    n,
  });
  return {
    mains: [...right.map(mirrored).toReversed(), ...right],
    crosses: bed.crossHoles.map(({ x, y }) => ({
      from: { x: -x, y },
      to: { x, y },
      n: crossN,
    })),
  };
}

interface Node extends Point {
  readonly main: number;
  readonly cross: number;
}

/** How far along `a` it meets `b`, both from 0 to 1; nothing when they do not meet inside the rim. */
function meeting(a: NetString, b: NetString): Point | undefined {
  const [ax, ay] = [a.to.x - a.from.x, a.to.y - a.from.y];
  const [bx, by] = [b.to.x - b.from.x, b.to.y - b.from.y];
  const cross = ax * by - ay * bx;
  if (Math.abs(cross) < 1e-9) return undefined;
  const [dx, dy] = [b.from.x - a.from.x, b.from.y - a.from.y];
  const along = (dx * by - dy * bx) / cross;
  const across = (dx * ay - dy * ax) / cross;
  const inside = (share: number) => share > 1e-6 && share < 1 - 1e-6;
  return inside(along) && inside(across)
    ? { x: a.from.x + along * ax, y: a.from.y + along * ay }
    : undefined;
}

interface Mesh {
  readonly nodes: readonly Node[];
  /** Index of the node of a main and a cross, if they meet. */
  readonly at: (main: number, cross: number) => number | undefined;
  readonly net: Net;
}

function meshOf(net: Net): Mesh {
  const nodes: Node[] = [];
  const index = net.crosses.map((crossString, cross) =>
    net.mains.map((mainString, main) => {
      const point = meeting(mainString, crossString);
      if (point) nodes.push({ ...point, main, cross });
      return point && nodes.length - 1;
    }),
  );
  return { nodes, at: (main, cross) => index[cross]?.[main], net };
}

/** Where each crossing goes under forces on the crossings, mm for N; in the order of `nodes`. */
function settle({ nodes, at, net }: Mesh, forces: readonly number[]): readonly number[] {
  const links: {
    readonly a: number;
    readonly b: number | undefined;
    readonly stiffness: number;
  }[] = [];
  const string = ({ from, to, n }: NetString, along: readonly number[]) => {
    const points = along.map((i) => nodes[i] as Node);
    const stops: readonly Point[] = [from, ...points, to];
    for (let k = 1; k < stops.length; k++) {
      const [p, q] = [stops[k - 1] as Point, stops[k] as Point];
      const stiffness = n / Math.hypot(q.x - p.x, q.y - p.y);
      const [a, b] = [along[k - 2], along[k - 1]];
      if (a !== undefined) links.push({ a, b, stiffness });
      else if (b !== undefined) links.push({ a: b, b: undefined, stiffness });
    }
  };
  const known = (index: number | undefined): index is number => index !== undefined;
  net.mains.forEach((main, i) => string(main, net.crosses.map((_, j) => at(i, j)).filter(known)));
  net.crosses.forEach((cross, j) => string(cross, net.mains.map((_, i) => at(i, j)).filter(known)));
  const width = links.reduce(
    (most, { a, b }) => Math.max(most, b === undefined ? 0 : Math.abs(a - b)),
    0,
  );
  const matrix = bandedMatrix(nodes.length, width);
  for (const { a, b, stiffness } of links) {
    addTo(matrix, a, a, stiffness);
    if (b === undefined) continue;
    addTo(matrix, b, b, stiffness);
    addTo(matrix, a, b, -stiffness);
  }
  return solveBanded(matrix, forces);
}

/** How the crossings of a net go down under a force on each of them, mm; `force` in N by place. */
export function deflections(
  net: Net,
  force: (at: Point) => number,
): readonly (Point & { readonly mm: number })[] {
  const mesh = meshOf(net);
  const mm = settle(mesh, mesh.nodes.map(force));
  return mesh.nodes.map(({ x, y }, i) => ({ x, y, mm: mm[i] as number }));
}

/** Places of a disc around the middle of the head, evenly spread. */
function discPlaces(radiusMm: number): readonly Point[] {
  const RINGS = 12;
  return Array.from({ length: RINGS }, (_, ring) => {
    const count = 6 * ring + 3;
    const r = (radiusMm * (ring + 0.5)) / RINGS;
    return Array.from({ length: count }, (__, i) => {
      const angle = (2 * Math.PI * (i + 0.5 * (ring % 2))) / count;
      return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
    });
  }).flat();
}

const xAt = ({ from, to }: NetString, y: number): number =>
  from.x + ((to.x - from.x) * (y - from.y)) / (to.y - from.y);
const yAt = ({ from, to }: NetString, x: number): number =>
  from.y + ((to.y - from.y) * (x - from.x)) / (to.x - from.x);

/** Shares of a force of 1 over the crossings, pressed by a disc in the middle: each place on its mesh's four corners. */
function pressed({ nodes, at, net }: Mesh, radiusMm: number): readonly number[] {
  const shares = nodes.map(() => 0);
  const places = discPlaces(radiusMm);
  for (const { x, y } of places) {
    const main = net.mains.findLastIndex((string) => xAt(string, y) <= x);
    const cross = net.crosses.findLastIndex((string) => yAt(string, x) >= y);
    const [left, right] = [net.mains[main], net.mains[main + 1]];
    const [upper, lower] = [net.crosses[cross], net.crosses[cross + 1]];
    if (!left || !right || !upper || !lower) continue;
    const u = (x - xAt(left, y)) / (xAt(right, y) - xAt(left, y));
    const v = (yAt(upper, x) - y) / (yAt(upper, x) - yAt(lower, x));
    for (const [i, j, share] of [
      [main, cross, (1 - u) * (1 - v)],
      [main + 1, cross, u * (1 - v)],
      [main, cross + 1, (1 - u) * v],
      [main + 1, cross + 1, u * v],
    ] as const) {
      const node = at(i, j);
      if (node !== undefined) shares[node] = (shares[node] as number) + share / places.length;
    }
  }
  return shares;
}

/** The force that pushes a ball-sized disc in the middle of the net a millimetre in, N/mm. */
export function netStiffness(net: Net, radiusMm: number): number {
  const mesh = meshOf(net);
  const shares = pressed(mesh, radiusMm);
  const mm = settle(mesh, shares);
  // What the disc goes in is the mean of what it presses on, by the same shares.
  return 1 / shares.reduce((sum, share, i) => sum + share * (mm[i] as number), 0);
}

export interface SameFeel {
  /** Of both beds, N/mm. */
  readonly stiffness: number;
  /** For the other frame, N, not rounded. */
  readonly mainN: number;
  readonly crossN: number;
  /** Tension on the other frame for each newton on the first. */
  readonly ratio: number;
}

/**
 * The tension on another frame that makes its bed as stiff, with crosses to mains as they were.
 * The net's stiffness grows in proportion to its tensions, so one solution of each is enough.
 */
export function sameFeel(
  from: Bed,
  tension: Pick<TicketTension, 'mainN' | 'crossN'>,
  to: Bed,
): SameFeel {
  const stiffness = netStiffness(netOf(from, tension), PRESS_RADIUS_MM[from.spec.sport]);
  const other = netStiffness(netOf(to, tension), PRESS_RADIUS_MM[to.spec.sport]);
  const ratio = stiffness / other;
  return { stiffness, ratio, mainN: tension.mainN * ratio, crossN: tension.crossN * ratio };
}
