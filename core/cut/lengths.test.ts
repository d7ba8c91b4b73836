import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from '../frame/bed';
import { stretchUnderPull } from '../terms/family';
import { LIBRARY } from '../frame/library';
import { newtons } from '../measure/units';
import { cutAdvice } from './wording';
import { checkSharedSet, USUAL_ASSUMPTIONS, type PartName, type PieceLength } from './lengths';
import { halfPerimeter, offsetRun, polylineLength } from '../frame/outline';
import { pathThrough } from '../path/path';
import { checkSource, planCut, type PlannedString } from './plan';
import { bedOf, ruledRows } from '../testing/frame-spec';

const REFERENCE = { ...USUAL_ASSUMPTIONS, marginMm: 0 };
const slack = (gaugeMm: number): PlannedString => ({
  family: 'multifilament',
  gaugeMm,
  stretch: 0,
});
const TWO_PIECES = { method: 'two-piece', shortSide: 'left', crossStart: 'left' } as const;
const cut = (bed: Bed, string: PlannedString, assumptions = USUAL_ASSUMPTIONS) => {
  const [mains, crosses] = planCut(bed, { mains: string, crosses: string }, TWO_PIECES, assumptions)
    .pieces as [PieceLength, PieceLength];
  return { mains, crosses };
};
const part = (piece: PieceLength, name: PartName) =>
  piece.parts.find((each) => each.name === name)?.mm ?? NaN;

const MIDSIZE = { lengthMm: 336, widthMm: 248 };
const DENSE = { lengthMm: 332, widthMm: 244, mains: 18, crosses: 20 };
const HALF_SET = 12_192 / 2;

describe('what a job takes, stretch left out', () => {
  // Source: independent arithmetic for an ellipse of this size with two 36 cm ends to each piece.
  it('336 × 248 mm, 16 × 19: about 6.1 m of mains and 5.6 m of crosses', () => {
    const { mains, crosses } = cut(bedOf(MIDSIZE), slack(1.3), REFERENCE);
    expect(Math.abs(mains.cutMm - 6100)).toBeLessThan(100);
    expect(Math.abs(crosses.cutMm - 5600)).toBeLessThan(100);
  });

  it('332 × 244 mm, 18 × 20: about 6.7 m and 5.8 m', () => {
    const { mains, crosses } = cut(bedOf(DENSE), slack(1.3), REFERENCE);
    expect(Math.abs(mains.cutMm - 6700)).toBeLessThan(100);
    expect(Math.abs(crosses.cutMm - 5800)).toBeLessThan(100);
  });

  // Source: the worked example of docs/method.md, done by hand with the equation of an ellipse.
  it('agrees with the worked example', () => {
    const mains19 = [6, 17.5, 29, 41, 54, 67, 81, 95];
    const crosses19 = Array.from({ length: 19 }, (_, i) => 34 + (i * 268) / 18);
    const positionsMm = ruledRows(MIDSIZE, mains19, crosses19);
    const bed = bedOf({ ...MIDSIZE, positionsMm, head: [7, 9], throat: [7, 9] });
    const { mains } = cut(bed, { family: 'monofilament', gaugeMm: 1.25, stretch: null });
    expect(part(mains, 'inside strings') / 10).toBeCloseTo(473.5, 0);
    expect(part(mains, 'outside runs') / 10).toBeCloseTo(25.9, 0);
    expect(part(mains, 'through the frame')).toBe(384);
    expect(part(mains, 'crimp') / 10).toBeCloseTo(1.6, 0);
    expect(mains.cutMm / 10).toBeCloseTo(596, 0);
  });

  // Source: the equation of an ellipse; each string inside is the chord at its own place.
  it('counts inside strings as true chords', () => {
    const bed = bedOf(MIDSIZE);
    const { mains, crosses } = cut(bed, slack(1.3));
    const chord = (at: number, half: number, other: number) =>
      2 * other * Math.sqrt(1 - (at / half) ** 2);
    const mainSum = bed.mainHoles.head.reduce((sum, { x }) => sum + 2 * chord(x, 124, 168), 0);
    const crossSum = bed.crossHoles.reduce((sum, { y }) => sum + chord(y, 168, 124), 0);
    expect(part(mains, 'inside strings')).toBeCloseTo(mainSum, 0);
    expect(part(crosses, 'inside strings')).toBeCloseTo(crossSum, 0);
  });
});

describe('half of a 40 ft set', () => {
  // Source: practice (12.192 m halved does mains and crosses of a 95–100 in² 16 × 19).
  it.each([
    [326, 240, 'monofilament'],
    [332, 244, 'monofilament'],
    [336, 246, 'monofilament'],
    [336, 246, 'multifilament'],
    [336, 246, 'synthetic gut'],
    [332, 244, 'natural gut'],
  ] as const)('is enough for a 16 × 19 of %d × %d mm in %s', (lengthMm, widthMm, family) => {
    const bed = bedOf({ lengthMm, widthMm });
    const { mains, crosses } = cut(bed, { family, gaugeMm: 1.3, stretch: null });
    expect(mains.cutMm).toBeLessThan(HALF_SET);
    expect(crosses.cutMm).toBeLessThan(HALF_SET);
  });

  // Source: practice (18 mains need 0.3–0.6 m more than half).
  it.each(['monofilament', 'multifilament'] as const)(
    'is 0.3 to 0.6 m short for 18 mains in %s',
    (family) => {
      const { mains } = cut(bedOf(DENSE), { family, gaugeMm: 1.25, stretch: null });
      expect(mains.cutMm - HALF_SET).toBeGreaterThan(290);
      expect(mains.cutMm - HALF_SET).toBeLessThan(600);
    },
  );
});

describe('badminton', () => {
  // Source: practice (22 × 21: 9.5 m off the reel is enough in one piece, sets are 10 m and are cut in two).
  it('is strung from a 10 m set in two pieces, and from 9.5 m in one, with a bridge where it must be', () => {
    const bed = bedOf({
      sport: 'badminton',
      lengthMm: 240,
      widthMm: 186,
      outline: 'squared oval',
      mains: 22,
      crosses: 21,
    });
    const string = {
      family: 'multifilament',
      gaugeMm: 0.68,
      stretch: null,
      pullN: newtons(24, 'lb'),
    } as const;
    const { mains, crosses } = cut(bed, string);
    const set = checkSource({ kind: 'one set', setMm: 10_000 }, [mains, crosses]);
    expect(set.enough || set.bridged.length > 0).toBe(true);
    expect(
      checkSource({ kind: 'one set', setMm: 10_000 }, [mains, crosses], { bridge: 'never' }),
    ).toMatchObject({ bridged: [] });
    for (const { name, spec } of LIBRARY) {
      if (spec.sport !== 'badminton') continue;
      const each = studyFrame(spec).bed as Bed;
      const two = cut(each, string);
      const check = checkSource({ kind: 'one set', setMm: 10_000 }, [two.mains, two.crosses]);
      expect(check.enough || check.bridged.length > 0, name).toBe(true);
      const [whole] = planCut(
        each,
        { mains: string, crosses: string },
        { ...TWO_PIECES, method: 'around-the-frame' },
        USUAL_ASSUMPTIONS,
      ).pieces;
      if (spec.pattern.crosses === 21 && whole) {
        const reel = checkSource({ kind: 'remnant', lengthsMm: [9500] }, [whole]);
        expect(reel.enough || reel.bridged.length > 0, name).toBe(true);
      }
    }
  });

  // Source: practice (22 × 21 at 34/36 lb, two pieces, four knots: 9.5 m off a reel just suffices; sets are 10 m).
  it('is cut in two pieces from a 10 m set at every pull, and from 9.5 m where it is pulled hard', () => {
    for (const { name, spec } of LIBRARY) {
      if (spec.sport !== 'badminton' || spec.pattern.mains < 22) continue;
      const each = studyFrame(spec).bed as Bed;
      for (const gaugeMm of [0.66, 0.68, 0.7])
        for (const [mainLb, crossLb] of [
          [24, 26],
          [28, 30],
          [34, 36],
        ] as const) {
          const at = (lb: number): PlannedString => ({
            family: 'multifilament',
            gaugeMm,
            stretch: null,
            pullN: newtons(lb, 'lb'),
          });
          const { pieces } = planCut(
            each,
            { mains: at(mainLb), crosses: at(crossLb) },
            TWO_PIECES,
            USUAL_ASSUMPTIONS,
          );
          const inAll = pieces.reduce((sum, { cutMm }) => sum + cutMm, 0);
          expect(inAll, `${name} at ${mainLb}`).toBeLessThanOrEqual(10_000);
          expect(inAll, `${name} at ${mainLb}`).toBeGreaterThan(8700);
          if (mainLb === 34 && spec.pattern.crosses === 21)
            expect(inAll, name).toBeLessThanOrEqual(9500);
          // Each end is a line of its own that can be opened.
          for (const piece of pieces)
            expect(part(piece, 'reach to the gripper')).toBeCloseTo(200, 6);
        }
    }
  });

  // Source: practice (nylon of 0.66 to 0.70 mm at 24 to 36 lb stretches 8 to 13 %).
  it('counts on the stretch that thin nylon has', () => {
    for (const gaugeMm of [0.66, 0.68, 0.7])
      for (const lb of [24, 30, 36]) {
        const stretch = stretchUnderPull('multifilament', gaugeMm, newtons(lb, 'lb'));
        expect(stretch).toBeGreaterThanOrEqual(0.08);
        expect(stretch).toBeLessThanOrEqual(0.13);
      }
    expect(stretchUnderPull('multifilament', 1.3, newtons(15, 'kg'))).toBeCloseTo(0.038, 3);
  });
});

describe('an open port', () => {
  // Source: practice (22 ft of mains and 17 ft of crosses is a safe cut of an open-port 100 in² 16 × 19).
  it('is strung from 22 and 17 ft, the last cross over a bridge', () => {
    const bed = studyFrame(LIBRARY.find(({ name }) => name === 'Quillfen Marl Port 100')!.spec)
      .bed as Bed;
    for (const family of ['monofilament', 'multifilament'] as const) {
      const { mains, crosses } = cut(bed, { family, gaugeMm: 1.25, stretch: null });
      const check = checkSource({ kind: 'remnant', lengthsMm: [22 * 304.8, 17 * 304.8] }, [
        mains,
        crosses,
      ]);
      expect(check.pieces[0]?.spareMm).toBeGreaterThan(0);
      // 17 ft, and a bridge or a hand more.
      expect(crosses.cutMm).toBeLessThanOrEqual(5350);
      expect(check.enough || check.bridged.map(({ name }) => name).join()).toBe('crosses');
      expect(cutAdvice(check, 'metric').word).toContain('a bridge on the last cross');
    }
  });

  // Source: practice (aramid in half a set of a mid-size frame).
  it('aramid in half a set is enough, with a bridge', () => {
    const { mains, crosses } = cut(bedOf(MIDSIZE), {
      family: 'aramid',
      gaugeMm: 1.25,
      stretch: null,
    });
    const half = { kind: 'two half sets', mainSetMm: 12_192, crossSetMm: 12_192 } as const;
    const check = checkSource(half, [mains, crosses]);
    expect(check.enough || check.bridged.length > 0).toBe(true);
  });
});

describe('the parts', () => {
  const bed = bedOf({ ...MIDSIZE, head: [7, 9], throat: [7, 9] });
  const { mains, crosses } = cut(bed, { family: 'monofilament', gaugeMm: 1.25, stretch: null });

  it('add up to the cut, in all and in head lengths', () => {
    for (const piece of [mains, crosses]) {
      expect(piece.parts.reduce((sum, { mm }) => sum + mm, 0)).toBeCloseTo(piece.cutMm, 9);
      expect(piece.headLengths).toBeCloseTo(piece.cutMm / 336, 9);
    }
  });

  it('pass through the frame twice a string', () => {
    expect(part(mains, 'through the frame')).toBe(16 * 2 * 12);
    expect(part(crosses, 'through the frame')).toBe(19 * 2 * 12);
  });

  // Source: small-slope arc length, d²/2g a crossing; 292 crossings of about 13 mm make some 2 cm.
  it('crimp by a few centimetres at most', () => {
    expect(part(mains, 'crimp')).toBeGreaterThan(8);
    expect(part(mains, 'crimp')).toBeLessThan(30);
  });

  it('reach the gripper with the tail that is tied afterwards, not twice', () => {
    const ends = part(mains, 'tie-offs and knots') + part(mains, 'reach to the gripper');
    expect(ends).toBeCloseTo(2 * USUAL_ASSUMPTIONS.gripperMm, 9);
    const close = cut(
      bed,
      { family: 'monofilament', gaugeMm: 1.25, stretch: null },
      { ...USUAL_ASSUMPTIONS, gripperMm: 100 },
    );
    expect(part(close.mains, 'reach to the gripper')).toBe(0);
  });

  it('give back what the string stretches', () => {
    const stretched = ['inside strings', 'outside runs', 'through the frame', 'crimp'] as const;
    const pulled = stretched.reduce((sum, name) => sum + part(mains, name), 0);
    // Source: Hooke's law, ε = T/EA with EA from memory: 4 % for 1.25 mm at the usual pull.
    expect(pulled / (pulled + part(mains, 'stretch')) - 1).toBeCloseTo(0.04, 3);
  });

  // The rim's own arc is shorter than the groove outside it, and never by more than the frame's depth times π.
  it('run outside along the groove', () => {
    const arcs = (pathThrough(bed, TWO_PIECES).pieces[1]?.segments ?? []).reduce(
      (sum, s) => (s.kind === 'outside' ? sum + Math.abs(s.from.hole.arc - s.to.hole.arc) : sum),
      0,
    );
    const outside = part(crosses, 'outside runs');
    expect(outside).toBeGreaterThan(arcs);
    expect(outside).toBeLessThan(arcs + 12 * Math.PI);
  });
});

describe('the groove', () => {
  // Source: Steiner's formula, a convex curve moved out by d is 2πd longer; its own length by Ramanujan.
  it('all round is the perimeter of the head and 2π times the depth of the frame', () => {
    const { outline } = bedOf(MIDSIZE);
    const round = 2 * polylineLength(offsetRun(outline, 0, halfPerimeter(outline), 12));
    const [a, b] = [168, 124];
    const ramanujan = Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
    expect(Math.abs(round - (ramanujan + 2 * Math.PI * 12))).toBeLessThan(1);
  });
});

describe('a piece with a centre loop', () => {
  it('is marked where its short side ends: both sides add up to the cut', () => {
    const bed = bedOf({ ...MIDSIZE, head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] });
    const string = { family: 'monofilament', gaugeMm: 1.25, stretch: null } as const;
    for (const method of ['one-piece', 'one-piece-top-cross'] as const) {
      const [whole] = planCut(
        bed,
        { mains: string, crosses: string },
        { ...TWO_PIECES, method },
        USUAL_ASSUMPTIONS,
      ).pieces;
      const [short, long] = whole?.sides ?? [];
      expect((short?.mm ?? 0) + (long?.mm ?? 0)).toBeCloseTo(whole?.cutMm ?? 0, 6);
      expect([short?.mains, short?.crosses, long?.mains]).toEqual([
        8,
        method === 'one-piece' ? 0 : 1,
        8,
      ]);
      expect(short?.mm).toBeLessThan(long?.mm ?? 0);
    }
    // The two sides of mains in two pieces are mirror images.
    const [mains] = planCut(
      bed,
      { mains: string, crosses: string },
      TWO_PIECES,
      USUAL_ASSUMPTIONS,
    ).pieces;
    expect(mains?.sides?.[0].mm).toBeCloseTo(mains?.sides?.[1].mm ?? NaN, 6);
  });
});

describe('what it is cut from', () => {
  const need = (cutMm: number, bridgesMm = 400) => ({ cutMm, leastMm: cutMm - bridgesMm });
  it('is halved when half does for both', () => {
    expect(checkSharedSet(12_192, need(6000), need(5600))).toEqual({ cutAtMm: 6096, moveMm: 0 });
  });
  it('is cut beyond the middle when one piece is long', () => {
    expect(checkSharedSet(12_192, need(6500), need(5600))).toEqual({ cutAtMm: 6500, moveMm: 404 });
    expect(checkSharedSet(12_192, need(5600), need(6500))).toEqual({ cutAtMm: 5692, moveMm: -404 });
  });
  it('is halved again when it is not enough anyway', () => {
    expect(checkSharedSet(12_192, need(6600, 0), need(5700, 0))).toEqual({
      cutAtMm: 6096,
      moveMm: 0,
    });
  });
  it('leaves what is missing to the crosses as far as their bridges go', () => {
    expect(checkSharedSet(12_192, need(6500), need(5800))).toEqual({ cutAtMm: 6500, moveMm: 404 });
    expect(checkSharedSet(12_192, need(6500), need(6000)).cutAtMm).toBe(6500);
    expect(checkSharedSet(12_192, need(6700), need(6000)).cutAtMm).toBe(12_192 - 5600);
  });
});
