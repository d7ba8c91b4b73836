/** A bare ring under loads whose answers stand in books. */
import { alongLoad, pullBetween, ringHoop, solveHoop, type Hoop, type Load } from './hoop';

type RingLoad =
  | { readonly kind: 'opposite points'; readonly n: number }
  | { readonly kind: 'mains' | 'net'; readonly tensionN: number; readonly pitchMm: number };

export interface Ring {
  readonly radiusMm: number;
  readonly eiNmm2: number;
  readonly eaN: number;
  readonly load: RingLoad;
}

export interface RingChange {
  /** Of the diameter along the load or the mains, mm; below 0 where it is shorter. */
  readonly alongMm: number;
  readonly acrossMm: number;
}

/** A multiple of four, so that top, bottom and both sides are nodes. */
const NODES = 720;

/** Strings at an even pitch across the whole ring as a spread load: so much for each millimetre across them. */
function spread({ nodes }: Hoop, perMm: number, mains: boolean): Load {
  const count = nodes.length;
  return nodes.map(({ x, y }, i) => {
    const before = nodes[(i + count - 1) % count] ?? { x, y };
    const after = nodes[(i + 1) % count] ?? { x, y };
    // Half of the way to either neighbour belongs to this node.
    const wide = Math.abs(mains ? after.x - before.x : after.y - before.y) / 2;
    const inward = -perMm * wide;
    return mains
      ? { node: i, fx: 0, fy: inward * Math.sign(y) }
      : { node: i, fx: inward * Math.sign(x), fy: 0 };
  });
}

/**
 * What a thin ring does under two opposite points that press on it, under mains at an even pitch, or under mains and crosses
 * alike: the change of its diameters.
 *
 * Source: beams as in `hoop`. In books: −0.1488 and +0.1366 P·R³/EI (Roark); ∓T·R⁴/(6·g·EI) for mains (Timoshenko); none but
 * the even pressure’s for both.
 * Limits: small changes; strings keep their tension.
 *
 * @example
 * ringChange({ radiusMm: 145, eiNmm2: 1.2e8, eaN: 1e9, load: { kind: 'opposite points', n: 100 } }).alongMm.toFixed(3) // '-0.378'
 */
export function ringChange({ radiusMm, eiNmm2, eaN, load }: Ring): RingChange {
  const hoop = ringHoop(radiusMm, NODES, eiNmm2, eaN);
  const [right, bottom, left] = [NODES / 4, NODES / 2, (3 * NODES) / 4];
  const solve = solveHoop(hoop);
  const loads = (): Load => {
    if (load.kind === 'opposite points')
      return [
        { node: 0, fx: 0, fy: -load.n },
        { node: bottom, fx: 0, fy: load.n },
      ];
    const perMm = load.tensionN / load.pitchMm;
    const mains = spread(hoop, perMm, true);
    return load.kind === 'mains' ? mains : [...mains, ...spread(hoop, perMm, false)];
  };
  const shape = solve(loads());
  return {
    alongMm: -alongLoad(shape, pullBetween(hoop, 0, bottom)),
    acrossMm: -alongLoad(shape, pullBetween(hoop, left, right)),
  };
}
