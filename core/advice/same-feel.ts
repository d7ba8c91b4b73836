/**
 * How stiff a bed is where a ball presses on it, and the tension that makes another frame's as stiff.
 * The bed is a net of elastic strings (`net`). Static; friction at the crossings, the height of the
 * weave, the give of the frame and that of the ball are left out.
 */
import type { Mm, Newtons } from '../measure/quantities';
import type { Bed } from '../frame/bed';
import type { JobString } from '../strings/job-string';
import { stringStiffnessN } from '../terms/family';
import { meshOf, settler, type Mesh, type Net, type NetString, type Point } from './net';
import { failure, success, type Result } from '../terms/result';
import type { Sport } from '../terms/sport';
import type { Pulls } from '../measure/units';

/** A string as far as its stretch goes. */
export type StretchOf = Pick<JobString, 'family' | 'gaugeMm'>;

export interface BedStrings {
  readonly mains: StretchOf;
  readonly crosses: StretchOf;
}

interface Press {
  /** Radius of the ball, mm. */
  readonly radiusMm: Mm;
  readonly forceN: Newtons;
}

/**
 * What presses on the bed: a ball of 65.4 to 68.6 mm (ITF Rules of Tennis, Appendix I), a base of 25 to
 * 28 mm (BWF Laws, Law 2), a ball of 40 mm (WSF Specifications); with what one leans on it at the counter, from memory.
 */
const PRESS: Record<Sport, Press> = {
  tennis: { radiusMm: 33.5, forceN: 200 },
  badminton: { radiusMm: 13.25, forceN: 40 },
  squash: { radiusMm: 20, forceN: 80 },
};

/** What is left of a pull by the first ball. Common practice, no source: 5 to 10 % are lost, 55 lb are about 50. */
const SETTLED_SHARE = 0.9;

/**
 * The net of a bed, mains and crosses at the tensions of a ticket as they settle, or at another share of them.
 *
 * @example
 * netOf(usual.bed, usual.tension, usual.strung).mains.length // 16
 */
export function netOf(
  bed: Bed,
  { mainN, crossN }: Pulls,
  { mains, crosses }: BedStrings,
  share = SETTLED_SHARE,
): Net {
  const of = (pullN: Newtons, { family, gaugeMm }: StretchOf) => ({
    tensionN: pullN * share,
    eaN: stringStiffnessN(family, gaugeMm),
  });
  const [main, cross] = [of(mainN, mains), of(crossN, crosses)];
  const right = bed.mainHoles.head.map((head, i): NetString => {
    const throat = bed.mainHoles.throat[i] as Point;
    return { from: { x: head.x, y: head.y }, to: { x: throat.x, y: throat.y }, ...main };
  });
  const mirrored = ({ from, to, ...rest }: NetString): NetString => ({
    from: { x: -from.x, y: from.y },
    to: { x: -to.x, y: to.y },
    ...rest,
  });
  return {
    mains: [...right.map(mirrored).toReversed(), ...right],
    crosses: bed.crossHoles.map(({ x, y }) => ({
      from: { x: -x, y },
      to: { x, y },
      ...cross,
    })),
  };
}

const RINGS = 12;
/** Places of a disc of radius 1 around the middle of the head, evenly spread. */
const DISC: readonly Point[] = Array.from({ length: RINGS }, (_, ring) => {
  const count = 6 * ring + 3;
  const r = (ring + 0.5) / RINGS;
  return Array.from({ length: count }, (__, i) => {
    const angle = (2 * Math.PI * (i + 0.5 * (ring % 2))) / count;
    return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
  });
}).flat();

const xAt = ({ from, to }: NetString, y: number): number =>
  from.x + ((to.x - from.x) * (y - from.y)) / (to.y - from.y);
const yAt = ({ from, to }: NetString, x: number): number =>
  from.y + ((to.y - from.y) * (x - from.x)) / (to.x - from.x);

/** Index of the last string that lies before a place, where they lie in order; -1 where none does. */
function lastBefore(strings: readonly NetString[], isBefore: (it: NetString) => boolean): number {
  let [low, high] = [-1, strings.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (isBefore(strings[middle] as NetString)) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Shares of a force of 1 over the crossings, pressed by a disc in the middle: each place on its mesh's four corners. */
function pressed({ nodes, at, net }: Mesh, radiusMm: Mm): readonly number[] {
  const shares = nodes.map(() => 0);
  for (const place of DISC) {
    const [x, y] = [radiusMm * place.x, radiusMm * place.y];
    const main = lastBefore(net.mains, (string) => xAt(string, y) <= x);
    const cross = lastBefore(net.crosses, (string) => yAt(string, x) >= y);
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
      if (node !== undefined) shares[node] = (shares[node] as number) + share / DISC.length;
    }
  }
  return shares;
}

/** Tension across a millimetre of the bed's middle, N/mm: the mean of both directions. */
function membraneTension({ mains, crosses }: Net): number {
  const middle = (places: readonly number[]) => {
    const gaps = places.slice(1).map((place, i) => ({
      gap: Math.abs(place - (places[i] as number)),
      off: Math.abs(place + (places[i] as number)) / 2,
    }));
    return gaps.toSorted((a, b) => a.off - b.off)[0]?.gap ?? NaN;
  };
  const across = mains.map((string) => xAt(string, 0));
  const down = crosses.map((string) => yAt(string, 0));
  const tension = (strings: readonly NetString[]) =>
    strings[Math.floor(strings.length / 2)]?.tensionN ?? NaN;
  return (tension(mains) / middle(across) + tension(crosses) / middle(down)) / 2;
}

/**
 * Radius of the disc on which a ball lies, mm: where the slope of a membrane that bears the force on its
 * rim, F/2πaT′, is that of the ball, a/R. No more than the ball has.
 */
const contactRadius = (net: Net, { radiusMm, forceN }: Press, share: number): number =>
  Math.min(radiusMm, Math.sqrt((forceN * radiusMm) / (2 * Math.PI * share * membraneTension(net))));

/** Asks the same mesh again and again how stiff it is, with its tensions at any share of what they are. */
function stiffnessOf(mesh: Mesh): (radiusMm: Mm, forceN: Newtons, share?: number) => number {
  const settle = settler(mesh);
  return (radiusMm, forceN, share) => {
    const shares = pressed(mesh, radiusMm);
    const mm = settle(
      shares.map((each) => forceN * each),
      share,
    );
    // What the disc goes in is the mean of what it presses on, by the same shares.
    return forceN / shares.reduce((sum, each, i) => sum + each * (mm[i] as number), 0);
  };
}

/** The force on a disc in the middle of the net for each millimetre that it goes in, N/mm. */
export const discStiffness = (net: Net, radiusMm: Mm, forceN: Newtons): number =>
  stiffnessOf(meshOf(net))(radiusMm, forceN);

/** How stiff a bed is under the ball of its sport, N/mm, at any share of these tensions. */
function ballStiffness(bed: Bed, tension: Pulls, strings: BedStrings): (share: number) => number {
  const net = netOf(bed, tension, strings);
  const press = PRESS[bed.spec.sport];
  const stiffness = stiffnessOf(meshOf(net));
  return (share) => stiffness(contactRadius(net, press, share), press.forceN, share);
}

/** How stiff a bed is under the ball of its sport, N/mm. */
export const bedStiffness = (bed: Bed, tension: Pulls, strings: BedStrings): number =>
  ballStiffness(bed, tension, strings)(1);

/** Pulls for the other frame, not rounded. */
export interface SameFeel extends Pulls {
  /** Of both beds, N/mm. */
  readonly stiffness: number;
  /** Tension on the other frame for each newton on the first. */
  readonly ratio: number;
}

const SEARCHES = 30;
/** Beyond these no other frame is strung for the sake of feel. */
const LEAST_RATIO = 0.25;
const MOST_RATIO = 4;
const within = (ratio: number): number => Math.min(MOST_RATIO, Math.max(LEAST_RATIO, ratio));

/**
 * The tension on another frame that makes its bed as stiff with the same strings, crosses to mains as
 * they were. Stiffness rises with tension a little less than in proportion, as stretch adds its own
 * part, so the ratio is found by the secant; a slack bed has that part still, so a very soft one may
 * have no like on another frame, and then the sentence says so.
 *
 * @example
 * sameFeel(usual.bed, usual.tension, usual.bed, { mains: { family: 'monofilament', gaugeMm: 1.25, stretch: null }, crosses: { family: 'monofilament', gaugeMm: 1.25, stretch: null } }).ok // true
 */
export function sameFeel(
  from: Bed,
  tension: Pulls,
  to: Bed,
  strings: BedStrings,
): Result<SameFeel> {
  const at = (ratio: number): Pulls => ({
    mainN: tension.mainN * ratio,
    crossN: tension.crossN * ratio,
  });
  const stiffness = bedStiffness(from, tension, strings);
  const there = ballStiffness(to, tension, strings);
  const off = (ratio: number) => there(ratio) / stiffness - 1;
  let [before, offBefore] = [1, off(1)];
  // Stiffness grows nearly in proportion.
  let ratio = within(1 / (1 + offBefore));
  let offNow = off(ratio);
  for (let i = 0; i < SEARCHES && offNow !== offBefore && ratio !== before; i++) {
    const step = ratio - (offNow * (ratio - before)) / (offNow - offBefore);
    // Only who leaves the bounds is told whether there is anything within them.
    if (step < LEAST_RATIO && off(LEAST_RATIO) > 0) return failure('same feel.too soft');
    if (step > MOST_RATIO && off(MOST_RATIO) < 0) return failure('same feel.too stiff');
    [before, offBefore] = [ratio, offNow];
    ratio = within(step);
    offNow = off(ratio);
    if (Math.abs(offNow) < 1e-10) break;
  }
  return success({ stiffness, ratio, ...at(ratio) });
}
