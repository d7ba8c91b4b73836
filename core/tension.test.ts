import { describe, expect, it } from 'vitest';
import type { Family } from './family';
import { knotPull, startingPoint, steppedPulls, tensionCautions } from './tension';
import { frameSpec } from './testing/frame-spec';
import { formatTicket, inTensionUnit, newtons, type TensionUnit } from './units';

const RANGE = { tension: { min: 22, max: 26, unit: 'kg' } } as const;
const start = (
  changes: Parameters<typeof frameSpec>[0],
  mains: Family = 'multifilament',
  crosses: Family = mains,
  unit: TensionUnit = 'kg',
) => startingPoint(frameSpec(changes), mains, crosses, unit);

describe('a starting point', () => {
  // Source: practice (range 22–26 kg: start at 24; monofilament 5–10 % lower, 22–23).
  it('is the middle of the range, and lower for monofilament', () => {
    expect(formatTicket(start(RANGE).ticket)).toBe('24/24 kg');
    const mono = inTensionUnit(start(RANGE, 'monofilament').ticket.mainN, 'kg');
    expect(mono).toBeGreaterThanOrEqual(22);
    expect(mono).toBeLessThanOrEqual(23);
  });

  // Source: practice (unknown adult tennis frame: 23–24 kg).
  it('is 23 to 24 kg for a tennis frame of unknown range', () => {
    const { ticket, steps } = start({});
    expect(inTensionUnit(ticket.mainN, 'kg')).toBe(23.5);
    expect(steps[0]?.source).toBe('common practice');
    expect(start({ sport: 'squash' }).steps[0]?.source).toBe('from memory');
  });

  // Source: practice (badminton crosses 2 lb higher; hybrids keep the soft string the firmer of the two).
  it('steps by sport and material', () => {
    const badminton = { sport: 'badminton', tension: { min: 20, max: 28, unit: 'lb' } } as const;
    expect(formatTicket(start(badminton, 'multifilament', 'multifilament', 'lb').ticket)).toBe(
      '24/26 lb',
    );
    expect(formatTicket(start(RANGE, 'monofilament', 'synthetic gut').ticket)).toBe('22/24 kg');
    expect(formatTicket(start(RANGE, 'natural gut', 'monofilament').ticket)).toBe('24/22 kg');
  });

  it('is the same pull whichever unit the workshop writes', () => {
    const unrounded = (unit: TensionUnit) =>
      start(RANGE, 'monofilament', 'monofilament', unit).steps.at(-1)?.mainN;
    expect(unrounded('kg')).toBe(unrounded('lb'));
  });

  it('gives a reason for every step, and its last step is the ticket', () => {
    const { steps, ticket } = start(RANGE, 'monofilament');
    expect(steps).toHaveLength(2);
    for (const step of steps) expect(step.why.length).toBeGreaterThan(20);
    expect(Math.abs((steps.at(-1)?.mainN ?? 0) - ticket.mainN)).toBeLessThanOrEqual(
      newtons(0.25, 'kg') + 1e-9,
    );
  });
});

describe('knot pulls', () => {
  // Source: practice (52 lb → 57 lb; 43 → about 47).
  it.each([
    [52, 57],
    [43, 47],
  ])('%d lb is tied at %d lb', (pull, knot) => {
    expect(inTensionUnit(knotPull(newtons(pull, 'lb'), 'lb'), 'lb')).toBe(knot);
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
    const pulls = steppedPulls(newtons(58, 'lb'), 3, newtons(5, 'lb'));
    expect(pulls.map((n) => inTensionUnit(n, 'lb'))).toEqual([53, 48, 43]);
  });
});
