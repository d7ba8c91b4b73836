import { describe, expect, it } from 'vitest';
import { SPORTS } from '../terms/sport';
import { frameTrial } from './frame-trial';
import { WIDE_OUTSIDE } from './drawn-frames';
import { tries } from './share';
import { skipTrial, type Reading } from './skip-trial';

// The whole of both, 1,500 frames and more, is `npm run bench -- trial`.
describe('frames drawn by chance, drilled by no rule of ours', () => {
  it('have every string where it was drawn, once, in a job that the ledger proves', () => {
    const { paths, broken } = frameTrial(tries(60, 24), 3);
    expect(broken).toEqual([]);
    expect(paths).toBeGreaterThan(tries(100, 40));
  });

  // Source: where the strings were drawn.
  it.each<Reading>([
    { errorMm: 0.5, slipMm: 0 },
    { errorMm: 1, slipMm: 0 },
  ])('tell the skip solver their skips, read to %j', (reading) => {
    const trials = skipTrial(reading, tries(4, 2));
    for (const sport of SPORTS) {
      const { runs, ...of } = trials.find(({ frames }) => frames === `drawn, ${sport}`) ?? {
        runs: 0,
        first: 0,
        amongThree: 0,
        sureAndWrong: 1,
      };
      expect(runs).toBe(tries(48, 24));
      expect(of.first / runs, sport).toBeGreaterThanOrEqual(0.95);
      expect(of.amongThree / runs, sport).toBeGreaterThanOrEqual(0.98);
      expect(of.sureAndWrong, sport).toBe(0);
    }
  });

  // Source: common practice (some makers leave the outer strings far apart, and no curve tells them from a skip).
  it('are hardly ever called sure where outer gaps are 1.4 times the inner ones and more', () => {
    const trials = skipTrial({ errorMm: 0.5, slipMm: 0 }, tries(6, 3), [], [WIDE_OUTSIDE]);
    const wide = trials.find(({ frames }) => frames === `drawn, ${WIDE_OUTSIDE}`);
    expect(wide?.runs).toBe(tries(54, 27));
    expect(wide?.sureAndWrong).toBeLessThanOrEqual(tries(1, 0));
  });
});
