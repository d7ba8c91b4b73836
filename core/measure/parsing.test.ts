import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseGauge } from './gauge';
import {
  parseCount,
  parseHoleLabels,
  parseHoleNumber,
  parseHoleNumbers,
  parseLength,
  parseRemnants,
  parseRow,
  parseStepDown,
  parseTensionRange,
  parsePull,
  parseTicketTension,
  parseTieOffs,
  parseWidths,
} from './parsing';
import { parseMoney } from './money';
import type { Result } from '../terms/result';
import { SPORTS, type Sport } from '../terms/sport';
import { centimetreFigure, formatTicket, ticketEntry, newtons, type TensionUnit } from './units';

const valueOf = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.problem);
  return result.value;
};

const problemOf = (result: Result<unknown>): string => {
  if (result.ok) throw new Error('was accepted');
  return result.problem;
};

const ticket = (text: string, sport: Sport = 'tennis', unit: TensionUnit = 'kg') =>
  formatTicket(valueOf(parseTicketTension(text, sport, unit)));

describe('a ticket', () => {
  // Common practice, no source: these are how tickets are written.
  it.each([
    ['55/53', '55/53 lb'],
    ['24/23', '24/23 kg'],
    ['53x57 lb', '53/57 lb'],
    ['24.5kg', '24.5/24.5 kg'],
    ['24,5', '24.5/24.5 kg'],
    ['55 × 53', '55/53 lb'],
    ['55lb/53lb', '55/53 lb'],
    [' 45/50 LBS ', '45/50 lb'],
    ['24 kgs', '24/24 kg'],
    ['24 kgf', '24/24 kg'],
    ['24½', '24.5/24.5 kg'],
    ['24½/23½ kilos', '24.5/23.5 kg'],
    ['55#', '55/55 lb'],
    ['52 lbs/50 lbs', '52/50 lb'],
    ['５５／５３', '55/53 lb'],
    ['53 pounds', '53/53 lb'],
  ])('reads %s as %s', (typed, read) => expect(ticket(typed)).toBe(read));

  it('reads a bare figure in the unit that the sport knows it in', () => {
    expect(ticket('24', 'tennis', 'lb')).toBe('24/24 kg');
    expect(ticket('24', 'badminton', 'kg')).toBe('24/24 lb');
    expect(ticket('11/12', 'badminton', 'lb')).toBe('11/12 kg');
    expect(ticket('26', 'squash', 'kg')).toBe('26/26 lb');
    // 30 kg and 30 lb are both strung somewhere: the house says which it means.
    expect(ticket('30', 'tennis', 'lb')).toBe('30/30 lb');
    expect(ticket('30', 'tennis', 'kg')).toBe('30/30 kg');
    expect(ticket('17', 'badminton', 'kg')).toBe('17/17 kg');
    expect(ticket('17', 'badminton', 'lb')).toBe('17/17 lb');
  });

  it.each([
    ['55/5', 'crosses'],
    ['abc', '24/23, 55/53'],
    ['', '24/23, 55/53'],
    ['24/', '24/23, 55/53'],
    ['24.123', 'two decimals'],
    ['24kg/53lb', 'Two units'],
    ['500', 'tennis tension'],
    ['3 kg', 'tennis tension'],
    ['-24', '24/23, 55/53'],
    ['24/40 kg', 'too far'],
    ['1e3', '24/23, 55/53'],
  ])('refuses %j with a sentence', (typed, part) =>
    expect(problemOf(parseTicketTension(typed, 'tennis', 'kg'))).toContain(part),
  );

  it('comes back as the same newtons from its own notation', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SPORTS),
        fc.integer({ min: 0, max: 1000 }),
        fc.constantFrom<TensionUnit>('kg', 'lb'),
        (sport, step, unit) => {
          const least = unit === 'kg' ? 8 : 20;
          const typed = `${least + step / 100}/${least + step / 100} ${unit}`;
          const read = parseTicketTension(typed, sport, 'kg');
          if (!read.ok) return;
          expect(parseTicketTension(ticketEntry(read.value), sport, 'lb')).toEqual(read);
        },
      ),
    );
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (typed) => {
        for (const sport of SPORTS) parseTicketTension(typed, sport, 'kg');
        parseTensionRange(typed, 'tennis', 'kg');
        parseLength(typed, 'm');
        parseRow(typed);
        parseHoleNumbers(typed);
        parseHoleLabels(typed);
        parseWidths(typed);
        parseMoney('EUR')(typed);
        parseCount(typed);
      }),
    );
  });
});

it('lengths, gauges and pulls are read alike, however they are written', () => {
  for (const typed of ['40 feet', '40 ft', '40′', '40 foot', '４０ft'])
    expect(valueOf(parseLength(typed, 'm'))).toBeCloseTo(12_192, 6);
  for (const typed of ['12.2 metres', '12,2 m', '12.2 meters', '12.2'])
    expect(valueOf(parseLength(typed, 'm'))).toBeCloseTo(12_200, 6);
  expect(valueOf(parseLength('22 feet 6 inches', 'm'))).toBeCloseTo(22.5 * 304.8, 6);
  for (const typed of ['36½', '３６½'])
    expect(valueOf(parseLength(typed, 'cm'))).toBeCloseTo(365, 6);
  for (const typed of ['16 L', '16L', '16 l', '１６Ｌ'])
    expect(valueOf(parseGauge(typed, 'tennis'))).toBe(valueOf(parseGauge('16L', 'tennis')));
  for (const typed of ['25', '25 kgf', '25 kilos', '２５ kg'])
    expect(valueOf(parsePull(typed, 'kg'))).toBeCloseTo(newtons(25, 'kg'), 9);
  expect(valueOf(parseStepDown('3 x 5#'))).toEqual({ strings: 3, by: 5, unit: 'lb' });
});

describe('a range', () => {
  it('is read as it is printed', () => {
    expect(valueOf(parseTensionRange('22-26', 'tennis', 'lb')).unit).toBe('kg');
    for (const typed of ['22kg-26kg', '22–26 kgs', '22 − 26 kgf', '２２-２６kg'])
      expect(valueOf(parseTensionRange(typed, 'tennis', 'lb'))).toEqual(
        valueOf(parseTensionRange('22-26 kg', 'tennis', 'lb')),
      );
    expect(valueOf(parseTensionRange('50–60 lb', 'tennis', 'kg')).maxN).toBeCloseTo(266.89, 2);
    expect(valueOf(parseTensionRange('20 to 28', 'badminton', 'kg')).unit).toBe('lb');
  });
  it('is refused upside down or out of this world', () => {
    expect(problemOf(parseTensionRange('26-22', 'tennis', 'kg'))).toContain('lower figure');
    expect(problemOf(parseTensionRange('22-90 kg', 'tennis', 'kg'))).toContain('lies between');
    expect(problemOf(parseTensionRange('22', 'tennis', 'kg'))).toContain('22-26');
  });
});

describe('a length', () => {
  // Source of the factors: NIST SP 811.
  it.each([
    ['12.2', 12200],
    ['40ft', 12192],
    ['12.192', 12192],
    ['22\'6"', 6858],
    ["22'", 6705.6],
    ['22 ft 6 in', 6858],
    ['22’6”', 6858],
    ['610 cm', 6100],
    ['6100mm', 6100],
  ])('reads %s as %d mm of string', (typed, mm) =>
    expect(valueOf(parseLength(typed, 'm'))).toBeCloseTo(mm, 6),
  );
  it('takes a bare figure in the unit of its field', () => {
    expect(valueOf(parseLength('336', 'mm'))).toBe(336);
    expect(valueOf(parseLength('33.6 cm', 'mm'))).toBe(336);
    expect(valueOf(parseLength('36', 'cm'))).toBe(360);
  });
  it('is read to a hundredth of a millimetre, and read again as it is written', () => {
    expect(valueOf(parseLength('13.123 in', 'mm'))).toBe(333.32);
    const typed = fc.tuple(
      fc.integer({ min: 0, max: 99_999 }),
      fc.constantFrom('in', 'ft', 'cm', 'mm', 'm'),
    );
    fc.assert(
      fc.property(typed, ([thousandths, unit]) => {
        const mm = valueOf(parseLength(`${(thousandths / 1000).toFixed(3)} ${unit}`, 'mm'));
        expect(valueOf(parseLength(String(mm), 'mm'))).toBe(mm);
        expect(valueOf(parseLength(centimetreFigure(mm), 'cm'))).toBe(mm);
      }),
    );
  });
  it('refuses what is none', () => {
    expect(problemOf(parseLength('22\'14"', 'm'))).toContain('0 to 11');
    expect(problemOf(parseLength('long', 'm'))).toContain('40ft');
    expect(problemOf(parseLength('', 'mm'))).toContain('336');
  });
});

describe('rows and lists', () => {
  it('read what stands on the bench paper', () => {
    expect(valueOf(parseHoleNumbers('9, 7'))).toEqual([7, 9]);
    expect(valueOf(parseHoleNumbers('none'))).toEqual([]);
    expect(valueOf(parseHoleLabels('8t 6H'))).toEqual(['8T', '6H']);
    expect(valueOf(parseRow('6 17,5 29'))).toEqual([6, 17.5, 29]);
    expect(valueOf(parseWidths('40:160 100:226.5'))).toEqual([
      { fromHeadMm: 40, widthMm: 160 },
      { fromHeadMm: 100, widthMm: 226.5 },
    ]);
    expect(valueOf(parseMoney('EUR')('18,5'))).toBe(1850);
    expect(valueOf(parseMoney('EUR')('0.29'))).toBe(29);
    expect(valueOf(parseCount(' 16 '))).toBe(16);
  });
  it('say what is wrong', () => {
    expect(problemOf(parseHoleNumbers('7 7'))).toContain('twice');
    expect(problemOf(parseHoleNumbers('7 x'))).toContain('“x”');
    expect(problemOf(parseHoleNumbers('7 0'))).toContain('“0”');
    expect(problemOf(parseHoleLabels('8'))).toContain('H for head');
    expect(problemOf(parseHoleLabels('8T 8t'))).toContain('twice');
    expect(problemOf(parseRow('6 5'))).toContain('cannot follow 6');
    expect(problemOf(parseRow('six'))).toContain('“six”');
    expect(problemOf(parseWidths('40 160'))).toContain('colon');
    expect(problemOf(parseMoney('EUR')('-3'))).toContain('18.50');
    expect(problemOf(parseCount('16.5'))).toContain('whole number');
  });
});

describe('holes, steps and remnants', () => {
  it('are read as one writes them', () => {
    expect(valueOf(parseTieOffs('8t 6HL'))).toEqual(['8T', '6HL']);
    expect(valueOf(parseHoleNumber('10h'))).toBe(10);
    expect(valueOf(parseStepDown('3 x 5 lb'))).toEqual({ strings: 3, by: 5, unit: 'lb' });
    expect(valueOf(parseStepDown(''))).toBeNull();
    expect(valueOf(parseRemnants('6.2/19ft'))).toEqual([6200, 19 * 304.8]);
    expect(valueOf(parseRemnants('10.9'))).toEqual([10_900]);
  });
  it.each([
    [parseTieOffs('8TX'), 'on one side only'],
    [parseHoleNumber('7 9'), 'one hole'],
    [parseStepDown('a lot'), '3 x 5 lb'],
    [parseStepDown('3 x 0 lb'), '3 x 5 lb'],
    [parseRemnants(''), 'Write a length'],
    [parseRemnants('6/5/4'), 'mains/crosses'],
    [parseRemnants('0.2'), 'between 1 and 250 m'],
  ])('%j is answered with a sentence', (result, part) => {
    expect(problemOf(result)).toContain(part);
  });
});

describe('a single pull', () => {
  it('is read in the unit it is written in, else in the workshop’s', () => {
    expect(parsePull('25', 'kg')).toEqual({ ok: true, value: newtons(25, 'kg') });
    expect(parsePull(' 54,5 lb', 'kg')).toEqual({ ok: true, value: newtons(54.5, 'lb') });
    expect(parsePull('55 lbs', 'lb')).toEqual({ ok: true, value: newtons(55, 'lb') });
  });

  it.each(['', 'twenty', '25/24', '-3', '0', '1 kg', '900'])('“%s” gets a sentence', (text) => {
    expect(parsePull(text, 'kg')).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/25 or 24.6 kg\.$/),
    });
  });
});

describe('what is no figure', () => {
  it('is not read as one: a power, a half before a figure, thousands', () => {
    for (const text of ['1²', '½1', '2₃']) {
      expect(parseLength(text, 'm').ok).toBe(false);
      expect(parseTicketTension(text, 'tennis', 'lb').ok).toBe(false);
      expect(parseCount(text).ok).toBe(false);
    }
    expect(parseTicketTension('3 x 50 kg', 'tennis', 'kg').ok).toBe(false);
    expect(parseLength('12,200 mm', 'm')).toEqual({ ok: true, value: 12_200 });
    expect(parseLength('12,200', 'm')).toEqual({ ok: true, value: 12_200 });
  });

  // Source: common practice, no adult frame prints less than 36 lb.
  it('25-29 in a house of pounds is a range of kilograms in tennis, and of pounds in badminton', () => {
    const unit = (sport: 'tennis' | 'badminton') => {
      const read = parseTensionRange('25-29', sport, 'lb');
      return read.ok && read.value.unit;
    };
    expect([unit('tennis'), unit('badminton')]).toEqual(['kg', 'lb']);
  });
});
