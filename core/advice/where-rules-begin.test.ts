/** Where a rule of the advice begins and ends: its figure is from common practice, and the test moves when it does. */
import { describe, expect, it } from 'vitest';
import { adviceCase, strungWith } from '../testing/advice-case';
import { spokenAgainst, type Reason } from './advise';
import { PLACE_RULES } from './place-rules';
import { RACKET_RULES } from './racket-rules';
import type { Rule } from './rule';
import { firmness, GAUGE_STEP_MM, usualGaugeMm } from './strung';
import { newtons } from '../measure/units';

const applies = (rules: readonly Rule[], id: string, about: Parameters<typeof adviceCase>[0]) =>
  rules.find((rule) => rule.id === id)?.applies(adviceCase(about));

describe('a rule begins', () => {
  // Source: from memory (nobody goes up below 500 m), common practice (a kilogram at 2000 m, no further than at 3000 m).
  it('at 500 m above the sea, and goes no further than at 3000 m', () => {
    expect(applies(PLACE_RULES, 'altitude', { talk: { altitudeM: 499 } })).toBe(false);
    expect(applies(PLACE_RULES, 'altitude', { talk: { altitudeM: 500 } })).toBe(true);
    const up = (altitudeM: number) =>
      PLACE_RULES.find(({ id }) => id === 'altitude')?.small?.byN(
        adviceCase({ talk: { altitudeM } }),
      );
    expect(up(2000)).toBeCloseTo(newtons(1, 'kg'), 9);
    expect(up(3000)).toBeCloseTo(newtons(1.5, 'kg'), 9);
    expect(up(5000)).toBeCloseTo(newtons(1.5, 'kg'), 9);
  });

  // Source: common practice (from 20 g of lead it is another racket).
  it('at 20 g of lead, wherever they are', () => {
    expect(applies(RACKET_RULES, 'another racket', { racket: { leadHeadG: 19 } })).toBe(false);
    expect(
      applies(RACKET_RULES, 'another racket', { racket: { leadHeadG: 12, leadHandleG: 8 } }),
    ).toBe(true);
  });

  // Of what protects, three tenths of a point are enough to speak against a bed; of a wish, nothing is.
  it('to speak against a bed at three tenths of a point', () => {
    const reason = (rank: Reason['rank'], points: number) => ({ rank, points }) as Reason;
    expect(spokenAgainst([reason('arm', -0.3)])).toHaveLength(1);
    expect(spokenAgainst([reason('arm', -0.29), reason('wish', -5)])).toEqual([]);
  });
});

// Our own measure, its weights from memory: a step of thickness is one and a half percent firmer.
it('a bed is one and a half percent firmer for each step of thickness', () => {
  const pulls = { mainN: 230, crossN: 220 };
  const firm = (gaugeMm: number) =>
    firmness(strungWith('multifilament', 'multifilament', gaugeMm), pulls, 'tennis');
  const usualMm = usualGaugeMm('multifilament', 'tennis');
  expect(firm(usualMm + GAUGE_STEP_MM.tennis) / firm(usualMm)).toBeCloseTo(1.015, 9);
});
