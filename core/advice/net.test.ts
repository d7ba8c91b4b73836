import { expect, it } from 'vitest';
import { LIBRARY } from '../frame/library';
import { studyFrame } from '../frame/bed';
import { newtons } from '../measure/units';
import { denseNet, R, roundNet } from '../testing/nets';
import { settledByHalves } from '../testing/settled-by-halves';
import { deflections, meshOf, settler, type Net } from './net';
import { netOf } from './same-feel';

/** A single string with a slack one across its middle. */
const single = (n: number, length: number, eaN: number): Net => ({
  mains: [{ from: { x: 0, y: length / 2 }, to: { x: 0, y: -length / 2 }, tensionN: n, eaN }],
  crosses: [{ from: { x: -100, y: 0 }, to: { x: 100, y: 0 }, tensionN: 1e-9, eaN: 0 }],
});

/** The deflection in the middle: the mean of the crossings around it. */
function middle(net: Net, force: number): number {
  const found = deflections(net, () => force);
  const nearest = Math.min(...found.map(({ x, y }) => Math.hypot(x, y)));
  const near = found.filter(({ x, y }) => Math.hypot(x, y) < nearest + 1e-6);
  return near.reduce((sum, { mm }) => sum + mm, 0) / near.length;
}

// Source: Mersenne's law, any mechanics text: the static stiffness of a string at mid-span is 4T/L.
it('is a single string when the other one has no tension', () => {
  const [n, length, force] = [240, 300, 1e-3];
  const [only] = deflections(single(n, length, 0), () => force);
  expect(force / (only?.mm ?? 0)).toBeCloseTo((4 * n) / length, 6);
});

// Source: statics and Hooke's law by hand: pushed in by w, each half is s = √(h² + w²) long, its tension
// T + EA(s − h)/h, and the force is 2·tension·w/s.
it.each([1, 5, 12, 25])('a single string pushed in %d mm pulls as Hooke says', (w) => {
  const [n, length, eaN] = [235, 300, 5768];
  const s = Math.hypot(length / 2, w);
  const tension = n + (eaN * (s - length / 2)) / (length / 2);
  const [only] = deflections(single(n, length, eaN), () => (2 * tension * w) / s);
  expect(only?.mm).toBeCloseTo(w, 5);
});

// Source: Timoshenko, Theory of Plates and Shells: the centre of a circular membrane under pressure p
// goes down by pR²/4T′. A dense net is one with T′ = T/gap and a force of p·gap² on each crossing.
it('agrees with the circular membrane within half a percent', () => {
  const [gap, n, pressure] = [3, 200, 0.001];
  const expected = (pressure * R * R) / (4 * (n / gap));
  const found = middle(roundNet(gap, n), pressure * gap * gap);
  expect(Math.abs(found / expected - 1)).toBeLessThan(0.005);
});

// Source: Timoshenko & Goodier, the membrane analogy: the centre of a square one of side a, 0.0737·p·a²/T′.
it('agrees with the square membrane within half a percent', () => {
  const [gap, n, pressure, side] = [4, 150, 0.002, 240];
  const net = denseNet(() => side / 2, side / 2, gap, n);
  const expected = (0.0737 * pressure * side * side) / (n / gap);
  expect(Math.abs(middle(net, pressure * gap * gap) / expected - 1)).toBeLessThan(0.005);
});

// Source: the plain way, half a step at a time (`settled-by-halves`).
it.each([2, 12, 24, 40])(
  'comes to rest where the plain way does, at %d kg and at a share of it',
  (kg) => {
    for (const [i, spec] of LIBRARY.map((each) => each.spec).entries()) {
      const { bed } = studyFrame(spec);
      if (!bed || i % 4 > 0) continue;
      const family =
        (['monofilament', 'aramid', 'multifilament'] as const)[i % 3] ?? 'monofilament';
      const string = { family, gaugeMm: 1.25 };
      const pulls = { mainN: newtons(kg, 'kg'), crossN: newtons(kg - 0.5, 'kg') };
      const mesh = meshOf(netOf(bed, pulls, { mains: string, crosses: string }));
      // A ball in the middle, a little off.
      const forces = mesh.nodes.map(({ x, y }) => (Math.hypot(x - 8, y + 5) < 30 ? 12 : 0));
      const settle = settler(mesh);
      for (const share of [1, 0.4, 2.5]) {
        const plain = settledByHalves(mesh, forces, share);
        const deepest = Math.max(...plain);
        const found = settle(forces, share);
        expect(
          Math.max(...plain.map((mm, k) => Math.abs(mm - (found[k] as number)))) / deepest,
        ).toBeLessThan(1e-6);
      }
    }
  },
);
