import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beyondFederationLimits } from './federation';
import {
  familyOutline,
  halfPerimeter,
  measuredOutline,
  offsetRun,
  OUTLINE_FAMILIES,
  outwardNormal,
  perimeter,
  polylineLength,
  rimAtArc,
  rimAtX,
  rimAtY,
  strungArea,
} from './outline';

/** Ramanujan 1914: an ellipse's perimeter from its half axes, good to 1e-4 for b/a > 0.6. */
const ramanujan = (a: number, b: number): number =>
  Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));

const close = (value: number, expected: number, relative: number) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(relative);

describe('an oval head', () => {
  const oval = familyOutline(336, 248, 'oval');

  it('has the perimeter of Ramanujan’s ellipse', () => {
    close(perimeter(oval), ramanujan(168, 124), 1e-5);
    close(perimeter(familyOutline(300, 182, 'oval')), ramanujan(150, 91), 1e-4);
  });

  // Source: the area of an ellipse, πab.
  it('has the area πab', () => close(strungArea(oval), Math.PI * 168 * 124, 1e-5));

  it('finds its rim at x, at y and along the arc', () => {
    const y = 168 * Math.sqrt(1 - (60 / 124) ** 2);
    expect(rimAtX(oval, 60, 'head').y).toBeCloseTo(y, 2);
    expect(rimAtX(oval, 60, 'throat').y).toBeCloseTo(-y, 2);
    expect(rimAtY(oval, y).x).toBeCloseTo(60, 2);
    const p = rimAtX(oval, 60, 'head');
    expect(rimAtArc(oval, p.arc).x).toBeCloseTo(60, 6);
  });

  // An ellipse's parallel curve is longer by the offset times its turning, π over half a round.
  it('is longer outside by offset times turning', () => {
    const outside = polylineLength(offsetRun(oval, 0, halfPerimeter(oval), 12));
    close(outside, halfPerimeter(oval) + 12 * Math.PI, 2e-4);
  });
});

describe('other families', () => {
  // Source: Lamé's superellipse, area 4ab·Γ(1+1/n)²/Γ(1+2/n), here for n = 2.3, Γ by Lanczos (Numerical Recipes).
  it('a squared oval has the superellipse’s area', () => {
    const area = 4 * 168 * 124 * (gamma(1 + 1 / 2.3) ** 2 / gamma(1 + 2 / 2.3));
    close(strungArea(familyOutline(336, 248, 'squared oval')), area, 1e-5);
  });

  // ∫ x dy of x = A sin t (1 + k cos t), y = b cos t: the k term is odd about t = π/2, so the area is πAb.
  it.each([
    ['egg', 0.14],
    ['teardrop', 0.5],
  ] as const)('a %s has the area πAb', (family, k) => {
    let widest = 0;
    for (let i = 0; i <= 1e5; i++) {
      const t = (Math.PI * i) / 1e5;
      widest = Math.max(widest, Math.sin(t) * (1 + k * Math.cos(t)));
    }
    const a = 92.5 / widest;
    close(strungArea(familyOutline(345, 185, family)), Math.PI * a * 172.5, 1e-5);
  });

  it('are exactly as long and as wide as they were said to be, and smooth', () => {
    for (const family of OUTLINE_FAMILIES) {
      const outline = familyOutline(340, 230, family);
      expect(Math.max(...outline.half.map((p) => p.x))).toBeCloseTo(115, 6);
      expect(outline.half[0]?.y).toBe(170);
      expect(outline.half.at(-1)?.y).toBe(-170);
      for (let arc = 20; arc < halfPerimeter(outline) - 20; arc += 5) {
        const [p, q] = [outwardNormal(outline, arc), outwardNormal(outline, arc + 5)];
        expect(p.x * q.x + p.y * q.y, `${family} at ${arc}`).toBeGreaterThan(0.95);
      }
    }
  });
});

describe('a measured head', () => {
  it('follows the ellipse that it was measured on', () => {
    const readings = [30, 60, 100, 140, 190, 240, 280, 310].map((fromHeadMm) => ({
      fromHeadMm,
      widthMm: 2 * 124 * Math.sqrt(1 - ((168 - fromHeadMm) / 168) ** 2),
    }));
    const outline = measuredOutline(336, readings);
    if (!outline.ok) throw new Error(outline.problem);
    close(strungArea(outline.value), Math.PI * 168 * 124, 1e-3);
    close(perimeter(outline.value), ramanujan(168, 124), 1e-3);
  });

  it.each([
    [[{ fromHeadMm: 100, widthMm: 200 }], 'at least three'],
    [
      [
        { fromHeadMm: 100, widthMm: 240 },
        { fromHeadMm: 60, widthMm: 200 },
        { fromHeadMm: 200, widthMm: 240 },
      ],
      'in order',
    ],
    [
      [
        { fromHeadMm: 60, widthMm: 200 },
        { fromHeadMm: 168, widthMm: 60 },
        { fromHeadMm: 280, widthMm: 200 },
      ],
      'dented',
    ],
    [
      [
        { fromHeadMm: 60, widthMm: 200 },
        { fromHeadMm: 168, widthMm: 240 },
        { fromHeadMm: 400, widthMm: 200 },
      ],
      'inside the head',
    ],
  ])('refuses readings that make no head', (readings, part) => {
    const outline = measuredOutline(336, readings);
    expect(outline.ok ? '' : outline.problem).toContain(part);
  });
});

describe('the rim', () => {
  it('is found again from any of its points', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...OUTLINE_FAMILIES),
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        (family, share) => {
          const outline = familyOutline(336, 240, family);
          const p = rimAtArc(outline, share * halfPerimeter(outline));
          expect(rimAtY(outline, p.y).arc).toBeCloseTo(p.arc, 3);
        },
      ),
    );
  });
});

describe('the federations’ limits', () => {
  const head = (lengthMm: number, widthMm: number, areaMm2 = 1) => ({ lengthMm, widthMm, areaMm2 });

  // Source: ITF Rules of Tennis, Appendix II.
  it('tennis: 394 × 292 mm', () => {
    expect(beyondFederationLimits('tennis', head(394, 292))).toBeUndefined();
    expect(beyondFederationLimits('tennis', head(395, 292))?.problem).toContain('394 mm long');
    expect(beyondFederationLimits('tennis', head(394, 293))?.problem).toContain('292 mm wide');
  });

  // Source: BWF Laws of Badminton, Law 4.
  it('badminton: 280 × 220 mm', () => {
    expect(beyondFederationLimits('badminton', head(280, 220))).toBeUndefined();
    expect(beyondFederationLimits('badminton', head(281, 221))?.problem).toContain(
      '280 mm long and 220 mm wide',
    );
  });

  // Source: WSF Specifications for Squash Rackets.
  it('squash: 390 mm and 500 cm²', () => {
    expect(beyondFederationLimits('squash', head(390, 400, 50_000))).toBeUndefined();
    expect(beyondFederationLimits('squash', head(391, 180))?.problem).toContain('390 mm long');
    expect(beyondFederationLimits('squash', head(345, 185, 50_001))?.problem).toContain('500 cm²');
  });
});

/** Γ by the Lanczos approximation (Press et al., Numerical Recipes, 6.1), good to 2e-10. */
function gamma(z: number): number {
  const c = [
    76.18009172947146, -86.50532032941677, 24.01409824083091, -1.231739572450155,
    0.1208650973866179e-2, -0.5395239384953e-5,
  ];
  const x = z - 1;
  const t = x + 5.5;
  const series = c.reduce((sum, each, i) => sum + each / (x + 1 + i), 1.000000000190015);
  return Math.exp((x + 0.5) * Math.log(t) - t) * Math.sqrt(2 * Math.PI) * series;
}
