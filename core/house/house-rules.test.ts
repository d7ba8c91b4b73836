import { describe, expect, it } from 'vitest';
import {
  crossesStep,
  HOUSE_QUESTION_NAMES,
  houseRulesSchema,
  sameHouse,
  schoolsOn,
  schoolWords,
  USUAL_HOUSE,
} from './house-rules';
import { betweenMachines } from './machine';
import { inTensionUnit, newtons } from '../measure/units';

const lb = (n: number) => inTensionUnit(n, 'lb');

describe('house rules', () => {
  it('start as a whole, and refuse a school that is none', () => {
    expect(houseRulesSchema.parse(USUAL_HOUSE)).toEqual(USUAL_HOUSE);
    expect(houseRulesSchema.safeParse({ ...USUAL_HOUSE, hybrid: 'by the moon' }).success).toBe(
      false,
    );
    expect(houseRulesSchema.safeParse({ ...USUAL_HOUSE, lockOutShare: 0.5 }).success).toBe(false);
  });

  it('are compared by what they say, not by the order they come in', () => {
    const turned = Object.fromEntries(Object.entries(USUAL_HOUSE).toReversed());
    expect(sameHouse(houseRulesSchema.parse(turned), USUAL_HOUSE)).toBe(true);
    expect(sameHouse({ ...USUAL_HOUSE, lockOutShare: 0.08 }, USUAL_HOUSE)).toBe(false);
  });

  it('give a reason for each side of every question', () => {
    for (const name of HOUSE_QUESTION_NAMES) {
      const schools = schoolsOn(name);
      expect(schools.length).toBeGreaterThanOrEqual(2);
      for (const { why } of schools) expect(why).toMatch(/^[A-Z].{15,}\.$/);
      expect(schoolWords(USUAL_HOUSE, name)).not.toBe('');
    }
  });

  // Source: practice (equal; crosses 2 lb lower; mains −2 and crosses +2 with the mean kept; badminton +2 lb).
  it('move crosses as the schools do', () => {
    const moved = (
      house: Partial<typeof USUAL_HOUSE>,
      sport: 'tennis' | 'badminton' | 'squash',
    ) => {
      const { mainN, crossN } = crossesStep({ ...USUAL_HOUSE, ...house }, sport);
      return [lb(mainN), lb(crossN)];
    };
    expect(moved({}, 'tennis')).toEqual([0, 0]);
    expect(moved({ tennisCrosses: 'lower' }, 'tennis')).toEqual([0, -2]);
    expect(moved({ tennisCrosses: 'higher on the mean' }, 'tennis')).toEqual([-2, 2]);
    expect(moved({}, 'badminton')).toEqual([0, 2]);
    expect(moved({ squashCrosses: 'lower' }, 'squash')).toEqual([0, -2]);
    expect(moved({ crossesByN: newtons(-3, 'lb') }, 'tennis')).toEqual([0, -3]);
  });
});

// Source: practice (a lock-out settles lower than a constant pull at the same figure; 5–10 %, from memory).
describe('between machines', () => {
  const n = newtons(24, 'kg');
  it('a lock-out is set higher for the same bed, and back', () => {
    const there = betweenMachines(n, 'constant pull', 'lock-out', { lockOutShare: 0.08 });
    expect(there / n).toBeCloseTo(1 / 0.92, 12);
    expect(betweenMachines(there, 'lock-out', 'constant pull', { lockOutShare: 0.08 })).toBeCloseTo(
      n,
      9,
    );
    expect(betweenMachines(n, 'lock-out', 'lock-out', { lockOutShare: 0.08 })).toBe(n);
    expect(there).toBeGreaterThan(n * 1.05);
  });
});
