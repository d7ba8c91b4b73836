import { describe, expect, it } from 'vitest';
import { dailyName, madeAt, mayGo } from './kept';

const DAY = 24 * 60 * 60_000;
const START = Date.parse('2025-01-01T03:00:00Z');

describe('which daily backups stay', () => {
  it('a name says when it was made, and no other file is taken for one', () => {
    const made = new Date('2026-11-25T23:38:17Z');
    expect(dailyName(made)).toBe('orthotens-2026-11-25T23-38-17.backup');
    expect(madeAt(dailyName(made))).toEqual(made);
    for (const name of ['before-migration-2026-11-25T23-38-17.backup', 'state.json', 'x.backup'])
      expect(madeAt(name)).toBeUndefined();
    expect(mayGo(['mine.backup', 'before-migration-2020-01-01T00-00-00.backup'])).toEqual([]);
  });

  it('7 days, 4 weeks and 12 months after two years of one a day, thinned out each day', () => {
    let there: string[] = [];
    for (let day = 0; day < 730; day++) {
      there.push(dailyName(new Date(START + day * DAY)));
      const go = new Set(mayGo(there));
      there = there.filter((name) => !go.has(name));
    }
    const last = START + 729 * DAY;
    const ages = there.map((name) => Math.round((last - (madeAt(name)?.getTime() ?? 0)) / DAY));
    // Every one of the last seven days.
    for (let age = 0; age < 7; age++) expect(ages).toContain(age);
    // The last day of each of the last months is there: the longest gap is a month.
    const months = new Set(there.map((name) => madeAt(name)?.toISOString().slice(0, 7)));
    expect(months.size).toBe(12);
    expect(there.length).toBeGreaterThanOrEqual(7 + 2 + 10);
    expect(there.length).toBeLessThanOrEqual(7 + 4 + 12);
  });

  it('a clock of a wrong year, before or after, takes the place of none that is good', () => {
    const good = Array.from({ length: 400 }, (_, day) => dailyName(new Date(START + day * DAY)));
    const settled = good.filter((name) => !mayGo(good).includes(name));
    for (const year of ['2001', '2099']) {
      let there: readonly string[] = settled;
      for (let day = 0; day < 30; day++) {
        there = [...there, dailyName(new Date(Date.parse(`${year}-03-01T03:00:00Z`) + day * DAY))];
        const go = new Set(mayGo(there));
        there = there.filter((name) => !go.has(name));
      }
      expect(settled.filter((name) => !there.includes(name))).toEqual([]);
    }
  });

  it('the proven one stays, however old it is', () => {
    const [first = '', ...later] = Array.from({ length: 40 }, (_, day) =>
      dailyName(new Date(START + day * DAY)),
    );
    expect(mayGo([first, ...later])).toContain(first);
    expect(mayGo([first, ...later], first)).not.toContain(first);
  });

  it('several in a day leave the last of it', () => {
    const names = [1, 5, 9].map((hour) => dailyName(new Date(START + hour * 3_600_000)));
    expect(mayGo(names)).toEqual([names[1], names[0]]);
  });
});
