import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossPositions, evenSpacing, mainPositions } from './spacing';
import { SPORTS } from '../terms/sport';

const gapsOf = (positions: readonly number[]) =>
  positions.slice(1).map((each, i) => Math.abs(each - (positions[i] as number)));

describe('even spacing', () => {
  const sports = fc.constantFrom(...SPORTS);

  it('lets the gaps between mains widen smoothly outwards, and fills half the width', () => {
    fc.assert(
      fc.property(
        sports,
        fc.integer({ min: 4, max: 13 }),
        fc.integer({ min: 150, max: 290 }),
        (sport, perSide, width) => {
          const spacing = evenSpacing(sport, false);
          const mains = mainPositions(width, perSide, spacing);
          expect(mains).toHaveLength(perSide);
          const gaps = [2 * (mains[0] as number), ...gapsOf(mains)];
          gaps
            .slice(1)
            .forEach((gap, i) => expect(gap).toBeGreaterThanOrEqual((gaps[i] as number) - 1e-9));
          const outermost = gaps.at(-1) as number;
          expect((mains.at(-1) as number) + spacing.mainRim * outermost).toBeCloseTo(width / 2, 6);
        },
      ),
    );
  });

  it('lays the crosses out from the head down, alike towards both ends', () => {
    fc.assert(
      fc.property(
        sports,
        fc.integer({ min: 8, max: 30 }),
        fc.integer({ min: 200, max: 390 }),
        (sport, count, length) => {
          const crosses = crossPositions(length, count, evenSpacing(sport, false));
          expect(crosses).toHaveLength(count);
          crosses.forEach((y, i) => expect(y).toBeCloseTo(-(crosses.at(-1 - i) as number), 6));
          expect(crosses[0]).toBeLessThan(length / 2);
          const gaps = gapsOf(crosses);
          expect(Math.max(...gaps)).toBeCloseTo(gaps[0] as number, 9);
        },
      ),
    );
  });

  it('keeps a teardrop’s crosses away from its yoke and runs its mains together there', () => {
    const [plain, teardrop] = [evenSpacing('squash', false), evenSpacing('squash', true)];
    expect(plain.fan).toBe(1);
    expect(teardrop.fan).toBeLessThan(1);
    const bottom = (spacing: typeof plain) => crossPositions(345, 18, spacing).at(-1) as number;
    expect(bottom(teardrop)).toBeGreaterThan(bottom(plain));
  });
});
