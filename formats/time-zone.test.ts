import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { timeZoneLines } from './time-zone';

const YEAR = [new Date('2026-01-01T00:00Z'), new Date('2027-01-01T00:00Z')] as const;

/** Minutes from `+0930`. */
const minutesOf = (offset: string): number => {
  const [, sign, hours, minutes] = /^([+-])(\d\d)(\d\d)$/.exec(offset) ?? [];
  return (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes));
};

/** The observances of a zone, as a calendar program reads them. */
function observances(zone: string) {
  const text = timeZoneLines(zone, ...YEAR).join('\n');
  return [...text.matchAll(/BEGIN:(DAYLIGHT|STANDARD)\n([^]*?)\nEND:\1/g)].map(
    ([, kind, inside = '']) => {
      const of = (name: string) => new RegExp(`^${name}:(.*)$`, 'm').exec(inside)?.[1] ?? '';
      const [from, to] = [of('TZOFFSETFROM'), of('TZOFFSETTO')];
      const [y, mo, d, h, mi] = /^(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)00$/
        .exec(of('DTSTART'))!
        .slice(1)
        .map(Number) as [number, number, number, number, number];
      // RFC 5545, 3.6.5: it begins by the clock that was there before it.
      const at = Date.UTC(y, mo - 1, d, h, mi) - minutesOf(from) * 60_000;
      return { kind, at, start: of('DTSTART'), from, to };
    },
  );
}

describe('a time zone', () => {
  // Source: the IANA time zone database, from memory.
  it.each([
    ['Asia/Tokyo', ['STANDARD +0900']],
    ['Asia/Kathmandu', ['STANDARD +0545']],
    ['Pacific/Marquesas', ['STANDARD -0930']],
    ['Europe/Vienna', ['STANDARD +0100', 'DAYLIGHT +0200', 'STANDARD +0100']],
    // South of the equator a year begins in summer; here the clock moves by half an hour.
    ['Australia/Lord_Howe', ['DAYLIGHT +1100', 'STANDARD +1030', 'DAYLIGHT +1100']],
  ])('%s', (zone, expected) => {
    expect(observances(zone).map(({ kind, to }) => `${kind} ${to}`)).toEqual(expected);
  });

  // Source: in the United States the second Sunday of March and the first of November, 2:00 (Energy Policy Act of 2005).
  it('changes at the hour of the place, by the clock before', () => {
    const [, spring, autumn] = observances('America/New_York');
    expect(spring).toMatchObject({ start: '20260308T020000', from: '-0500', to: '-0400' });
    expect(autumn).toMatchObject({ start: '20261101T020000', from: '-0400', to: '-0500' });
  });

  // Source: the platform's own words for an offset, which nothing here is made from.
  it.each(['Europe/Lisbon', 'America/St_Johns', 'Pacific/Chatham', 'Africa/Casablanca', 'UTC'])(
    '%s is on every instant what the platform says',
    (zone) => {
      const known = observances(zone);
      const platform = new Intl.DateTimeFormat('en', {
        timeZone: zone,
        timeZoneName: 'longOffset',
      });
      const said = (at: number): string => {
        const name = platform.formatToParts(at).find(({ type }) => type === 'timeZoneName')?.value;
        return name === 'GMT' ? '+0000' : (name ?? '').replace('GMT', '').replace(':', '');
      };
      const [from, to] = YEAR.map((day) => day.getTime()) as [number, number];
      fc.assert(
        fc.property(fc.integer({ min: from, max: to - 1 }), (at) => {
          expect(known.findLast((each) => each.at <= at)?.to).toBe(said(at));
        }),
      );
      for (const { at } of known) {
        expect(said(at)).toBe(known.find((each) => each.at === at)?.to);
        expect(said(at - 1)).toBe(known.find((each) => each.at === at)?.from);
      }
    },
  );
});
