import { describe, expect, it } from 'vitest';
import {
  bedStiffness,
  discStiffness,
  netOf,
  sameFeel as askSameFeel,
  type BedStrings,
} from './same-feel';
import { bedOf } from '../testing/frame-spec';
import { R, roundNet } from '../testing/nets';
import type { OutlineFamily } from '../frame/outline';
import { newtons } from '../measure/units';

const both = (family: BedStrings['mains']['family'], gaugeMm: number): BedStrings => ({
  mains: { family, gaugeMm },
  crosses: { family, gaugeMm },
});
const NYLON = both('multifilament', 1.3);

function sameFeel(...asked: Parameters<typeof askSameFeel>) {
  const found = askSameFeel(...asked);
  if (!found.ok) throw new Error(found.problem);
  return found.value;
}

// Source: Timoshenko, Theory of Plates and Shells, the membrane under a load spread on a disc of radius a
// in its middle: mean deflection of the disc is P(ln(R/a) + 1/4)/2πT′. Derived by hand from pR²/4T′.
it('a disc pressed into a dense round net agrees with the membrane', () => {
  const [gap, n, a] = [3, 200, 33.5];
  const expected = (2 * Math.PI * (n / gap)) / (Math.log(R / a) + 0.25);
  expect(Math.abs(discStiffness(roundNet(gap, n), a, 1) / expected - 1)).toBeLessThan(0.01);
});

describe('the figure itself', () => {
  const bed = bedOf({ head: [7, 9], throat: [7, 9] });
  const at = (kg: number, strings = NYLON) =>
    bedStiffness(bed, { mainN: newtons(kg, 'kg'), crossN: newtons(kg - 1, 'kg') }, strings);

  // Source: from memory, handbooks of racket physics: the beds of strung tennis rackets measure about 170 to
  // 250 lb/in (30 to 44 N/mm) between 50 and 60 lb.
  it('is what strung tennis rackets measure', () => {
    const perInch = (nPerMm: number) => (nPerMm * 25.4) / newtons(1, 'lb');
    for (const kg of [23, 24, 25, 26, 27]) {
      expect(perInch(at(kg))).toBeGreaterThan(170);
      expect(perInch(at(kg))).toBeLessThan(250);
    }
  });

  // Source: trade, stiffness of the families: aramid stiffest, then monofilament, gut and nylon softest.
  it('is higher with a string that stretches less, and the more so the harder it is pressed', () => {
    const order = (['multifilament', 'natural gut', 'monofilament', 'aramid'] as const).map(
      (each) => at(24, both(each, 1.25)),
    );
    expect(order).toEqual(order.toSorted((a, b) => a - b));
    const pressed = (strings: BedStrings, forceN: number) =>
      discStiffness(netOf(bed, { mainN: 235, crossN: 226 }, strings), 8, forceN);
    const rise = (strings: BedStrings) => pressed(strings, 1000) / pressed(strings, 1);
    expect(rise(both('aramid', 1.25))).toBeGreaterThan(rise(both('monofilament', 1.25)));
    expect(rise(both('monofilament', 1.25))).toBeGreaterThan(1.1);
    // Without stretch of its own a string would be softer the further it is pushed aside, by its slope.
    expect(rise(both('multifilament', 0.01))).toBeLessThan(1);
  });
});

// The sentence of a refusal names its bounds: a quarter of the tension, and four times of it.
it('finds a tension from a quarter to four times, and refuses exactly what lies beyond', () => {
  const big = bedOf({ lengthMm: 352, widthMm: 266, mains: 14, crosses: 16 });
  const small = bedOf({ lengthMm: 310, widthMm: 222, mains: 18, crosses: 20 });
  const at = (kg: number) => ({ mainN: newtons(kg, 'kg'), crossN: newtons(kg, 'kg') });
  const answered = { found: 0, soft: 0, stiff: 0 };
  for (const kg of [1, 1.4, 1.8, 2.2, 4, 6, 6.5, 7, 7.5, 20]) {
    for (const [from, to] of [
      [big, small],
      [small, big],
    ] as const) {
      const stiffness = bedStiffness(from, at(kg), NYLON);
      const isTooSoft = bedStiffness(to, at(kg / 4), NYLON) > stiffness;
      const isTooStiff = bedStiffness(to, at(kg * 4), NYLON) < stiffness;
      const found = askSameFeel(from, at(kg), to, NYLON);
      expect([kg, found.ok]).toEqual([kg, !isTooSoft && !isTooStiff]);
      answered[isTooSoft ? 'soft' : isTooStiff ? 'stiff' : 'found']++;
    }
  }
  expect(Math.min(...Object.values(answered))).toBeGreaterThan(1);
});

describe('the same feel on another frame', () => {
  const bed = bedOf({ lengthMm: 336, widthMm: 248 });
  const tension = { mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg') };

  it('is the same tension on the same frame, and back again on any', () => {
    expect(sameFeel(bed, tension, bed, NYLON).ratio).toBeCloseTo(1, 9);
    const other = bedOf({ lengthMm: 325, widthMm: 238, mains: 18, crosses: 20 });
    const there = sameFeel(bed, tension, other, NYLON);
    const back = sameFeel(other, there, bed, NYLON);
    expect(back.mainN).toBeCloseTo(tension.mainN, 5);
    expect(back.crossN).toBeCloseTo(tension.crossN, 5);
    expect(back.stiffness).toBeCloseTo(there.stiffness, 7);
  });

  // Source: common practice: a larger head takes slightly more tension, a dense pattern slightly less.
  it('goes up on a larger head and down on a denser pattern', () => {
    const larger = bedOf({ lengthMm: 355, widthMm: 265 });
    const denser = bedOf({ mains: 18, crosses: 20 });
    expect(sameFeel(bed, tension, larger, NYLON).ratio).toBeGreaterThan(1);
    expect(sameFeel(bed, tension, larger, NYLON).ratio).toBeLessThan(1.15);
    expect(sameFeel(bed, tension, denser, NYLON).ratio).toBeLessThan(1);
    expect(sameFeel(bed, tension, denser, NYLON).ratio).toBeGreaterThan(0.8);
  });

  // Source: T/l for each segment: without stretch the net is in proportion to its tensions, and stretch only
  // takes away from that.
  it('grows a little less than in proportion to the tension', () => {
    const stiffness = (share: number, strings: BedStrings) => {
      const net = netOf(
        bed,
        { mainN: share * tension.mainN, crossN: share * tension.crossN },
        strings,
      );
      return discStiffness(net, 10, 200);
    };
    const growth = (strings: BedStrings) => stiffness(1.1, strings) / stiffness(1, strings);
    expect(growth(both('aramid', 1.25))).toBeLessThan(growth(NYLON));
    expect(growth(NYLON)).toBeLessThan(1.1);
    expect(growth(NYLON)).toBeGreaterThan(1.09);
  });

  it('is found between the smallest head and the largest, and said to be none where there is none', () => {
    const small = bedOf({ lengthMm: 300, widthMm: 220, mains: 18, crosses: 20 });
    const large = bedOf({ lengthMm: 370, widthMm: 285, mains: 14, crosses: 16 });
    const pulls = (kg: number) => ({ mainN: newtons(kg, 'kg'), crossN: newtons(kg, 'kg') });
    for (const kg of [14, 24, 40])
      for (const [from, to] of [
        [small, large],
        [large, small],
      ] as const) {
        const { stiffness, mainN, crossN } = sameFeel(from, pulls(kg), to, NYLON);
        expect(bedStiffness(to, { mainN, crossN }, NYLON)).toBeCloseTo(stiffness, 6);
      }
    // A slack bed still stretches, so the small dense one is never as soft as the large open one at 5 kg.
    expect(askSameFeel(large, pulls(5), small, NYLON)).toMatchObject({
      ok: false,
      problem: expect.stringContaining('No tension makes the other frame so soft') as string,
    });
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
      const { lengthMm, widthMm } = each.outline;
      const { sport, head, pattern } = each.spec;
      const larger = bedOf({
        sport,
        outline: head.outline as OutlineFamily,
        lengthMm: 1.04 * lengthMm,
        widthMm: 1.04 * widthMm,
        ...pattern,
        ownerInsists: true,
      });
      const pulls = { mainN: 110, crossN: 120 };
      const found = sameFeel(each, pulls, larger, both('multifilament', 0.7));
      expect(found.stiffness).toBeGreaterThan(1);
      expect(found.ratio, sport).toBeGreaterThan(1);
      expect(found.ratio, sport).toBeLessThan(1.1);
    }
  });
});
