import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  formatArea,
  formatFeet,
  formatHeadDimension,
  formatMetres,
  formatTension,
  formatTicket,
  formatTicketConverted,
  formatWeight,
  GRAMS_PER_OUNCE,
  gramsFromOunces,
  inTensionUnit,
  mm2FromSquareInches,
  mmFromFeet,
  newtons,
  ounces,
  roundTo,
  roundToTicketStep,
  squareInches,
  type TensionUnit,
} from './units';

describe('factors', () => {
  // Source: NIST Special Publication 811.
  it('are those of NIST SP 811', () => {
    expect(newtons(1, 'lb')).toBe(4.4482216152605);
    expect(newtons(1, 'kg')).toBe(9.80665);
    expect(newtons(1, 'lb') / newtons(1, 'kg')).toBeCloseTo(0.45359237, 12);
    expect(mmFromFeet(40)).toBeCloseTo(12192, 9);
    expect(mm2FromSquareInches(1)).toBeCloseTo(645.16, 9);
    expect(GRAMS_PER_OUNCE).toBeCloseTo(28.349523125, 9);
  });

  // Source: trade figure printed in racket throats, common practice: 100 in² is 645 cm².
  it('give the areas that are printed on rackets', () => {
    expect(formatArea(mm2FromSquareInches(100))).toBe('645 cm² · 100 in²');
    expect(formatArea(mm2FromSquareInches(98))).toBe('632 cm² · 98 in²');
  });

  it('go there and back', () => {
    expect(squareInches(mm2FromSquareInches(98))).toBeCloseTo(98, 10);
    expect(ounces(gramsFromOunces(10.6))).toBeCloseTo(10.6, 10);
  });
});

describe('a typed tension', () => {
  it('comes back as it was typed, for ever', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.constantFrom<TensionUnit>('kg', 'lb'),
        (hundredths, unit) => {
          let n = newtons(hundredths / 100, unit);
          for (let i = 0; i < 50; i++) n = newtons(inTensionUnit(n, unit), unit);
          expect(inTensionUnit(n, unit)).toBe(hundredths / 100);
        },
      ),
    );
    expect(formatTension(newtons(55, 'lb'), 'lb')).toBe('55 lb');
  });

  it('reads in both units', () => {
    const ticket = { mainN: newtons(55, 'lb'), crossN: newtons(53, 'lb'), unit: 'lb' } as const;
    expect(formatTicket(ticket)).toBe('55/53 lb');
    expect(formatTicketConverted(ticket)).toBe('24.9/24 kg');
  });

  it('rounds to half a kilogram or a pound', () => {
    expect(inTensionUnit(roundToTicketStep(newtons(22.2, 'kg'), 'kg'), 'kg')).toBe(22);
    expect(inTensionUnit(roundToTicketStep(newtons(22.3, 'kg'), 'kg'), 'kg')).toBe(22.5);
    expect(inTensionUnit(roundToTicketStep(newtons(47.3, 'lb'), 'lb'), 'lb')).toBe(47);
  });
});

describe('formatting', () => {
  it('writes lengths in both systems', () => {
    expect(formatMetres(12192)).toBe('12.19 m');
    expect(formatFeet(12192)).toBe('40 ft 0 in');
    expect(formatFeet(6705.6)).toBe('22 ft 0 in');
    expect(formatFeet(6096 - 1)).toBe('20 ft 0 in');
    expect(formatFeet(-304.8)).toBe('−1 ft 0 in');
    expect(formatHeadDimension(336, 'metric')).toBe('336 mm');
    expect(formatHeadDimension(336, 'imperial')).toBe('13.2 in');
    expect(formatWeight(300, 'metric')).toBe('300 g');
    expect(formatWeight(300, 'imperial')).toBe('10.6 oz');
  });

  it('rounds without binary dust', () => {
    expect(roundTo(0.1 + 0.2, 0.1)).toBe(0.3);
    expect(roundTo(1.005, 0.01)).toBe(1.01);
    expect(roundTo(-2.5, 1)).toBe(-2);
    expect(roundTo(23.75, 0.5)).toBe(24);
  });
});
