import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from './bed';
import type { Hole } from './holes';
import { crossFinish, knotsAt, mainsFinish, mainsStart, opposite, otherSide } from './pattern';
import { frameSpec, type SpecChanges } from './testing/frame-spec';

const bedOf = (changes: SpecChanges = {}): Bed => {
  const { bed } = studyFrame(frameSpec({ head: [7, 9], throat: [7, 9], ...changes }));
  if (!bed) throw new Error('no bed');
  return bed;
};

describe('parity', () => {
  // Source: practice. Each main takes the string across; an even number brings it back.
  it('brings the mains back to where they started after an even number a side', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 13 }),
        fc.constantFrom(4, 6, 8, 10),
        (perSide, bridge) => {
          let end = mainsStart(bridge);
          for (let main = 0; main < perSide; main++) end = opposite(end);
          expect(mainsFinish(mainsStart(bridge), perSide)).toBe(end);
        },
      ),
    );
  });
  it('brings the crosses back after an even number', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.constantFrom('left', 'right'),
        (crosses, start) => {
          let side = start;
          for (let cross = 0; cross < crosses; cross++) side = otherSide(side);
          expect(crossFinish(start, crosses)).toBe(side);
        },
      ),
    );
  });
  // Source: practice (eight holes in all: head; six: throat).
  it('starts the mains by the bridge', () => {
    expect([mainsStart(8), mainsStart(6), mainsStart(4), mainsStart(10)]).toEqual([
      'head',
      'throat',
      'head',
      'throat',
    ]);
  });
});

describe('tie-off holes', () => {
  const need = (bed: Bed, piece: 'mains' | 'crosses', side: 'left' | 'right', from: string) => ({
    piece,
    side,
    end: 'head' as const,
    from: bed.holes.find(({ label }) => label === from) as Hole,
  });

  it('no two tails of one side share one, and the same hole serves left and right', () => {
    const bed = bedOf({ tieOff: ['8H', '6H'] });
    const knots = knotsAt(bed.holes, [
      need(bed, 'mains', 'left', '10H'),
      need(bed, 'mains', 'right', '10H'),
      need(bed, 'crosses', 'left', '7H'),
    ]);
    expect(knots.map(({ hole, side }) => `${hole.label} ${side}`)).toEqual([
      '8H left',
      '8H right',
      '6H left',
    ]);
  });

  it('the named holes win over nearer ones that are not bored for it', () => {
    const bed = bedOf({ tieOff: ['4H'] });
    expect(knotsAt(bed.holes, [need(bed, 'mains', 'left', '10H')])[0]?.hole.label).toBe('4H');
  });

  it('a tail never ties into the hole that it comes out of', () => {
    const bed = bedOf({ tieOff: ['10H'] });
    expect(knotsAt(bed.holes, [need(bed, 'mains', 'left', '10H')])[0]?.hole.label).toBe('8H');
  });

  it('the mirrored need has the mirrored answer', () => {
    const bed = bedOf({ tieOff: ['8H', '6H', '5H'] });
    const labels = (side: 'left' | 'right') =>
      knotsAt(bed.holes, [need(bed, 'mains', side, '10H'), need(bed, 'crosses', side, '7H')]).map(
        ({ hole }) => hole.label,
      );
    expect(labels('left')).toEqual(labels('right'));
  });
});
