import { describe, expect, it } from 'vitest';
import { deflections, netOf, netStiffness, PRESS_RADIUS_MM, sameFeel, type Net } from './feel';
import { bedOf } from './testing/frame-spec';
import { newtons } from './units';

const R = 120;

/** A net of strings `gap` apart in both directions, from rim to rim of a shape given by its half width. */
function denseNet(half: (at: number) => number, reach: number, gap: number, n: number): Net {
  const count = Math.round((2 * reach) / gap);
  const places = Array.from({ length: count }, (_, i) => -reach + (i + 0.5) * gap);
  return {
    mains: places.map((x) => ({ from: { x, y: half(x) }, to: { x, y: -half(x) }, n })),
    crosses: places
      .toReversed()
      .map((y) => ({ from: { x: -half(y), y }, to: { x: half(y), y }, n })),
  };
}

/** The deflection in the middle: the mean of the crossings around it. */
function middle(net: Net, force: number): number {
  const found = deflections(net, () => force);
  const nearest = Math.min(...found.map(({ x, y }) => Math.hypot(x, y)));
  const near = found.filter(({ x, y }) => Math.hypot(x, y) < nearest + 1e-6);
  return near.reduce((sum, { mm }) => sum + mm, 0) / near.length;
}

describe('the net', () => {
  // Source: Mersenne's law, any mechanics text: the static stiffness of a string at mid-span is 4T/L.
  it('is a single string when the other one has no tension', () => {
    const [n, length] = [240, 300];
    const net: Net = {
      mains: [{ from: { x: 0, y: length / 2 }, to: { x: 0, y: -length / 2 }, n }],
      crosses: [{ from: { x: -100, y: 0 }, to: { x: 100, y: 0 }, n: 1e-9 }],
    };
    const [only] = deflections(net, () => 1);
    expect(1 / (only?.mm ?? 0)).toBeCloseTo((4 * n) / length, 6);
  });

  // Source: Timoshenko, Theory of Plates and Shells: the centre of a circular membrane under pressure p
  // goes down by pR²/4T′. A dense net is one with T′ = T/gap and a force of p·gap² on each crossing.
  it('agrees with the circular membrane within half a percent', () => {
    const [gap, n, pressure] = [3, 200, 0.001];
    const net = denseNet((at) => Math.sqrt(R * R - at * at), R, gap, n);
    const expected = (pressure * R * R) / (4 * (n / gap));
    expect(middle(net, pressure * gap * gap) / expected).toBeGreaterThan(0.995);
    expect(middle(net, pressure * gap * gap) / expected).toBeLessThan(1.005);
  });

  // Source: Timoshenko & Goodier, the membrane analogy: the centre of a square one of side a, 0.0737·p·a²/T′.
  it('agrees with the square membrane within half a percent', () => {
    const [gap, n, pressure, side] = [4, 150, 0.002, 240];
    const net = denseNet(() => side / 2, side / 2, gap, n);
    const expected = (0.0737 * pressure * side * side) / (n / gap);
    expect(Math.abs(middle(net, pressure * gap * gap) / expected - 1)).toBeLessThan(0.005);
  });

  // Source: Timoshenko, Theory of Plates and Shells, the membrane under a load spread on a disc of radius a
  // in its middle: mean deflection of the disc is P(ln(R/a) + 1/4)/2πT′. Derived by hand from pR²/4T′.
  it('agrees with a disc pressed into the circular membrane', () => {
    const [gap, n, a] = [3, 200, 33.5];
    const net = denseNet((at) => Math.sqrt(R * R - at * at), R, gap, n);
    const expected = (2 * Math.PI * (n / gap)) / (Math.log(R / a) + 0.25);
    expect(Math.abs(netStiffness(net, a) / expected - 1)).toBeLessThan(0.01);
  });
});

describe('the same feel on another frame', () => {
  const bed = bedOf({ lengthMm: 336, widthMm: 248 });
  const tension = { mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg') };

  it('is the same tension on the same frame, and back again on any', () => {
    expect(sameFeel(bed, tension, bed).ratio).toBeCloseTo(1, 12);
    const other = bedOf({ lengthMm: 325, widthMm: 238, mains: 18, crosses: 20 });
    const there = sameFeel(bed, tension, other);
    const back = sameFeel(other, there, bed);
    expect(back.mainN).toBeCloseTo(tension.mainN, 9);
    expect(back.crossN).toBeCloseTo(tension.crossN, 9);
    expect(back.stiffness).toBeCloseTo(there.stiffness, 9);
  });

  // Source: common practice: a larger head takes slightly more tension, a dense pattern slightly less.
  it('goes up on a larger head and down on a denser pattern', () => {
    const larger = bedOf({ lengthMm: 355, widthMm: 265 });
    const denser = bedOf({ mains: 18, crosses: 20 });
    expect(sameFeel(bed, tension, larger).ratio).toBeGreaterThan(1);
    expect(sameFeel(bed, tension, larger).ratio).toBeLessThan(1.15);
    expect(sameFeel(bed, tension, denser).ratio).toBeLessThan(1);
    expect(sameFeel(bed, tension, denser).ratio).toBeGreaterThan(0.8);
  });

  // Source: the net is linear in its tensions (T/l for each segment).
  it('grows in proportion to the tension', () => {
    const stiffness = (share: number) =>
      netStiffness(
        netOf(bed, { mainN: share * tension.mainN, crossN: share * tension.crossN }),
        PRESS_RADIUS_MM.tennis,
      );
    expect(stiffness(1.1) / stiffness(1)).toBeCloseTo(1.1, 10);
  });

  it('is found for every sport, and for a teardrop', () => {
    const badminton = bedOf({
      sport: 'badminton',
      lengthMm: 250,
      widthMm: 190,
      mains: 22,
      crosses: 21,
    });
    const squash = bedOf({
      sport: 'squash',
      lengthMm: 330,
      widthMm: 200,
      outline: 'teardrop',
      mains: 14,
      crosses: 18,
    });
    for (const each of [badminton, squash]) {
      const found = sameFeel(each, { mainN: 110, crossN: 120 }, each);
      expect(found.stiffness).toBeGreaterThan(1);
      expect(found.ratio).toBeCloseTo(1, 12);
    }
  });
});
