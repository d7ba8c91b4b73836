/**
 * A bed as a net of elastic strings, and how far its crossings go in under forces. A segment of length l
 * under the tension T resists being pushed aside with T/l at each end; a string that is pushed aside is
 * longer, and its tension rises with EA (Hooke's law), the same along its whole length, as it slides
 * through the crossings. The rim stands still.
 */
import type { Mm, Newtons } from '../measure/quantities';
import { bandedMatrix, factorBanded } from '../maths/banded';

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
const AT_REST = 1e-8;

/**
 * Says where each crossing of a mesh goes under a force on each, mm for N, in the order of its nodes; asked again with all
 * tensions at another share of what they are, it begins where it came to rest before.
 *
 * Tensions and directions follow from where the crossings are, so it is solved by turns, each mixed with the one before as it
 * would have been right for both (Anderson's mixing of depth one; from memory): four turns where half steps take twenty.
 *
 * @example
 * settler(meshOf({ mains: [], crosses: [] }))([]).length // 0
 */
export function settler(mesh: Mesh): (forces: readonly number[], share?: number) => Float64Array {
  const strings = linksOf(mesh);
  const links = strings.flatMap((each) => each.links);
  const size = mesh.nodes.length;
  const width = links.reduce(
    (most, { a, b }) => (b === undefined ? most : Math.max(most, Math.abs(a - b))),
    0,
  );
  const [from, to, flat] = [
    Int32Array.from(links, ({ a }) => a),
    Int32Array.from(links, ({ b }) => b ?? -1),
    Float64Array.from(links, ({ mm }) => mm),
  ];
  const lengths = new Float64Array(links.length);
  const matrix = bandedMatrix(size, width);
  const { entries } = matrix;
  const n = width + 1;
  let rest = new Float64Array(size);

  /** Where the forces would lead if tensions and directions stayed as they are at `mm`. */
  const led = (mm: Float64Array, forces: readonly number[], share: number): Float64Array => {
    entries.fill(0);
    let first = 0;
    for (const { string, links: own, flatMm } of strings) {
      const end = first + own.length;
      let whole = 0;
      for (let k = first; k < end; k++) {
        const b = to[k] as number;
        const down = (mm[from[k] as number] as number) - (b < 0 ? 0 : (mm[b] as number));
        const across = flat[k] as number;
        whole += lengths[k] = Math.sqrt(across * across + down * down);
      }
      const stretch = flatMm > 0 ? (string.eaN * (whole - flatMm)) / flatMm : 0;
      const tension = string.tensionN * share + stretch;
      for (let k = first; k < end; k++) {
        const stiffness = tension / (lengths[k] as number);
        const [a, b] = [from[k] as number, to[k] as number];
        entries[a * n + width] = (entries[a * n + width] as number) + stiffness;
        if (b < 0) continue;
        entries[b * n + width] = (entries[b * n + width] as number) + stiffness;
        const at = a > b ? a * n + b - a + width : b * n + a - b + width;
        entries[at] = (entries[at] as number) - stiffness;
      }
      first = end;
    }
    return factorBanded(matrix)(forces);
  };

  return (forces, share = 1) => {
    let mm = rest;
    let before: { readonly to: Float64Array; readonly off: Float64Array } | undefined;
    for (let turn = 0; turn < MOST_TURNS; turn++) {
      const found = led(mm, forces, share);
      const off = new Float64Array(size);
      let [deepest, moved, along, apart] = [0, 0, 0, 0];
      for (let i = 0; i < size; i++) {
        const step = (found[i] as number) - (mm[i] as number);
        off[i] = step;
        deepest = Math.max(deepest, Math.abs(found[i] as number));
        moved = Math.max(moved, Math.abs(step));
        if (!before) continue;
        const less = step - (before.off[i] as number);
        along += step * less;
        apart += less * less;
      }
      const back = before && apart > 0 ? along / apart : 0;
      const next = new Float64Array(size);
      for (let i = 0; i < size; i++)
        next[i] = (found[i] as number) - back * ((found[i] as number) - (before?.to[i] ?? 0));
      [before, mm] = [{ to: found, off }, next];
      if (moved <= AT_REST * deepest) break;
    }
    rest = mm;
    return mm;
  };
}

/** How the crossings of a net go down under a force on each of them, mm; `force` in N by place. */
export function deflections(
  net: Net,
  force: (at: Point) => number,
): readonly (Point & { readonly mm: Mm })[] {
  const mesh = meshOf(net);
  const mm = settler(mesh)(mesh.nodes.map(force));
  return mesh.nodes.map(({ x, y }, i) => ({ x, y, mm: mm[i] as number }));
}
