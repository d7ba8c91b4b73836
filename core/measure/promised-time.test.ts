import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatMoney, stringPrice } from './money';
import { formatDay, formatWall, parsePromise, wallTime } from './promised-time';

// A Tuesday.
const NOW = '2026-11-24T10:30';
const read = (text: string, now = NOW) => {
  const promise = parsePromise(text, now);
  return promise.ok ? promise.value : promise.problem;
};

describe('the clock of a workshop', () => {
  it('is its own, whichever was asked before', () => {
    // IANA: Vienna is an hour ahead of UTC in winter and two in summer, Kathmandu five and three quarters.
    const winter = new Date('2026-01-05T23:30:00Z');
    const summer = new Date('2026-07-05T23:30:00Z');
    for (let turn = 0; turn < 2; turn++) {
      expect(wallTime(winter, 'Europe/Vienna')).toBe('2026-01-06T00:30');
      expect(wallTime(winter, 'Asia/Kathmandu')).toBe('2026-01-06T05:15');
      expect(wallTime(winter, 'UTC')).toBe('2026-01-05T23:30');
      expect(wallTime(summer, 'Europe/Vienna')).toBe('2026-07-06T01:30');
    }
    expect(() => wallTime(winter, 'Nowhere/Land')).toThrow(RangeError);
  });
});

describe('a promise', () => {
  it('for a bare hour from one to seven is in the afternoon', () => {
    const at = (text: string) => {
      const read = parsePromise(text, '2026-11-25T09:00');
      return read.ok ? read.value : read.problem;
    };
    expect(at('fri 5')).toBe('2026-11-27T17:00');
    expect(at('fri 5:30')).toBe('2026-11-27T17:30');
    expect(at('fri 05:00')).toBe('2026-11-27T05:00');
    expect(at('fri 5am')).toBe('2026-11-27T05:00');
    expect(at('fri 9')).toBe('2026-11-27T09:00');
  });

  it.each([
    ['fri', '2026-11-27T18:00'],
    ['friday 9', '2026-11-27T09:00'],
    ['tue', '2026-12-01T18:00'],
    ['+2d', '2026-11-26T18:00'],
    ['+1w 12:15', '2026-12-01T12:15'],
    ['today', '2026-11-24T18:00'],
    ['today 17:30', '2026-11-24T17:30'],
    ['Tomorrow 8h', '2026-11-25T08:00'],
    ['2026-12-01', '2026-12-01T18:00'],
    ['2026-12-01T08:05', '2026-12-01T08:05'],
    ['27.11. 17', '2026-11-27T17:00'],
    ['3.1', '2027-01-03T18:00'],
    ['17:30', '2026-11-24T17:30'],
    ['9:15', '2026-11-25T09:15'],
    ['5pm', '2026-11-24T17:00'],
    ['noon', '2026-11-24T12:00'],
    ['friday 5pm', '2026-11-27T17:00'],
    ['next friday at 5:30 pm', '2026-11-27T17:30'],
    ['12 am tomorrow', 'Write a day'],
    ['tomorrow 12 pm', '2026-11-25T12:00'],
    ['24 dec', '2026-12-24T18:00'],
    ['dec 24 10', '2026-12-24T10:00'],
    ['2nd January', '2027-01-02T18:00'],
    ['in 3 days', '2026-11-27T18:00'],
    ['in 2 weeks 9h', '2026-12-08T09:00'],
    ['next week', '2026-12-01T18:00'],
    ['ｆｒｉ １７：３０', '2026-11-27T17:30'],
  ])('typed %s is %s', (typed, wall) => expect(read(typed)).toContain(wall));

  it.each([
    ['', 'fri, +2d'],
    ['soon', 'fri, +2d'],
    ['17', 'fri, +2d'],
    ['13pm', 'Hours run from 0 to 23'],
    ['32.1.', 'fri, +2d'],
    ['2026-02-30', 'fri, +2d'],
    ['today 9', 'has passed'],
    ['2026-11-23', 'has passed'],
    ['fri 25', 'Hours run from 0 to 23'],
    ['fri 10:75', 'minutes from 00 to 59'],
    ['+999d', 'within a year'],
  ])('typed %j is answered with a sentence', (typed, part) => expect(read(typed)).toContain(part));

  it('never throws', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (typed) => {
        parsePromise(typed, NOW);
      }),
    );
  });
});

describe('the workshop’s clock', () => {
  // Source: IANA time zone database, by way of Intl: Lisbon keeps UTC in winter and UTC+1 in summer.
  it('is the wall time of its place', () => {
    expect(wallTime(new Date('2026-11-24T10:30:00Z'), 'Europe/Lisbon')).toBe('2026-11-24T10:30');
    expect(wallTime(new Date('2026-07-01T23:30:00Z'), 'Europe/Lisbon')).toBe('2026-07-02T00:30');
  });
  it('says days as people do', () => {
    expect(formatWall('2026-11-24T18:00', NOW)).toBe('today 18:00');
    expect(formatWall('2026-11-25T18:00', NOW)).toBe('tomorrow 18:00');
    expect(formatWall('2026-11-27T18:00', NOW)).toBe('Fri 27 Nov 18:00');
    expect(formatWall('2027-01-04T18:00', NOW)).toBe('Mon 4 Jan 2027 18:00');
    expect(formatDay('2026-11-27T18:00')).toBe('27 Nov 2026');
  });
});

describe('money', () => {
  const set = (setMinor: number, suppliedByClient = false) => ({ setMinor, suppliedByClient });
  it('charges a set, half of each in a hybrid, and nothing that the client brought', () => {
    expect(stringPrice(set(1150), set(1150))).toBe(1150);
    expect(stringPrice(set(1150), set(691))).toBe(921);
    expect(stringPrice(set(1150, true), set(690))).toBe(345);
    expect(stringPrice(set(1150, true), set(1150, true))).toBe(0);
    expect(formatMoney(2520, 'EUR')).toBe('€25.20');
  });
});
