import { describe, expect, it } from 'vitest';
import { alongLoad, momentsOf, pullBetween, ringHoop, solveHoop } from './hoop';
import { ringChange, type Ring } from './ring';

const RING: Omit<Ring, 'load'> = { radiusMm: 145, eiNmm2: 1.2e8, eaN: 1e9 };
const close = (found: number, known: number, share: number) =>
  expect(Math.abs(found / known - 1)).toBeLessThan(share);

describe('a thin ring', () => {
  // Source: Roark’s Formulas for Stress and Strain: two opposite loads P, along −0.1488 PR³/EI, across +0.1366 PR³/EI.
  it('under two opposite points is Roark’s', () => {
    const { alongMm, acrossMm } = ringChange({
      ...RING,
      load: { kind: 'opposite points', n: 100 },
    });
    const unit = (100 * 145 ** 3) / 1.2e8;
    close(alongMm, -0.1488 * unit, 1e-3);
    close(acrossMm, 0.1366 * unit, 1e-3);
  });

  // Source: inextensional ring by energy, as in Timoshenko, Strength of Materials II: ∓T·R⁴/(6·g·EI).
  it('under mains at an even pitch is Timoshenko’s', () => {
    const load = { kind: 'mains', tensionN: 20, pitchMm: 14 } as const;
    const { alongMm, acrossMm } = ringChange({ ...RING, load });
    const known = (20 * 145 ** 4) / (6 * 14 * 1.2e8);
    close(alongMm, -known, 2e-3);
    close(acrossMm, known, 2e-3);
  });

  // Source: statics. An even pressure p in a ring bends nothing and shortens each diameter by 2pR²/EA.
  it('under a net is not bent, and is pressed together evenly', () => {
    const load = { kind: 'net', tensionN: 20, pitchMm: 14 } as const;
    const { alongMm, acrossMm } = ringChange({ ...RING, eaN: 1e6, load });
    const known = (-2 * (20 / 14) * 145 ** 2) / 1e6;
    close(alongMm, known, 2e-3);
    close(acrossMm, known, 2e-3);
  });

  it('comes nearer to the book with finer beams', () => {
    const off = (count: number) => {
      const hoop = ringHoop(145, count, 1.2e8, 1e9);
      const press = pullBetween(hoop, 0, count / 2);
      const found = -100 * alongLoad(solveHoop(hoop)(press), press);
      return Math.abs(found / ((-0.1488 * 100 * 145 ** 3) / 1.2e8) - 1);
    };
    expect(off(12)).toBeGreaterThan(off(48));
    expect(off(48)).toBeGreaterThan(off(192));
  });

  // Source: Castigliano; what one place moves under a force at another, the other moves under it at the first (Maxwell).
  it('answers alike both ways, keeps its work, and is bent the most under the points', () => {
    const hoop = ringHoop(145, 96, 1.2e8, 1e9);
    const solve = solveHoop(hoop);
    const [one, other] = [pullBetween(hoop, 0, 48), pullBetween(hoop, 10, 70)];
    close(alongLoad(solve(one), other), alongLoad(solve(other), one), 1e-6);
    const shape = solve(one);
    const momentsAt = momentsOf(hoop);
    const moments = hoop.beams.map((_, i) => momentsAt(i, shape).map(Math.abs));
    const peak = Math.max(...moments.flat());
    expect(Math.max(...(moments[0] ?? []), ...(moments[48] ?? []))).toBeCloseTo(peak, 6);
    // Roark: 0.3183 PR at the points.
    close(peak, 0.3183 * 145, 5e-3);
    // What the force does is what bends: ½·P·δ = Σ ∫ M²/2EI, straight from end to end of a beam.
    const energy = hoop.beams.reduce((sum, _, i) => {
      const [a, b] = momentsAt(i, shape);
      const L = 2 * 145 * Math.sin(Math.PI / 96);
      // Moments at the ends are of opposite sign where the beam bends one way.
      return sum + (L * (a * a - a * b + b * b)) / (6 * 1.2e8);
    }, 0);
    close(energy, alongLoad(shape, one) / 2, 5e-3);
  });
});
