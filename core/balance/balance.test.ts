import { describe, expect, it } from 'vitest';
import { chanceFrom } from '../maths/chance';
import { solveLeast } from '../maths/least-squares';
import { forAdvice, formatParts, parseParts } from './parts';
import { massCaution, swingFromPendulum, swingOfGram, withParts, type Figures } from './racket';
import { matchPair, reach, usualPlaces, type Place } from './reach';

const RACKET: Figures = { massG: 300, balanceMm: 320, swingKgCm2: 290 };
const PLACES: readonly Place[] = [
  { name: 'tip', atMm: 680, longMm: 0, mostG: 10 },
  { name: '3 and 9', atMm: 540, longMm: 80, mostG: 10 },
  { name: 'throat', atMm: 380, longMm: 40, mostG: 15 },
  { name: 'under the grip', atMm: 60, longMm: 100, mostG: 25 },
  { name: 'butt', atMm: 5, mostG: 15 },
];

describe('a racket with parts', () => {
  // Source: balance = Σmx/Σm, swing weight about 10 cm by the parallel-axis theorem: I₀ + m(x − 10)².
  it('has the balance and the swing weight of mechanics', () => {
    const after = withParts(RACKET, [{ massG: 5, atMm: 680 }]);
    expect(after.ok && after.value.massG).toBe(305);
    expect(after.ok && after.value.balanceMm).toBeCloseTo((300 * 320 + 5 * 680) / 305, 9);
    // 5 g at 58 cm from the axis: 0.005 · 58².
    expect(after.ok && after.value.swingKgCm2).toBeCloseTo(290 + 0.005 * 58 ** 2, 9);
  });

  it('has a strip as the many spots that it is made of', () => {
    const spots = Array.from({ length: 1000 }, (_, i) => 500 + (i + 0.5) / 10);
    const mean = spots.reduce((sum, at) => sum + swingOfGram(at), 0) / spots.length;
    expect(swingOfGram(550, 100)).toBeCloseTo(mean, 5);
  });

  it('is not changed by a mass on the axis but for its own, and comes back when it is taken off', () => {
    const on = withParts(RACKET, [{ massG: 8, atMm: 100 }]);
    expect(on.ok && on.value.swingKgCm2).toBe(290);
    const off = on.ok && withParts(on.value, [{ massG: -8, atMm: 100 }]);
    expect(off && off.ok && off.value.balanceMm).toBeCloseTo(320, 9);
    expect(withParts(RACKET, [{ massG: -400, atMm: 300 }]).ok).toBe(false);
  });

  // Source: 5 to 10 g is tuning, 20 g another racket (practice).
  it('is another racket from 20 g on', () => {
    expect([5, 10, 15, 20].map((grams) => massCaution(grams)?.slice(0, 15))).toEqual([
      undefined,
      undefined,
      'That is more th',
      'That is another',
    ]);
  });
});

describe('a pendulum', () => {
  // Source: a uniform rod of length L about its end: I = mL²/3, t = 2π·√(2L/3g) (any mechanics text).
  it('of a uniform rod gives the swing weight of a rod', () => {
    const [massG, L] = [300, 680];
    const periodS = 2 * Math.PI * Math.sqrt((2 * (L / 1000)) / (3 * 9.80665));
    const swing = swingFromPendulum({ massG, balanceMm: L / 2, pivotMm: 0, periodS });
    // Through its middle mL²/12, and from there 24 cm to the axis: 0.3 · (68²/12 + 24²).
    expect(swing.ok && swing.value).toBeCloseTo(0.3 * (68 ** 2 / 12 + 24 ** 2), 6);
  });

  it('hung from anywhere gives the same', () => {
    const about = (pivotMm: number) => {
      const arm = (340 - pivotMm) / 1000;
      const inertia = 0.3 * (0.68 ** 2 / 12 + arm ** 2);
      const periodS = 2 * Math.PI * Math.sqrt(inertia / (0.3 * 9.80665 * Math.abs(arm)));
      const swing = swingFromPendulum({ massG: 300, balanceMm: 340, pivotMm, periodS });
      return swing.ok ? swing.value : NaN;
    };
    expect(about(20)).toBeCloseTo(about(660), 6);
  });

  it('that cannot be is answered', () => {
    const base = { massG: 300, balanceMm: 320, pivotMm: 20, periodS: 1.3 };
    expect(swingFromPendulum({ ...base, pivotMm: 318 })).toMatchObject({ code: 'balance.pivot' });
    expect(swingFromPendulum({ ...base, periodS: 0.9 })).toMatchObject({ code: 'balance.period' });
  });
});

describe('the way back', () => {
  it('finds the masses that were put on, with the least of them', () => {
    const on = [
      { massG: 3, atMm: 680 },
      { massG: 6, atMm: 60, longMm: 100 },
    ];
    const target = withParts(RACKET, on);
    const found = reach(RACKET, target.ok ? target.value : RACKET, PLACES);
    expect(found.reached).toBe(true);
    expect(found.puts.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(9, 6);
    expect(found.figures.swingKgCm2).toBeCloseTo(target.ok ? target.value.swingKgCm2 : 0, 6);
  });

  it('brings 300 g, 320 mm and 296 to 320 g, 320 mm and 325', () => {
    const lighter = { ...RACKET, swingKgCm2: 296 };
    const found = reach(lighter, { massG: 320, balanceMm: 320, swingKgCm2: 325 }, PLACES);
    expect(found.reached).toBe(true);
    expect(found.figures.massG).toBeCloseTo(320, 5);
    expect(found.figures.balanceMm).toBeCloseTo(320, 4);
    expect(found.figures.swingKgCm2).toBeCloseTo(325, 4);
    for (const { name, massG } of found.puts)
      expect(massG).toBeLessThanOrEqual(
        (PLACES.find((each) => each.name === name)?.mostG ?? 0) + 1e-6,
      );
  });

  it('says where it cannot be reached, and comes as near as anything does', () => {
    const target = { massG: 290, balanceMm: 320, swingKgCm2: 290 };
    const found = reach(RACKET, target, PLACES);
    expect(found.reached).toBe(false);
    expect(found.puts).toEqual([]);
    // Source: 20 g that leave the balance where it is turn the most at tip and butt: 9.33 g and 10.67 g, 32.4 kg·cm².
    const far = { massG: 320, balanceMm: 320, swingKgCm2: 290 + 35 };
    expect(reach(RACKET, far, PLACES).reached).toBe(false);
    expect(reach(RACKET, { ...far, swingKgCm2: 290 + 32 }, PLACES).reached).toBe(true);
    const heavy = reach(RACKET, { massG: 303, balanceMm: 360, swingKgCm2: 380 }, PLACES);
    expect(heavy.reached).toBe(false);
  });

  // Source: going through masses on a grid, by brute force; nothing of it is nearer.
  it('is never bettered by trying', () => {
    const chance = chanceFrom(77);
    const places = PLACES.slice(0, 3);
    for (let turn = 0; turn < 12; turn++) {
      const target = {
        massG: 300 + 20 * chance.next(),
        balanceMm: 310 + 30 * chance.next(),
        swingKgCm2: 285 + 50 * chance.next(),
      };
      const off = (grams: readonly number[]) => {
        const mass = grams.reduce((sum, each) => sum + each, 0);
        const moment = places.reduce(
          (sum, { atMm }, i) => sum + (grams[i] ?? 0) * (atMm - target.balanceMm),
          0,
        );
        const swing = places.reduce(
          (sum, { atMm, longMm }, i) => sum + (grams[i] ?? 0) * swingOfGram(atMm, longMm),
          0,
        );
        return (
          (mass - (target.massG - 300)) ** 2 +
          ((moment - 300 * (target.balanceMm - 320)) / target.massG) ** 2 +
          (swing - (target.swingKgCm2 - 290)) ** 2
        );
      };
      const found = reach(RACKET, target, places);
      const best = off(
        places.map(({ name }) => found.puts.find((put) => put.name === name)?.massG ?? 0),
      );
      let least = Infinity;
      for (let a = 0; a <= 10; a += 0.5)
        for (let b = 0; b <= 10; b += 0.5)
          for (let c = 0; c <= 15; c += 0.5) least = Math.min(least, off([a, b, c]));
      expect(least).toBeGreaterThanOrEqual(best - 1e-6);
    }
  });
});

describe('two rackets', () => {
  it('come to the same three figures with the least mass', () => {
    const twin = { massG: 304, balanceMm: 317, swingKgCm2: 293 };
    const matched = matchPair(RACKET, twin, PLACES.slice(0, 4));
    expect(matched.reached).toBe(true);
    const total = [...matched.one, ...matched.other].reduce((sum, { massG }) => sum + massG, 0);
    expect(total).toBeGreaterThanOrEqual(4);
    expect(total).toBeLessThan(20);
  });

  it('need nothing where they are alike', () => {
    expect(matchPair(RACKET, RACKET, PLACES)).toMatchObject({ one: [], other: [], reached: true });
  });

  // Source: mechanics; what is put on one is found again by the figures of the other.
  it('try every place, the last ones too, and never put on what nobody would', () => {
    const places = usualPlaces('tennis');
    for (const at of [0, 3, 5, 6]) {
      const place = places[at] as Place;
      const made = withParts(RACKET, [{ massG: 8.9, atMm: place.atMm, longMm: place.longMm ?? 0 }]);
      if (!made.ok) throw new Error(made.problem);
      const matched = matchPair(RACKET, made.value, places);
      expect(matched.reached).toBe(true);
      expect(matched.other).toEqual([]);
      expect(matched.one.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(8.9, 1);
    }
    const far = { massG: 340, balanceMm: 290, swingKgCm2: 360 };
    expect(matchPair(RACKET, far, places)).toMatchObject({ one: [], other: [], reached: false });
  });

  it('are not matched where no place is given', () => {
    expect(matchPair(RACKET, { ...RACKET, massG: 310 }, []).reached).toBe(false);
  });
});

describe('parts', () => {
  it('are read from a line each and come back as they are typed', () => {
    const text = '5 g at 680 tip\n8 g 60-180 leather grip\n-4 g at 20';
    const read = parseParts(text);
    expect(read.ok && formatParts(read.value)).toBe(text);
    expect(read.ok && read.value[1]).toEqual({
      name: 'leather grip',
      massG: 8,
      atMm: 120,
      longMm: 120,
    });
  });

  it('are read in centimetres and by the names of their places, never as an hour of millimetres', () => {
    const one = (text: string) => {
      const read = parseParts(text);
      return read.ok ? read.value[0] : read.problem;
    };
    expect(one('5 g at 68 cm')).toMatchObject({ massG: 5, atMm: 680 });
    expect(one('8 g 6-18 cm leather')).toMatchObject({ atMm: 120, longMm: 120, name: 'leather' });
    expect(one("3 g at 3 and 9 o'clock")).toMatchObject({ massG: 3, atMm: 531, longMm: 80 });
    expect(one('3 g at the tip')).toMatchObject({ atMm: 675 });
    expect(one("3 g at 4 o'clock")).toMatch(/is no part/);
  });

  it.each([
    ['some lead', /is no part/],
    ['5 g at 900', /No racket is longer/],
    ['0 g at 100', /A part weighs/],
    [Array.from({ length: 21 }, () => '1 g at 5').join('\n'), /more than 20/],
  ])('say what is wrong with “%s”', (text, problem) => {
    const read = parseParts(text);
    expect(!read.ok && read.problem).toMatch(problem);
  });

  // Source: 15 to 20 g of string in a tennis job (practice).
  it('say to the advice what the bare racket weighs and what lies where', () => {
    const parts = [
      { name: 'tip', massG: 6, atMm: 680 },
      { name: 'throat', massG: 3, atMm: 380 },
      { name: 'butt', massG: 4, atMm: 10 },
    ];
    const kept = { ...RACKET, grip: '', parts };
    expect(forAdvice({ ...kept, strung: false })).toEqual({
      weightG: 313,
      leadHeadG: 6,
      leadHandleG: 4,
    });
    expect(forAdvice({ ...kept, strung: true }).weightG).toBe(296);
  });
});

describe('least squares', () => {
  it('solves what has one answer, and says where there are several', () => {
    expect(
      solveLeast(
        [
          [2, 0],
          [0, 4],
        ],
        [2, 8],
      ),
    ).toEqual([1, 2]);
    expect(
      solveLeast(
        [
          [1, 2],
          [2, 4],
        ],
        [1, 2],
      ),
    ).toBeUndefined();
    expect(solveLeast([[], []], [1, 2])).toEqual([]);
    // Source: the line through (0, 1), (1, 2), (2, 4) by least squares is 5/6 + 3/2 x, by hand.
    const [at, slope] =
      solveLeast(
        [
          [1, 0],
          [1, 1],
          [1, 2],
        ],
        [1, 2, 4],
      ) ?? [];
    expect(at).toBeCloseTo(5 / 6, 9);
    expect(slope).toBeCloseTo(1.5, 9);
  });
});
