/** The hoop and the strings of a bed, and its pulls in the order of a job. */
import type { Job } from '../bench/job';
import { halfPerimeter, rimAtArc, type Outline } from '../frame/outline';
import type { Bed } from '../frame/bed';
import { stringStiffnessN, type Family } from '../terms/family';
import { failure, success, type Result } from '../terms/result';
import type { Sport } from '../terms/sport';
import type { Hoop } from './hoop';
import type { LoadQuestion, LoadString, Mount } from './stringing';

/** Stiffness of a hoop by sport, for a beam of usual height and material. From memory. */
const STIFFNESS: Readonly<Record<Sport, { readonly eiNmm2: number; readonly eaN: number }>> = {
  tennis: { eiNmm2: 1.2e8, eaN: 4e6 },
  badminton: { eiNmm2: 1.2e7, eaN: 1.2e6 },
  squash: { eiNmm2: 6e7, eaN: 2.5e6 },
};

/**
 * Bending stiffness by place, from the head (0) to the throat (1) along half the rim, beside the sport’s: shoulders are
 * stiffened, the bridge of the throat is thinner. From memory; that head down or throat up makes a difference at all hangs on it.
 */
const PLACES: readonly { readonly to: number; readonly factor: number; readonly name: string }[] = [
  { to: 0.16, factor: 1, name: 'head' },
  { to: 0.4, factor: 1.15, name: 'shoulders' },
  { to: 0.82, factor: 1.05, name: 'sides' },
  { to: 1, factor: 0.8, name: 'throat bridge' },
];

/**
 * The shafts run from where the bridge meets the sides to the handle, so far below the throat, mm, and are so much stiffer than the
 * hoop. A teardrop has none: its hoop goes on into them. From memory.
 */
const SHAFTS = { from: 0.82, toHandleMm: 105, factor: 1.5, parts: 5 } as const;

/** Friction at the crossings. From memory. */
const WEAVE_FRICTION: Readonly<Record<Family, number>> = {
  'natural gut': 0.06,
  multifilament: 0.06,
  'synthetic gut': 0.05,
  monofilament: 0.04,
  aramid: 0.06,
};

/** Beams are no longer than that, mm. */
const LONGEST_BEAM_MM = 9;
/** How little a mount gives, N/mm. From memory. */
const MOUNT_STIFFNESS = 3000;
/** Half the rim from the head at which the shoulder mounts stand. From memory. */
const SHOULDER_MOUNTS = [0.33, 0.67] as const;

export const MOUNT_COUNTS = [6, 4, 2, 0] as const;
export type MountCount = (typeof MOUNT_COUNTS)[number];

interface Meshed {
  readonly hoop: Hoop;
  /** The node at a place of the right half of the rim, and its mirror image. */
  readonly nodeAt: (arc: number, side: 'left' | 'right') => number;
}

/** The rim as a hoop with a node at every hole, alike left and right. */
function mesh(
  outline: Outline,
  arcs: readonly number[],
  factors: boolean,
  base: { eiNmm2: number; eaN: number },
): Meshed {
  const last = halfPerimeter(outline);
  const wanted = [...new Set([0, last, ...arcs])].toSorted((a, b) => a - b);
  const half: number[] = [];
  for (const [i, arc] of wanted.entries()) {
    const before = wanted[i - 1];
    if (before === undefined) {
      half.push(arc);
      continue;
    }
    if (arc - before < 0.05) continue;
    const parts = Math.max(1, Math.ceil((arc - before) / LONGEST_BEAM_MM));
    for (let part = 1; part <= parts; part++) half.push(before + ((arc - before) * part) / parts);
  }
  const right = half.map((arc) => {
    const { x, y } = rimAtArc(outline, arc);
    return { x, y };
  });
  // Clockwise: down the right side, and up the left one.
  const left = right.slice(1, -1).toReversed();
  const nodes = [...right, ...left.map(({ x, y }) => ({ x: -x, y }))];
  const count = nodes.length;
  const placeOf = (i: number): number => {
    const a = half[i < half.length ? i : count - i] ?? 0;
    const j = (i + 1) % count;
    const b = half[j < half.length ? j : count - j] ?? 0;
    return (a + b) / 2 / last;
  };
  const beams = nodes.map((_, i) => {
    const factor = factors ? (PLACES.find(({ to }) => placeOf(i) <= to)?.factor ?? 1) : 1;
    return { from: i, to: (i + 1) % count, eiNmm2: base.eiNmm2 * factor, eaN: base.eaN };
  });
  const nodeAt = (arc: number, side: 'left' | 'right'): number => {
    const i = half.reduce(
      (best, each, at) => (Math.abs(each - arc) < Math.abs((half[best] ?? 0) - arc) ? at : best),
      0,
    );
    return side === 'right' || i === 0 || i === half.length - 1 ? i : count - i;
  };
  return { hoop: { nodes, beams }, nodeAt };
}

/** The hoop with the shafts that hold it at its throat. */
function withShafts({ hoop, nodeAt }: Meshed, last: number, base: typeof STIFFNESS.tennis): Meshed {
  const throat = hoop.nodes[nodeAt(last, 'right')] ?? { x: 0, y: 0 };
  const handle = { x: 0, y: throat.y - SHAFTS.toHandleMm };
  const nodes = [...hoop.nodes, handle];
  const beams = [...hoop.beams];
  const handleAt = nodes.length - 1;
  for (const side of ['left', 'right'] as const) {
    const start = nodeAt(SHAFTS.from * last, side);
    const from = hoop.nodes[start] ?? handle;
    let before = start;
    for (let part = 1; part <= SHAFTS.parts; part++) {
      const share = part / SHAFTS.parts;
      const isLast = part === SHAFTS.parts;
      if (!isLast)
        nodes.push({
          x: from.x + share * (handle.x - from.x),
          y: from.y + share * (handle.y - from.y),
        });
      const to = isLast ? handleAt : nodes.length - 1;
      beams.push({
        from: before,
        to,
        eiNmm2: base.eiNmm2 * SHAFTS.factor,
        eaN: base.eaN * SHAFTS.factor,
      });
      before = to;
    }
  }
  return { hoop: { nodes, beams }, nodeAt };
}

/** Mounts as machines have them: inside at head and throat, outside at the shoulders. */
function mountsOf(
  { hoop, nodeAt }: Meshed,
  last: number,
  count: MountCount,
  stiffness: number,
): readonly Mount[] {
  const inside: readonly Mount[] = [
    { name: 'head', node: nodeAt(0, 'right'), x: 0, y: 1, stiffness },
    { name: 'throat', node: nodeAt(last, 'right'), x: 0, y: -1, stiffness },
  ];
  const outside = SHOULDER_MOUNTS.flatMap((share) =>
    (['left', 'right'] as const).map((side): Mount => {
      const node = nodeAt(share * last, side);
      const { x, y } = hoop.nodes[node] ?? { x: 0, y: 0 };
      const far = Math.hypot(x, y) || 1;
      return {
        name: `${share < 0.5 ? 'upper' : 'lower'} ${side}`,
        node,
        x: -x / far,
        y: -y / far,
        stiffness,
      };
    }),
  );
  if (count === 0) return [];
  if (count === 2) return inside;
  return count === 4 ? [...inside, ...outside.slice(0, 2)] : [...inside, ...outside];
}

export interface FrameLoadOptions {
  /** Else those of the job’s machine. */
  readonly mounts?: MountCount;
  /** Bending stiffness beside what is usual for the sport, where it was measured. */
  readonly factor?: number;
  /** Bending stiffness, N·mm²; else as is usual for the sport, by place. */
  readonly eiNmm2?: number;
  readonly eaN?: number;
  /** The same all round, and nothing but the hoop. */
  readonly uniform?: boolean;
  /** Its crosses are pulled in the other order. */
  readonly crossesTurned?: boolean;
  /** What a lock-out loses; else as the machines of the house pull. */
  readonly relaxes?: number;
  readonly lifts?: boolean;
  readonly friction?: number;
  readonly mountStiffness?: number;
  /** EA of every string, N; else by family and thickness. */
  readonly stringEaN?: number;
}

type StringOf = Pick<Job['mains'], 'family' | 'gaugeMm'>;

/** The strings of a bed between the nodes of its hoop. */
function stringsOf(
  bed: Bed,
  { hoop, nodeAt }: Meshed,
  { mains, crosses }: { readonly mains: StringOf; readonly crosses: StringOf },
  stringEaN: number | undefined,
): readonly LoadString[] {
  const between = (
    name: string,
    kind: LoadString['kind'],
    a: number,
    b: number,
    { family, gaugeMm }: StringOf,
  ): LoadString => {
    const [p, q] = [hoop.nodes[a], hoop.nodes[b]];
    return {
      name,
      kind,
      a,
      b,
      lengthMm: Math.hypot((q?.x ?? 0) - (p?.x ?? 0), (q?.y ?? 0) - (p?.y ?? 0)),
      eaN: stringEaN ?? stringStiffnessN(family, gaugeMm),
      gaugeMm,
    };
  };
  const { head, throat } = bed.mainHoles;
  return [
    ...head.flatMap((top, i) =>
      (['left', 'right'] as const).map((side) =>
        between(
          `M${i + 1}${side === 'left' ? 'L' : 'R'}`,
          'main',
          nodeAt(top.arc, side),
          nodeAt(throat[i]?.arc ?? 0, side),
          mains,
        ),
      ),
    ),
    ...bed.crossHoles.map(({ arc }, i) =>
      between(`C${i + 1}`, 'cross', nodeAt(arc, 'left'), nodeAt(arc, 'right'), crosses),
    ),
  ];
}

/** Nodes that stand at 10 and at 2 o’clock of the head, an hour being 30°; half an hour to either side. */
const tenAndTwo = ({ nodes }: Hoop): readonly number[] =>
  nodes.flatMap(({ x, y }, i) => {
    const hour = (Math.atan2(Math.abs(x), y) * 180) / Math.PI / 30;
    return Math.abs(hour - 2) <= 0.5 ? [i] : [];
  });

/** The crosses in the other order: from the end at which they would have ended. */
const turned = (pulls: LoadQuestion['pulls']): LoadQuestion['pulls'] => [
  ...pulls.filter(({ string }) => string.startsWith('M')),
  ...pulls.filter(({ string }) => string.startsWith('C')).toReversed(),
];

/**
 * A job as a hoop that is strung: the true outline with a node at every hole, the machine’s mounts, and its pulls in the order of
 * its sequence.
 *
 * Source: stiffness of hoops from memory, by sport and place; strings by family and thickness (`terms/family`).
 * Errors: a job that cannot be strung.
 *
 * @example
 * frameLoad(usual.job, { mounts: 6 }).value.strings.length // 35
 */
export function frameLoad(job: Job, options: FrameLoadOptions = {}): Result<LoadQuestion> {
  const { bed, mains, crosses, sequence, house } = job;
  if (!sequence.ok) return sequence;
  const { outline } = bed;
  const last = halfPerimeter(outline);
  const widest = bed.outline.half.reduce((most, point) => (point.x > most.x ? point : most));
  const base = STIFFNESS[bed.spec.sport];
  const byPlace = options.uniform !== true;
  const stiffness = {
    eiNmm2: options.eiNmm2 ?? base.eiNmm2 * (options.factor ?? 1),
    eaN: options.eaN ?? base.eaN,
  };
  const bare = mesh(
    outline,
    [
      ...bed.holes.map(({ arc }) => arc),
      ...SHOULDER_MOUNTS.map((share) => share * last),
      ...(byPlace ? [SHAFTS.from * last] : []),
      widest.arc,
    ],
    byPlace,
    stiffness,
  );
  const hasShafts = byPlace && bed.spec.head.outline !== 'teardrop';
  const meshed = hasShafts ? withShafts(bare, last, stiffness) : bare;
  const strings = stringsOf(bed, meshed, { mains, crosses }, options.stringEaN);
  const pulls = sequence.value.steps.flatMap(({ kind, string, pullN }) =>
    (kind === 'pull' || kind === 'pull again') && string && pullN !== undefined
      ? [{ string: String(string), pullN }]
      : [],
  );
  if (pulls.length === 0) return failure('load.no pulls');
  return success({
    hoop: meshed.hoop,
    strings,
    mounts: mountsOf(
      meshed,
      last,
      options.mounts ?? job.machine.mounts,
      options.mountStiffness ?? MOUNT_STIFFNESS,
    ),
    pulls: options.crossesTurned ? turned(pulls) : pulls,
    relaxes: options.relaxes ?? (house.benchPull === 'lock-out' ? house.lockOutShare : 0),
    weave: {
      lifts: options.lifts ?? true,
      friction: options.friction ?? WEAVE_FRICTION[crosses.family],
    },
    length: [meshed.nodeAt(0, 'right'), meshed.nodeAt(last, 'right')],
    width: [meshed.nodeAt(widest.arc, 'left'), meshed.nodeAt(widest.arc, 'right')],
    tenAndTwo: tenAndTwo(bare.hoop),
  });
}
