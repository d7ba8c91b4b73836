import { describe, expect, it } from 'vitest';
import { onePage, pageOf, span } from './a-page';

const rows = (count: number): readonly number[] => Array.from({ length: count }, (_, i) => i);

describe('one page', () => {
  it('asks for one row more than it shows, and so knows whether there are more', () => {
    const [limit, offset] = span(3);
    const all = rows(151);
    const shown = onePage(all.slice(offset, offset + limit));
    expect(shown.rows).toEqual(all.slice(100, 150));
    expect(shown.more).toBe(true);
    expect(onePage(rows(50))).toEqual({ rows: rows(50), more: false });
  });
});

describe('rows that are all there', () => {
  it('stand on one page each, whatever their count', () => {
    for (const count of [0, 1, 49, 50, 51, 99, 100, 101, 250]) {
      const all = rows(count);
      const pages = Math.max(1, Math.ceil(count / 50));
      const seen = Array.from({ length: pages }, (_, i) => pageOf(all, i + 1));
      expect(seen.flatMap(({ rows: shown }) => shown)).toEqual(all);
      expect(seen.map(({ more }) => more)).toEqual(seen.map((_, i) => i < pages - 1));
    }
  });

  it('show their last page to whoever asks for one beyond it', () => {
    expect(pageOf(rows(50), 2)).toEqual({ rows: rows(50), more: false, page: 1 });
    expect(pageOf(rows(51), 99)).toEqual({ rows: [50], more: false, page: 2 });
    expect(pageOf([], 7)).toEqual({ rows: [], more: false, page: 1 });
  });
});
