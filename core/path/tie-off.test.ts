import { mainName, type StringName } from '../terms/string-name';
import { describe, expect, it } from 'vitest';
import type { Bed } from '../frame/bed';
import type { Hole } from '../frame/holes';
import type { Side } from '../terms/ends';
import { bedOf, type SpecChanges } from '../testing/frame-spec';
import { chooseKnots, rankTieOffs, type KnotNeed } from './tie-off';

const bedWith = (changes: SpecChanges) => bedOf({ head: [7, 9], throat: [7, 9], ...changes });
const need = (bed: Bed, string: StringName, side: Side, from: string): KnotNeed => ({
  string,
  at: { hole: bed.holes.find(({ label }) => label === from) as Hole, side },
  late: string.startsWith('C'),
});
const rank = (bed: Bed, wanted: KnotNeed) =>
  rankTieOffs(bed, wanted, () => true, new Set(), []).map(({ hole }) => hole.label);
const ORDER = ['M7R', 'M7L', 'M8R', 'M8L', 'C1', 'C2', 'C3', 'C4', 'C19'] as const;

describe('where a tail is tied', () => {
  it('the same bored hole serves left and right, and no two tails of one side', () => {
    const bed = bedWith({ tieOff: ['8H', '6H'] });
    const knots = chooseKnots(
      bed,
      [
        need(bed, 'M8L', 'left', '10H'),
        need(bed, 'M8R', 'right', '10H'),
        need(bed, 'C1', 'left', '7H'),
      ],
      [
        ...[1, 2, 3, 4, 5, 6, 7, 8].flatMap((n) => [mainName(n, 'left'), mainName(n, 'right')]),
        'C1',
      ],
      [],
    );
    expect(knots.map(({ hole, side }) => `${hole.label} ${side}`)).toEqual([
      '8H left',
      '8H right',
      '6H left',
    ]);
  });

  // Source: practice (tie-off holes are bored larger; the maker's hole wins).
  it('a bored hole wins over nearer ones that are not', () => {
    const bed = bedWith({ tieOff: ['4H'] });
    expect(rank(bed, need(bed, 'M8L', 'left', '10H'))[0]).toBe('4H');
  });

  it('a hole that is bored on one side only serves that side', () => {
    const bed = bedWith({ tieOff: ['4HL'] });
    expect(rank(bed, need(bed, 'M8L', 'left', '10H'))[0]).toBe('4H');
    expect(rank(bed, need(bed, 'M8R', 'right', '10H'))[0]).not.toBe('4H');
  });

  it('never in the hole that it comes out of, in a shared one, or at the other end', () => {
    const bed = bedOf({ crosses: 20, head: [7], throat: [7, 9], shared: ['9H'] });
    const holes = rank(bed, need(bed, 'M8L', 'left', '9H'));
    expect(holes).not.toContain('9H');
    expect(holes.every((label) => label.endsWith('H'))).toBe(true);
    expect(rank(bed, need(bed, 'M7L', 'left', '8H'))).not.toContain('9H');
  });

  it('onto a string that is there already', () => {
    const bed = bedWith({});
    const there = rankTieOffs(
      bed,
      need(bed, 'M8L', 'left', '10H'),
      (string) => string.startsWith('M'),
      new Set(),
      [],
    );
    expect(there.every(({ hole }) => hole.main !== undefined)).toBe(true);
  });

  // Source: practice (the shorter the distance from clamp to tie-off hole, the better).
  it('of two that are alike in all else the shorter run wins', () => {
    const bed = bedWith({ tieOff: ['2H', '8H'] });
    const [first, second] = rankTieOffs(
      bed,
      need(bed, 'M8L', 'left', '10H'),
      () => true,
      new Set(),
      [],
    );
    expect([first?.hole.label, second?.hole.label]).toEqual(['8H', '2H']);
    expect(first?.runMm).toBeLessThan(second?.runMm ?? 0);
  });

  // Source: practice (tie like to like: cross on cross).
  it('a cross on a cross is like to like, and a main on a cross is worth five millimetres less', () => {
    const bed = bedWith({});
    const at = (wanted: KnotNeed, label: string) =>
      rankTieOffs(bed, wanted, () => true, new Set(), []).find(({ hole }) => hole.label === label);
    const cross = at(need(bed, 'C3', 'left', '11H'), '9H');
    const main = at(need(bed, 'M8L', 'left', '11H'), '9H');
    expect([cross?.likeToLike, main?.likeToLike]).toEqual([true, false]);
    expect((main?.cost ?? 0) - (cross?.cost ?? 0)).toBeCloseTo(5, 9);
  });

  it('a first cross is tied when three more are in', () => {
    const bed = bedWith({ tieOff: ['6H'] });
    const [knot] = chooseKnots(bed, [need(bed, 'C1', 'left', '7H')], ORDER, []);
    expect(knot?.tiedAfter).toBe(ORDER.indexOf('C1') + 3);
  });
});
