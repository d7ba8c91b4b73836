import { describe, expect, it } from 'vitest';
import { SILENT } from './talk';
import { shelfString } from '../testing/advice-case';
import { liesThere, offersFor, type ShelfString } from './shelf';

describe('what lies on the shelf', () => {
  const offered = (
    changes: Partial<ShelfString>,
    wantedMm = 1.25,
    others: readonly ShelfString[] = [],
  ) =>
    offersFor(
      { family: 'multifilament', gaugeMm: wantedMm, shape: 'round' },
      [shelfString({ name: 'Soft', gaugesMm: [1.2, 1.25, 1.3, 1.35], ...changes }), ...others],
      'tennis',
      SILENT,
    );
  const gauge = (thereMm: ShelfString['thereMm'], wantedMm?: number) =>
    offered({ thereMm }, wantedMm)[0]?.gaugeMm;

  it('is not asked after where no shelf is kept', () => {
    expect(gauge(undefined)).toBe(1.25);
    expect(offered({})[0]?.isThere).toBeUndefined();
    expect(liesThere({}, 1.25)).toBeUndefined();
  });

  // Common practice, no source: a neighbouring thickness that is in the drawer is strung before one that has to be bought.
  it('goes before what has to be bought, by a step of thickness at most', () => {
    expect(gauge({ '1.25': 12_200, '1.30': 12_200 })).toBe(1.25);
    expect(gauge({ '1.25': 0, '1.30': 12_200 })).toBe(1.3);
    expect(gauge({ '1.35': 12_200 })).toBe(1.25);
    expect(gauge({})).toBe(1.25);
    expect(gauge({ '1.35': 12_200 }, 1.3)).toBe(1.35);
  });

  it('says of each whether it is there', () => {
    expect(offered({ thereMm: { '1.30': 6000 } })[0]).toMatchObject({
      gaugeMm: 1.3,
      isThere: true,
    });
    expect(offered({ thereMm: {} })[0]).toMatchObject({ gaugeMm: 1.25, isThere: false });
    expect(liesThere({ thereMm: { '1.25': 0 } }, 1.25)).toBe(false);
  });

  it('is offered before its like that is out', () => {
    const out = shelfString({ name: 'Out', gaugesMm: [1.25], thereMm: {} });
    const there = { name: 'There', gaugesMm: [1.25], thereMm: { '1.25': 12_200 } };
    expect(offered(there, 1.25, [out]).map(({ string }) => string.name)).toEqual(['There', 'Out']);
    const first = offersFor(
      { family: 'multifilament', gaugeMm: 1.25, shape: 'round' },
      [out, shelfString(there)],
      'tennis',
      SILENT,
    );
    expect(first[0]?.string.name).toBe('There');
  });
});
