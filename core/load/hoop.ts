/**
 * The hoop of a frame: plane Bernoulli beams from node to node, closed. Its stiffness is factored once; after that every load is
 * a small thing.
 */
import { addTo, bandedMatrix, factorBanded } from '../maths/banded';

interface Node {
  readonly x: number;
  readonly y: number;
}

/** A beam from one node to another. */
interface Beam {
  readonly from: number;
  readonly to: number;
  /** Bending stiffness, N·mm². */
  readonly eiNmm2: number;
  /** Axial stiffness, N. */
  readonly eaN: number;
}

export interface Hoop {
  readonly nodes: readonly Node[];
  readonly beams: readonly Beam[];
}

/** Forces on a hoop, each at a node, for a load of 1. */
export type Load = readonly { readonly node: number; readonly fx: number; readonly fy: number }[];

/** What a hoop does under a load of 1: x, y and turn of every node. */
export type Shape = Float64Array;

/**
 * So little holds every node where it is, N/mm and N·mm: a hoop that nothing else holds would fly away. A millimetre of it
 * is a ten thousandth of a newton.
 */
export const GROUND = 1e-4;

/** Three unknowns of a node: along, across and the turn. */
const DOF = 3;

/**
 * A ring of equal beams around the origin, node 0 at the top, clockwise.
 *
 * @example
 * ringHoop(145, 8, 1e8, 1e7).nodes[2].x.toFixed(0) // '145'
 */
export function ringHoop(radiusMm: number, count: number, eiNmm2: number, eaN: number): Hoop {
  const nodes = Array.from({ length: count }, (_, i): Node => {
    const angle = (2 * Math.PI * i) / count;
    return { x: radiusMm * Math.sin(angle), y: radiusMm * Math.cos(angle) };
  });
  return { nodes, beams: nodes.map((_, i) => ({ from: i, to: (i + 1) % count, eiNmm2, eaN })) };
}

/**
 * Element stiffness of a beam in the axes of the plane, 6 × 6.
 *
 * Source: Przemieniecki, Theory of Matrix Structural Analysis; any table of plane frame elements.
 */
function beamStiffness(
  { nodes }: Hoop,
  { from, to, eiNmm2, eaN }: Beam,
): readonly (readonly number[])[] {
  const [p, q] = [nodes[from] as Node, nodes[to] as Node];
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const L = Math.hypot(dx, dy);
  const [c, s] = [dx / L, dy / L];
  const a = eaN / L;
  const b = (12 * eiNmm2) / L ** 3;
  const d = (6 * eiNmm2) / L ** 2;
  const e = (4 * eiNmm2) / L;
  const xx = a * c * c + b * s * s;
  const xy = (a - b) * c * s;
  const yy = a * s * s + b * c * c;
  return [
    [xx, xy, -d * s, -xx, -xy, -d * s],
    [xy, yy, d * c, -xy, -yy, d * c],
    [-d * s, d * c, e, d * s, -d * c, e / 2],
    [-xx, -xy, d * s, xx, xy, d * s],
    [-xy, -yy, -d * c, xy, yy, -d * c],
    [-d * s, d * c, e / 2, d * s, -d * c, e],
  ];
}

/**
 * The whole stiffness of a hoop, row by row, held to the ground as `solveHoop` holds it.
 *
 * @example
 * hoopStiffness(ringHoop(100, 4, 1e8, 1e7)).length // 144
 */
export function hoopStiffness(hoop: Hoop): number[] {
  const size = DOF * hoop.nodes.length;
  const whole = new Array<number>(size * size).fill(0);
  for (const beam of hoop.beams) {
    const stiffness = beamStiffness(hoop, beam);
    const places = [beam.from, beam.to].flatMap((node) => [0, 1, 2].map((k) => DOF * node + k));
    places.forEach((i, row) =>
      places.forEach((j, column) => {
        whole[i * size + j] =
          (whole[i * size + j] as number) + (stiffness[row]?.[column] as number);
      }),
    );
  }
  for (let i = 0; i < size; i++) whole[i * size + i] = (whole[i * size + i] as number) + GROUND;
  return whole;
}

/** The order of the nodes in which a closed chain has a narrow band: from one node both ways at once, whatever is left last. */
function folded({ nodes, beams }: Hoop): readonly number[] {
  const neighbours = nodes.map((): number[] => []);
  for (const { from, to } of beams) {
    neighbours[from]?.push(to);
    neighbours[to]?.push(from);
  }
  const place = nodes.map(() => -1);
  const queue = [0];
  place[0] = 0;
  let next = 1;
  for (const node of queue)
    for (const other of neighbours[node] ?? []) {
      if (place[other] !== -1) continue;
      place[other] = next++;
      queue.push(other);
    }
  return place;
}

/**
 * Factors a hoop, and gives what it does under any load. Errors: a RangeError where a node hangs on no beam.
 *
 * @example
 * solveHoop(ringHoop(100, 12, 1e8, 1e7))([{ node: 0, fx: 0, fy: -1 }, { node: 6, fx: 0, fy: 1 }]).length // 36
 */
export function solveHoop(hoop: Hoop): (load: Load) => Shape {
  const { nodes, beams } = hoop;
  const place = folded(hoop);
  const at = (node: number) => DOF * (place[node] as number);
  const width =
    DOF - 1 + beams.reduce((most, { from, to }) => Math.max(most, Math.abs(at(from) - at(to))), 0);
  const matrix = bandedMatrix(DOF * nodes.length, width);
  for (const beam of beams) {
    const stiffness = beamStiffness(hoop, beam);
    const places = [beam.from, beam.to].flatMap((node) => [0, 1, 2].map((k) => at(node) + k));
    for (let i = 0; i < 6; i++)
      for (let j = 0; j <= i; j++)
        addTo(matrix, places[i] as number, places[j] as number, stiffness[i]?.[j] as number);
  }
  for (let i = 0; i < DOF * nodes.length; i++) addTo(matrix, i, i, GROUND);
  const solve = factorBanded(matrix);
  return (load) => {
    const forces = new Float64Array(DOF * nodes.length);
    for (const { node, fx, fy } of load) {
      forces[at(node)] = (forces[at(node)] as number) + fx;
      forces[at(node) + 1] = (forces[at(node) + 1] as number) + fy;
    }
    const moved = solve(forces);
    const shape = new Float64Array(DOF * nodes.length);
    nodes.forEach((_, node) => {
      for (let k = 0; k < DOF; k++) shape[DOF * node + k] = moved[at(node) + k] as number;
    });
    return shape;
  };
}

/**
 * How far a shape moves along a load, mm for a load of 1: the shortening of a chord under its own pull.
 *
 * @example
 * alongLoad(Float64Array.from([1, 2, 0]), [{ node: 0, fx: 0, fy: 3 }]) // 6
 */
export const alongLoad = (shape: Shape, load: Load): number =>
  load.reduce(
    (sum, { node, fx, fy }) =>
      sum + fx * (shape[DOF * node] as number) + fy * (shape[DOF * node + 1] as number),
    0,
  );

/** The bending moments of a hoop, N·mm, at both ends of each of its beams; what of a beam stays the same is worked out once. */
export function momentsOf(
  hoop: Hoop,
): (beam: number, shape: Shape) => readonly [from: number, to: number] {
  const rows = hoop.beams.map((beam) => {
    const stiffness = beamStiffness(hoop, beam);
    const [from = [], to = []] = [stiffness[2], stiffness[5]];
    return {
      from,
      to,
      places: [beam.from, beam.to].flatMap((n) => [0, 1, 2].map((k) => DOF * n + k)),
    };
  });
  return (beam, shape) => {
    const { from, to, places } = rows[beam] as (typeof rows)[number];
    let [a, b] = [0, 0];
    for (let i = 0; i < places.length; i++) {
      const u = shape[places[i] as number] as number;
      a += u * (from[i] as number);
      b += u * (to[i] as number);
    }
    return [a, b];
  };
}

/** The pull of a string between two nodes, each drawn towards the other. */
export function pullBetween({ nodes }: Hoop, a: number, b: number): Load {
  const [p, q] = [nodes[a] as Node, nodes[b] as Node];
  const L = Math.hypot(q.x - p.x, q.y - p.y);
  const [fx, fy] = [(q.x - p.x) / L, (q.y - p.y) / L];
  return [
    { node: a, fx, fy },
    { node: b, fx: -fx, fy: -fy },
  ];
}
