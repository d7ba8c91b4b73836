import { describe, expect, it } from 'vitest';
import type { Net, NetString } from '../advice/net';
import { gramsAMetre } from '../strings/mass';
import { lowestPitch, pairsOf, tensionShare } from './net-pitch';

const R = 145;
const TENSION = 220;
const MASS = 1.7;

/** Equal strings at an even pitch both ways across a circle. */
function circleNet(pitch: number): Net {
  const places: number[] = [];
  for (let x = -R + pitch / 2; x < R; x += pitch) places.push(x);
  const half = (x: number) => Math.sqrt(R * R - x * x);
  const along = (x: number): NetString => ({
    from: { x, y: half(x) },
    to: { x, y: -half(x) },
    tensionN: TENSION,
    eaN: 6000,
  });
  const across = (y: number): NetString => ({
    from: { x: -half(y), y },
    to: { x: half(y), y },
    tensionN: TENSION,
    eaN: 6000,
  });
  return { mains: places.map(along), crosses: places.map(across).toReversed() };
}

describe('the pitch of a bed', () => {
  // Source: the round membrane, f = 2.4048/(2πR)·√(T′/σ) (Kinsler et al., Fundamentals of Acoustics); T′ = T/g in each
  // direction, σ = 2μ/g.
  it('of equal strings on a circle is the membrane’s, within half a per cent', () => {
    const hz = (2.4048 / (2 * Math.PI * (R / 1000))) * Math.sqrt(TENSION / ((2 * MASS) / 1000));
    const found = lowestPitch(circleNet(7.25), { mainsGPerM: MASS, crossesGPerM: MASS });
    expect(Math.abs((found ?? 0) / hz - 1)).toBeLessThan(0.005);
  });

  it('comes nearer to it with more strings', () => {
    const hz = (2.4048 / (2 * Math.PI * (R / 1000))) * Math.sqrt(TENSION / ((2 * MASS) / 1000));
    const off = (pitch: number) =>
      Math.abs(
        (lowestPitch(circleNet(pitch), { mainsGPerM: MASS, crossesGPerM: MASS }) ?? 0) / hz - 1,
      );
    expect(off(29)).toBeGreaterThan(off(7.25));
  });

  // Source: Mersenne’s law, f = (1/2L)·√(T/μ).
  it('of a single string is Mersenne’s', () => {
    const L = 330;
    const crosses = Array.from({ length: 65 }, (_, i): NetString => {
      const y = L / 2 - ((i + 1) * L) / 66;
      return { from: { x: -1, y }, to: { x: 1, y }, tensionN: 0, eaN: 1 };
    });
    const main = { from: { x: 0, y: L / 2 }, to: { x: 0, y: -L / 2 }, tensionN: 240, eaN: 6000 };
    const found = lowestPitch({ mains: [main], crosses }, { mainsGPerM: MASS, crossesGPerM: 0 });
    const hz = (1 / (2 * (L / 1000))) * Math.sqrt(240 / (MASS / 1000));
    expect((found ?? 0) / hz).toBeCloseTo(1, 3);
  });

  it('goes by the root of the tension, and of the mass', () => {
    const net = circleNet(14.5);
    const looser: Net = {
      mains: net.mains.map((main) => ({ ...main, tensionN: main.tensionN * 0.81 })),
      crosses: net.crosses.map((cross) => ({ ...cross, tensionN: cross.tensionN * 0.81 })),
    };
    const masses = { mainsGPerM: MASS, crossesGPerM: MASS };
    const [tight, loose] = [lowestPitch(net, masses) ?? 0, lowestPitch(looser, masses) ?? 0];
    expect(loose / tight).toBeCloseTo(0.9, 6);
    expect(tensionShare(loose, tight)).toBeCloseTo(0.81, 6);
    const heavy = lowestPitch(net, { mainsGPerM: 4 * MASS, crossesGPerM: 4 * MASS }) ?? 0;
    expect(heavy / tight).toBeCloseTo(0.5, 6);
  });

  // Source: 15 to 20 g of string in a tennis job (practice): 11.5 m of it.
  it('has strings of the mass that a job weighs', () => {
    const grams = 11.5 * gramsAMetre('monofilament', 1.25);
    expect(grams).toBeGreaterThan(15);
    expect(grams).toBeLessThan(20.5);
  });

  it('is none where nothing crosses', () => {
    expect(
      lowestPitch({ mains: [], crosses: [] }, { mainsGPerM: 1, crossesGPerM: 1 }),
    ).toBeUndefined();
  });

  it('of like-numbered mains says which side is tighter', () => {
    const [, second] = pairsOf([412, 420, 400], [412, 400]);
    expect(second).toMatchObject({ pair: 2, leftHz: 420 });
    expect(second?.leftTighter).toBeCloseTo(0.1025, 9);
  });
});
