import { describe, expect, it } from 'vitest';
import { usual } from '@/core/testing/usual';
import { placeWords, READING_MODES, readingPlaces } from './reading-places';

const { bed } = usual;
const keys = (mode: (typeof READING_MODES)[number]) =>
  readingPlaces(bed, mode).places.map(({ key }) => key);

describe('where a finished bed can be marked', () => {
  it('is each place once, in every mode', () => {
    for (const mode of READING_MODES) expect(new Set(keys(mode)).size).toBe(keys(mode).length);
  });

  it('is each hole on both sides, each main, and each gap at both ends', () => {
    expect(keys('knots')).toHaveLength(2 * bed.holes.length);
    expect(keys('mains')).toHaveLength(16);
    // 16 mains have 15 gaps.
    expect(keys('gaps')).toHaveLength(30);
    expect(readingPlaces(bed, 'gaps').across).toBe(15);
    expect(keys('gaps').filter((key) => key.includes('M1'))).toEqual(['head M1R', 'throat M1R']);
  });

  it('is each crossing where main and cross meet, row by row', () => {
    const { places } = readingPlaces(bed, 'weave');
    expect(places.length).toBeLessThanOrEqual(16 * 19);
    expect(places.length).toBeGreaterThan(16 * 15);
    const middle = places.find(({ key }) => key === 'C10 M1R');
    expect(middle?.at.x).toBeGreaterThan(0);
    expect(Math.abs(middle?.at.y ?? 99)).toBeLessThan(20);
  });

  it('lies left where its name says left, and gaps between their mains', () => {
    for (const { key, at } of readingPlaces(bed, 'mains').places)
      expect(Math.sign(at.x)).toBe(key.endsWith('L') ? -1 : 1);
    const gap = readingPlaces(bed, 'gaps').places.find(({ key }) => key === 'head M4R');
    const mainX = (name: string) =>
      readingPlaces(bed, 'mains').places.find(({ key }) => key === name)?.at.x ?? 0;
    expect(gap?.at.x).toBeGreaterThan(mainX('M3R'));
    expect(gap?.at.x).toBeLessThan(mainX('M4R'));
    expect(gap?.at.y).toBeGreaterThan(0);
  });

  it('has words', () => {
    expect(placeWords('7HL')).toBe('hole 7H left');
    expect(placeWords('10TR')).toBe('hole 10T right');
    expect(placeWords('C5 M3L')).toBe('C5 M3L');
  });
});
