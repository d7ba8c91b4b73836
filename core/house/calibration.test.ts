import { describe, expect, it } from 'vitest';
import {
  checkDue,
  checkWords,
  dialFor,
  offBy,
  pullsFor,
  setFor,
  type MachineCheck,
} from './calibration';
import { inTensionUnit, newtons } from '../measure/units';

const check = (day: string, asked: number, measured: number): MachineCheck => ({
  day,
  askedN: newtons(asked, 'lb'),
  measuredN: newtons(measured, 'lb'),
});

describe('a machine that is checked', () => {
  it('is taken at its word before the first check', () => {
    expect(pullsFor([])).toBe(1);
    expect(setFor(230, [])).toBe(230);
  });

  // Worked by hand: one point on a line through nothing.
  it('that pulls 49 for 50 is set to 51.02 for 50', () => {
    const checks = [check('2026-11-01', 50, 49)];
    expect(offBy(checks[0]!)).toBeCloseTo(-0.02, 12);
    expect(inTensionUnit(setFor(newtons(50, 'lb'), checks), 'lb')).toBe(51.02);
  });

  // Worked by hand: (40·41 + 60·60)/(40² + 60²) = 5240/5200.
  it('goes by the least squares of its latest day', () => {
    const checks = [
      check('2026-09-01', 50, 45),
      check('2026-11-01', 40, 41),
      check('2026-11-01', 60, 60),
    ];
    expect(pullsFor(checks)).toBeCloseTo(5240 / 5200, 12);
    expect(pullsFor(checks.toReversed())).toBe(pullsFor(checks));
  });

  it('is not corrected when it is far off: it is mended', () => {
    expect(setFor(200, [check('2026-11-01', 50, 40)])).toBe(200);
  });

  // From memory: a tenth, to either side of it.
  it('is corrected up to a tenth and no further', () => {
    const [n, within, beyond] = [newtons(50, 'lb'), 0.905, 0.895];
    const off = (pulls: number) => [{ day: '2026-11-01', askedN: n, measuredN: n * pulls }];
    expect(setFor(n, off(within))).toBeCloseTo(n / within, 9);
    expect(setFor(n, off(beyond))).toBe(n);
    expect(setFor(n, off(1.095))).toBeCloseTo(n / 1.095, 9);
    expect(setFor(n, off(1.105))).toBe(n);
    expect(dialFor(n, within, 'lb')).toBeDefined();
    expect(dialFor(n, beyond, 'lb')).toBeUndefined();
  });

  // A dial is read to a tenth (common practice): 23 kg at 98 % is 23.469.
  it('is set to a tenth on its dial, and to the aim itself where less than a tenth lies between', () => {
    const dial = dialFor(newtons(23, 'kg'), 0.98, 'kg') ?? 0;
    expect(dial / newtons(1, 'kg')).toBeCloseTo(23.5, 9);
    // 23.08 reads as 23.1, a tenth away; 23.02 as 23.
    expect(dialFor(newtons(23, 'kg'), 23 / 23.08, 'kg')).toBeDefined();
    expect(dialFor(newtons(23, 'kg'), 23 / 23.02, 'kg')).toBeUndefined();
  });

  it('is spoken of when it was never checked, is late or far off, and else not', () => {
    expect(checkWords([], 30, '2026-11-25')).toContain('never checked');
    expect(checkWords([check('2026-10-20', 50, 50)], 30, '2026-11-25')).toBe(
      'Its check is 6 days overdue.',
    );
    expect(checkWords([check('2026-11-20', 50, 43)], 30, '2026-11-25')).toContain('14 % too soft');
    expect(checkWords([check('2026-11-20', 50, 56)], 30, '2026-11-25')).toContain('12 % too hard');
    expect(checkWords([check('2026-11-20', 50, 49)], 30, '2026-11-25')).toBeUndefined();
  });

  it('is due again after its days, also over a change of month', () => {
    const checks = [check('2026-10-20', 50, 50), check('2026-09-20', 50, 50)];
    expect(checkDue(checks, 30, '2026-11-18')).toEqual({ latest: '2026-10-20', inDays: 1 });
    expect(checkDue(checks, 30, '2026-11-25').inDays).toBe(-6);
    expect(checkDue([], 30, '2026-11-25')).toEqual({ latest: undefined, inDays: undefined });
  });
});
