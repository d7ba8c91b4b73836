import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossFinish, mainsFinish, mainsStart } from './pattern';
import { opposite, otherSide } from '../terms/ends';

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
