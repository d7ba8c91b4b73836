import { describe, expect, it } from 'vitest';
import type { Family } from '../terms/family';
import { pullLimits } from '../measure/pull-limits';
import { knotPull, steppedPulls, tensionCautions } from './tension';
import { frameSpec } from '../testing/frame-spec';
import { inTensionUnit, newtons } from '../measure/units';

const RANGE = { tension: { min: 22, max: 26, unit: 'kg' } } as const;

describe('knot pulls', () => {
  // Source: practice (52 lb → 57 lb; 43 → about 47).
  it.each([
    [52, 57],
    [43, 47],
  ])('%d lb is tied at %d lb', (pull, knot) => {
    expect(inTensionUnit(knotPull(newtons(pull, 'lb'), 'lb'), 'lb')).toBe(knot);
  });
  // Source: practice (some use +5 lb; others re-pull at the same figure and push the clamp base).
  it('goes by the school of the house', () => {
    const n = newtons(43, 'lb');
    expect(inTensionUnit(knotPull(n, 'lb', '5 lb higher'), 'lb')).toBe(48);
    expect(knotPull(n, 'lb', 'pull again')).toBe(n);
  });
});

describe('cautions', () => {
  const cautions = (mainKg: number, crossKg: number, family: Family = 'multifilament') =>
    tensionCautions(
      frameSpec(RANGE),
      { mainN: newtons(mainKg, 'kg'), crossN: newtons(crossKg, 'kg'), unit: 'kg' },
      family,
      family,
    );

  it('are silent inside the range, its ends included', () => {
    expect(cautions(24, 23)).toEqual([]);
    expect(cautions(26, 22)).toEqual([]);
  });
  it('name the string that is above or below the printed range', () => {
    expect(cautions(26.5, 24).join()).toContain(
      'Mains at 26.5 kg are above the printed maximum of 26 kg',
    );
    expect(cautions(24, 21).join()).toContain('Crosses at 21 kg are below');
  });
  // Source: practice (monofilament never above 27 kg).
  it('hold monofilament below 27 kg', () => {
    expect(cautions(28, 26, 'monofilament').join()).toContain('not pulled above 27 kg');
    expect(cautions(27, 26, 'monofilament').join()).not.toContain('not pulled above');
    expect(cautions(28, 26).join()).not.toContain('not pulled above');
  });
});

describe('outer strings stepped down', () => {
  // Source: practice (58 lb, then 53, 48 and 43 on an oversize frame).
  it('58, 53, 48, 43', () => {
    const pulls = steppedPulls(newtons(58, 'lb'), 3, newtons(5, 'lb'), 0);
    expect(pulls.map((n) => inTensionUnit(n, 'lb'))).toEqual([53, 48, 43]);
  });
});

it('steps at the outer strings stop at the least that is strung', () => {
  // 24 kg less 6 times 5 kg would be less than nothing.
  const { leastN } = pullLimits('tennis');
  const pulls = steppedPulls(newtons(24, 'kg'), 6, newtons(5, 'kg'), leastN);
  expect(Math.min(...pulls)).toBe(leastN);
  expect(pulls[0]).toBeCloseTo(newtons(19, 'kg'), 9);
});
