/**
 * A bed as a net of elastic strings, and how far its crossings go in under forces. A segment of length l
 * under the tension T resists being pushed aside with T/l at each end; a string that is pushed aside is
 * longer, and its tension rises with EA (Hooke's law), the same along its whole length, as it slides
 * through the crossings. The rim stands still.
 */
import type { Mm, Newtons } from '../measure/quantities';
import { addTo, bandedMatrix, solveBanded } from '../maths/banded';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** One string as a straight line from rim to rim, mm. */
export interface NetString {
  readonly from: Point;
  readonly to: Point;
  /** Its tension before anything presses, N. */
  readonly tensionN: Newtons;
  /** EA, N: what it takes for each whole of its length that it is stretched. */
  readonly eaN: Newtons;
}

export interface Net {
  /** From left to right, each from the head to the throat. */
  readonly mains: readonly NetString[];
  /** From the head to the throat, each from left to right. */
  readonly crosses: readonly NetString[];
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

export interface Mesh {
  readonly nodes: readonly Node[];
  /** Index of the node of a main and a cross, if they meet. */
  readonly at: (main: number, cross: number) => number | undefined;
  readonly net: Net;
}

/**
 * The crossings of a net and which strings meet at each.
 *
 * @example
 * meshOf({ mains: [], crosses: [] }).nodes // []
 */
export function meshOf(net: Net): Mesh {
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

/** A piece of a string between two crossings, or a crossing and the rim. */
interface Link {
  readonly a: number;
  /** Undefined at the rim. */
  readonly b: number | undefined;
  readonly mm: Mm;
}

/**
 * The links of every string, mains first.
 *
 * @example
 * linksOf(meshOf({ mains: [], crosses: [] })) // []
 */
export function linksOf({ nodes, at, net }: Mesh): readonly {
  readonly string: NetString;
  readonly links: readonly Link[];
  /** Of all links together, before anything presses, mm. */
  readonly flatMm: Mm;
}[] {
  const string = (it: NetString, along: readonly (number | undefined)[]) => {
    const known = along.filter((index): index is number => index !== undefined);
    const stops: readonly Point[] = [it.from, ...known.map((i) => nodes[i] as Node), it.to];
    const links = stops.slice(1).flatMap((q, k): Link[] => {
      const p = stops[k] as Point;
      const mm = Math.hypot(q.x - p.x, q.y - p.y);
      const [before, after] = [known[k - 1], known[k]];
      if (before !== undefined) return [{ a: before, b: after, mm }];
      return after === undefined ? [] : [{ a: after, b: undefined, mm }];
    });
    return { string: it, links, flatMm: links.reduce((sum, { mm }) => sum + mm, 0) };
  };
  return [
    ...net.mains.map((main, i) =>
      string(
        main,
        net.crosses.map((_, j) => at(i, j)),
      ),
    ),
    ...net.crosses.map((cross, j) =>
      string(
        cross,
        net.mains.map((_, i) => at(i, j)),
      ),
    ),
  ];
}

const MOST_TURNS = 60;
/** The crossings rest when no turn moves one further than this share of the deepest. */
const AT_REST = 1e-9;

/**
 * Where each crossing goes under a force on each, mm for N, in the order of `nodes`. Tensions and
 * directions follow from where the crossings are, so it is solved by turns, half a step each.
 */
export function settle(mesh: Mesh, forces: readonly number[]): readonly number[] {
  const strings = linksOf(mesh);
  const width = strings
    .flatMap(({ links }) => links)
    .reduce((most, { a, b }) => Math.max(most, b === undefined ? 0 : Math.abs(a - b)), 0);
  let mm: readonly Mm[] = mesh.nodes.map(() => 0);
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const matrix = bandedMatrix(mesh.nodes.length, width);
    for (const { string, links, flatMm } of strings) {
      const lengths = links.map((link) => stretched(link, mm));
      const longer = lengths.reduce((sum, each) => sum + each, 0) - flatMm;
      const tension = string.tensionN + (flatMm > 0 ? (string.eaN * longer) / flatMm : 0);
      links.forEach(({ a, b }, i) => {
        const stiffness = tension / (lengths[i] as number);
        addTo(matrix, a, a, stiffness);
        if (b === undefined) return;
        addTo(matrix, b, b, stiffness);
        addTo(matrix, a, b, -stiffness);
      });
    }
    const found = solveBanded(matrix, forces);
    const before = mm;
    mm = turn === 0 ? found : found.map((each, i) => (each + (before[i] as number)) / 2);
    const deepest = Math.max(...found.map(Math.abs));
    const moved = Math.max(...found.map((each, i) => Math.abs(each - (before[i] as number))));
    if (turn > 0 && moved <= AT_REST * deepest) break;
  }
  return mm;
}

const stretched = ({ a, b, mm: flat }: Link, mm: readonly Mm[]): number =>
  Math.hypot(flat, (mm[a] as number) - (b === undefined ? 0 : (mm[b] as number)));

/** How the crossings of a net go down under a force on each of them, mm; `force` in N by place. */
export function deflections(
  net: Net,
  force: (at: Point) => number,
): readonly (Point & { readonly mm: Mm })[] {
  const mesh = meshOf(net);
  const mm = settle(mesh, mesh.nodes.map(force));
  return mesh.nodes.map(({ x, y }, i) => ({ x, y, mm: mm[i] as number }));
}
