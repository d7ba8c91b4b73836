/**
 * A hoop while it is strung, pull by pull. It is condensed once to the ends of its strings and its mounts: how each of them moves
 * under a force of 1 at each other. Every pull and every contact is then a small system of equations.
 */
import { solveDense } from '../maths/dense';
import {
  alongLoad,
  momentsOf,
  pullBetween,
  solveHoop,
  type Hoop,
  type Load,
  type Shape,
} from './hoop';

export interface LoadString {
  readonly name: string;
  readonly kind: 'main' | 'cross';
  /** Nodes of the hoop at its ends. */
  readonly a: number;
  readonly b: number;
  readonly lengthMm: number;
  /** N: what it takes for each whole of its length. */
  readonly eaN: number;
  readonly gaugeMm: number;
}

/** A contact that holds the hoop from one side only. */
export interface Mount {
  readonly name: string;
  readonly node: number;
  /** The way in which it pushes the hoop. */
  readonly x: number;
  readonly y: number;
  /** N/mm: how little it gives. */
  readonly stiffness: number;
}

interface Weave {
  /** Whether crosses lengthen the mains that they deflect. */
  readonly lifts: boolean;
  /** Friction at the crossings; 0 for none. */
  readonly friction: number;
}

export interface LoadQuestion {
  readonly hoop: Hoop;
  readonly strings: readonly LoadString[];
  readonly mounts: readonly Mount[];
  /** In the order in which they are pulled; one that is pulled again stands in it again. */
  readonly pulls: readonly { readonly string: string; readonly pullN: number }[];
  readonly weave: Weave;
  /** The share of its pull that a string loses between the stop of a lock-out and its clamp; 0 of a constant pull. */
  readonly relaxes: number;
  /** Nodes between which length and width are measured. */
  readonly length: readonly [head: number, throat: number];
  readonly width: readonly [left: number, right: number];
  /** Nodes at 10 and 2 o’clock, where the schools say that a hoop is weakest. */
  readonly tenAndTwo: readonly number[];
}

interface PullState {
  readonly string: string;
  /** Changes against the bare hoop, mm. */
  readonly lengthChangeMm: number;
  readonly widthChangeMm: number;
  /** Tension of every string that is in, N. */
  readonly tensions: Readonly<Record<string, number>>;
  /** What each mount bears, N. */
  readonly mountsN: readonly number[];
  /** How every node has moved, x, y and turn. */
  readonly shape: Shape;
  /** The worst bending moment, N·mm, and the node where it is. */
  readonly momentNmm: number;
  readonly momentAt: number;
  /** The worst one at 10 and 2 o’clock, N·mm. */
  readonly momentTenAndTwoNmm: number;
}

export interface Strung {
  readonly pulls: readonly PullState[];
  /** When the mounts are open. */
  readonly end: PullState;
  readonly strings: readonly {
    readonly name: string;
    readonly setN: number;
    readonly finalN: number;
  }[];
}

/** A hoop condensed to its strings and mounts. */
interface Condensed {
  readonly loads: readonly Load[];
  readonly shapes: readonly Shape[];
  /** How load i moves under load j, mm/N. */
  readonly flexibility: readonly Float64Array[];
  /** Bending moments at both ends of a beam, N·mm. */
  readonly moments: (beam: number, shape: Shape) => readonly [from: number, to: number];
}

/** Contacts are opened and closed until none is wrong; as often as that at most. */
const MOST_TURNS = 60;

function condense({ hoop, strings, mounts }: LoadQuestion): Condensed {
  const solve = solveHoop(hoop);
  const loads: readonly Load[] = [
    ...strings.map(({ a, b }) => pullBetween(hoop, a, b)),
    ...mounts.map(({ node, x, y }): Load => [{ node, fx: x, fy: y }]),
  ];
  const shapes = loads.map(solve);
  return {
    loads,
    shapes,
    flexibility: loads.map((load) => Float64Array.from(shapes, (shape) => alongLoad(shape, load))),
    moments: momentsOf(hoop),
  };
}

/** A string that is held by its clamps or knots. */
interface Held {
  readonly tensionN: number;
  /** How much shorter its chord was then, mm. */
  readonly shorter: number;
  /** How much longer its way through the weave was then, mm. */
  readonly longer: number;
}

/**
 * Strings a hoop.
 *
 * Each string is an elastic bar: while it is pulled its head keeps the force, once it is clamped its tension goes with its chord. A
 * lock-out stops at the force and keeps the length, at which the string relaxes. A
 * cross that is woven in deflects every main it meets by their thickness, which makes that main’s way longer: t²/2p beside a
 * neighbour at the distance p, (t/2)²/2p to the rim. What reaches the far end of a cross is less by e^(−μΘ), Θ the sum of its
 * turns; it counts with its mean along the string.
 *
 * Source: Hooke; Euler and Eytelwein; beams as in `hoop`. Sizes of friction from memory.
 * Limits: small changes; clamped and passed holes do not slip; knots lose nothing.
 *
 * @param onPull is told how many pulls are done; an answer of false stops it
 *
 * @example
 * stringUnderLoad({ hoop: { nodes: [{ x: 0, y: 9 }, { x: 9, y: 0 }, { x: 0, y: -9 }, { x: -9, y: 0 }], beams: [{ from: 0, to: 1, eiNmm2: 1e8, eaN: 1e7 }, { from: 1, to: 2, eiNmm2: 1e8, eaN: 1e7 }, { from: 2, to: 3, eiNmm2: 1e8, eaN: 1e7 }, { from: 3, to: 0, eiNmm2: 1e8, eaN: 1e7 }] }, strings: [], mounts: [], pulls: [], weave: { lifts: true, friction: 0 }, relaxes: 0, length: [0, 2], width: [3, 1], tenAndTwo: [] }).pulls // []
 */
export function stringUnderLoad(
  question: LoadQuestion,
  onPull: (done: number) => boolean = () => true,
): Strung {
  const { strings, mounts, pulls, weave } = question;
  const condensed = condense(question);
  const held: (Held | undefined)[] = strings.map(() => undefined);
  const longer = strings.map(() => 0);
  const woven = new Set<number>();
  const states: PullState[] = [];
  let forces: readonly number[] = [...strings, ...mounts].map(() => 0);
  let contacts = mounts.map(() => false);

  const settle = (pulled: ReadonlyMap<number, number>, mounted: boolean) => {
    const solved = balance(question, condensed, { held, longer, pulled, contacts, mounted });
    forces = solved.forces;
    contacts = solved.contacts;
  };

  for (const [done, { string: name, pullN }] of pulls.entries()) {
    const i = strings.findIndex((each) => each.name === name);
    const string = strings[i];
    if (!string) continue;
    if (string.kind === 'cross' && !woven.has(i)) {
      if (weave.lifts) lift(question, i, woven, longer);
      woven.add(i);
    }
    const meanN = pullN * (string.kind === 'cross' ? reaches(question, string) : 1);
    held[i] = undefined;
    settle(new Map([[i, meanN]]), true);
    held[i] = {
      tensionN: meanN * (1 - question.relaxes),
      shorter: shorterOf(condensed, i, forces),
      longer: longer[i] as number,
    };
    if (question.relaxes > 0) settle(new Map(), true);
    states.push(stateOf(question, condensed, name, forces));
    if (!onPull(done + 1)) break;
  }
  settle(new Map(), false);
  const end = stateOf(question, condensed, '', forces);
  return {
    pulls: states,
    end,
    strings: strings.flatMap(({ name }, i) => {
      const set = pulls.findLast((pull) => pull.string === name)?.pullN;
      return set === undefined || !held[i]
        ? []
        : [{ name, setN: set, finalN: forces[i] as number }];
    }),
  };
}

interface Holding {
  readonly held: readonly (Held | undefined)[];
  readonly longer: readonly number[];
  /** Strings that the head pulls now, with their force. */
  readonly pulled: ReadonlyMap<number, number>;
  readonly contacts: readonly boolean[];
  readonly mounted: boolean;
}

/** How much shorter the chord of a string is, mm. */
const shorterOf = ({ flexibility }: Condensed, i: number, forces: readonly number[]): number =>
  (flexibility[i] as Float64Array).reduce((sum, f, j) => sum + f * (forces[j] as number), 0);

/** All forces at which strings, hoop and mounts rest. */
function balance(
  { strings, mounts }: LoadQuestion,
  { flexibility }: Condensed,
  { held, longer, pulled, contacts, mounted }: Holding,
): { readonly forces: readonly number[]; readonly contacts: boolean[] } {
  const count = strings.length;
  let closed = mounts.map((_, m) => mounted && (contacts[m] as boolean));
  for (let turn = 0; ; turn++) {
    const unknown = [
      ...strings.flatMap((_, i) => (held[i] ? [i] : [])),
      ...mounts.flatMap((_, m) => (closed[m] ? [count + m] : [])),
    ];
    const rows = unknown.map((i) => {
      const row = flexibility[i] as Float64Array;
      const string = strings[i];
      const hold = held[i];
      const known = [...pulled].reduce((sum, [j, force]) => sum + (row[j] as number) * force, 0);
      // A string: T + k·(shorter − shorter then − longer + longer then) = T then. A mount: R + k·(moved its way) = 0.
      const k = string ? string.eaN / string.lengthMm : (mounts[i - count]?.stiffness ?? 0);
      const right =
        string && hold
          ? hold.tensionN + k * (hold.shorter + (longer[i] as number) - hold.longer - known)
          : -k * known;
      return {
        left: unknown.map((j) => k * (row[j] as number) + (i === j ? 1 : 0)),
        right,
      };
    });
    const solved = solveDense(
      rows.map(({ left }) => left),
      rows.map(({ right }) => right),
    );
    if (!solved) throw new RangeError('Strings and hoop do not hang together.');
    const forces = [...strings, ...mounts].map((_, i) => pulled.get(i) ?? 0);
    unknown.forEach((i, at) => {
      forces[i] = solved[at] as number;
    });
    const next = mounts.map((_, m) => {
      if (!mounted) return false;
      const i = count + m;
      if (closed[m]) return (forces[i] as number) > 0;
      const moved = (flexibility[i] as Float64Array).reduce(
        (sum, f, j) => sum + f * (forces[j] as number),
        0,
      );
      return moved < 0;
    });
    if (turn >= MOST_TURNS || next.every((each, m) => each === closed[m]))
      return { forces, contacts: closed };
    closed = next;
  }
}

const middleOf = ({ hoop }: LoadQuestion, { a, b }: LoadString, axis: 'x' | 'y'): number =>
  ((hoop.nodes[a]?.[axis] ?? 0) + (hoop.nodes[b]?.[axis] ?? 0)) / 2;

/** Nearer to the rim a cross and a main share a hole, mm. */
const LEAST_GAP_MM = 1;

/** A cross that comes in makes the way of every main that it meets longer. */
function lift(
  question: LoadQuestion,
  cross: number,
  woven: ReadonlySet<number>,
  longer: number[],
): void {
  const { hoop, strings } = question;
  const it = strings[cross] as LoadString;
  const y = middleOf(question, it, 'y');
  const half = Math.abs((hoop.nodes[it.b]?.x ?? 0) - (hoop.nodes[it.a]?.x ?? 0)) / 2;
  strings.forEach((main, i) => {
    if (main.kind !== 'main' || Math.abs(middleOf(question, main, 'x')) > half) return;
    const ends = [hoop.nodes[main.a]?.y ?? 0, hoop.nodes[main.b]?.y ?? 0];
    const [top, bottom] = [Math.max(...ends), Math.min(...ends)];
    // At a shared hole, or beyond the ends of a main, nothing is deflected.
    if (y >= top - LEAST_GAP_MM || y <= bottom + LEAST_GAP_MM) return;
    const thick = (main.gaugeMm + it.gaugeMm) / 2;
    const others = [...woven].map((j) => middleOf(question, strings[j] as LoadString, 'y'));
    const above = Math.min(...others.filter((other) => other > y));
    const below = Math.max(...others.filter((other) => other < y));
    /** What the way from one place of the weave to the next is longer than straight. */
    const between = (gap: number, rim: boolean) =>
      (rim ? thick / 2 : thick) ** 2 / (2 * Math.abs(gap));
    const [up, down] = [
      Number.isFinite(above) ? { gap: above - y, rim: false } : { gap: top - y, rim: true },
      Number.isFinite(below) ? { gap: y - below, rim: false } : { gap: y - bottom, rim: true },
    ];
    const before = up.rim && down.rim ? 0 : between(up.gap + down.gap, up.rim || down.rim);
    longer[i] =
      (longer[i] as number) + between(up.gap, up.rim) + between(down.gap, down.rim) - before;
  });
}

/** The mean share of its pull that a cross has along its length. */
function reaches(question: LoadQuestion, cross: LoadString): number {
  const { strings, weave } = question;
  const mains = strings
    .filter(({ kind }) => kind === 'main')
    .map((main) => ({ x: middleOf(question, main, 'x'), gaugeMm: main.gaugeMm }))
    .toSorted((a, b) => a.x - b.x);
  const turned = mains.slice(1).reduce((sum, { x, gaugeMm }, i) => {
    const gap = x - (mains[i]?.x ?? x);
    return gap > 0 ? sum + (gaugeMm + cross.gaugeMm) / gap : sum;
  }, 0);
  const lost = weave.friction * turned;
  return lost > 1e-9 ? (1 - Math.exp(-lost)) / lost : 1;
}

function shapeOf({ nodes }: Hoop, { shapes }: Condensed, forces: readonly number[]): Shape {
  const whole = new Float64Array(3 * nodes.length);
  shapes.forEach((shape, j) => {
    const force = forces[j] as number;
    if (force === 0) return;
    for (let k = 0; k < whole.length; k++)
      whole[k] = (whole[k] as number) + force * (shape[k] as number);
  });
  return whole;
}

function stateOf(
  { hoop, strings, length, width, tenAndTwo }: LoadQuestion,
  condensed: Condensed,
  string: string,
  forces: readonly number[],
): PullState {
  const shape = shapeOf(hoop, condensed, forces);
  let momentNmm = 0;
  let momentAt = 0;
  let momentTenAndTwoNmm = 0;
  for (const [i, beam] of hoop.beams.entries()) {
    const [from, to] = condensed.moments(i, shape);
    for (const [moment, node] of [
      [from, beam.from],
      [to, beam.to],
    ] as const) {
      if (tenAndTwo.includes(node))
        momentTenAndTwoNmm = Math.max(momentTenAndTwoNmm, Math.abs(moment));
      if (Math.abs(moment) > momentNmm) {
        momentNmm = Math.abs(moment);
        momentAt = node;
      }
    }
  }
  return {
    string,
    shape,
    lengthChangeMm: -alongLoad(shape, pullBetween(hoop, ...length)),
    widthChangeMm: -alongLoad(shape, pullBetween(hoop, ...width)),
    tensions: Object.fromEntries(
      strings.flatMap(({ name }, i) => (forces[i] ? [[name, forces[i] as number]] : [])),
    ),
    mountsN: forces.slice(strings.length),
    momentNmm,
    momentAt,
    momentTenAndTwoNmm,
  };
}
