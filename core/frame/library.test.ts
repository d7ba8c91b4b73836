import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from './bed';
import { beyondFederationLimits } from './federation';
import { frameSpecSchema } from './frame';
import { LIBRARY } from './library';
import { USUAL_ASSUMPTIONS } from '../cut/lengths';
import { METHODS } from '../terms/method';
import { methodProblem } from '../cut/methods';
import { SIDES } from '../terms/ends';
import { planCut } from '../cut/plan';
import { SPORTS } from '../terms/sport';

const STRING = { family: 'multifilament', gaugeMm: 1.2, stretch: null } as const;

describe('the library', () => {
  it.each(LIBRARY)('$name is sound, legal, and looks even', ({ spec }) => {
    expect(frameSpecSchema.parse(spec)).toEqual(spec);
    const { bed, problems, assumed } = studyFrame(spec);
    expect([problems, assumed, bed?.look.outliers]).toEqual([[], [], []]);
    // Source: the three federations' rules, as core/frame/federation names them.
    const { areaMm2 = 0 } = bed ?? {};
    expect(beyondFederationLimits(spec.sport, { ...spec.head, areaMm2 })).toBeUndefined();
  });

  it('holds 25 frames of three sports, and one at least of each odd kind', () => {
    expect(LIBRARY).toHaveLength(25);
    expect(new Set(LIBRARY.map(({ name }) => name)).size).toBe(25);
    for (const sport of SPORTS) expect(LIBRARY.some(({ spec }) => spec.sport === sport)).toBe(true);
    const has = (odd: (spec: (typeof LIBRARY)[number]['spec']) => boolean) =>
      LIBRARY.some(({ spec }) => odd(spec));
    expect({
      fewerCrosses: has(({ pattern }) => pattern.crosses < pattern.mains && pattern.mains === 18),
      eighteenOnSix: has(({ pattern, bridgeHoles }) => pattern.mains === 18 && bridgeHoles === 6),
      ports: has(({ holes }) => holes.ports.length > 0),
      double: has(({ holes }) => holes.double.length > 0),
      shared: has(({ holes }) => holes.shared.length > 0),
      reversed: has(({ stringing }) => stringing.reversedOuterMains),
      fan: has(({ head }) => head.outline === 'teardrop'),
      stepDown: has(({ stringing }) => stringing.stepDown !== null),
      fromThroat: has(({ stringing }) => stringing.crossesFrom === 'throat'),
      ruled: has(({ holes }) => holes.positionsMm !== null),
    }).toEqual({
      fewerCrosses: true,
      eighteenOnSix: true,
      ports: true,
      double: true,
      shared: true,
      reversed: true,
      fan: true,
      stepDown: true,
      fromThroat: true,
      ruled: true,
    });
  });

  it.each(LIBRARY)('$name goes through every method that it takes', ({ spec }) => {
    const { bed } = studyFrame(spec) as { bed: Bed };
    for (const method of METHODS.filter((each) => !methodProblem(bed, each, false)))
      for (const shortSide of SIDES) {
        const { path, pieces } = planCut(
          bed,
          { mains: STRING, crosses: STRING },
          { method, shortSide, crossStart: 'left' },
          USUAL_ASSUMPTIONS,
        );
        expect(new Set(path.order).size).toBe(spec.pattern.mains + spec.pattern.crosses);
        expect(pieces.reduce((sum, piece) => sum + piece.mains, 0)).toBe(spec.pattern.mains);
        expect(pieces.reduce((sum, piece) => sum + piece.crosses, 0)).toBe(spec.pattern.crosses);
        // A knot in every bored hole that is there: the library's makers give enough of them.
        expect(path.knots.map(({ bored }) => bored)).toEqual(path.knots.map(() => true));
        for (const { cutMm, parts } of pieces) {
          expect(parts.reduce((sum, { mm }) => sum + mm, 0)).toBeCloseTo(cutMm, 6);
          expect(cutMm).toBeLessThan(13_500);
        }
      }
  });
});
