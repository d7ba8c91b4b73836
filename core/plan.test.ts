import { describe, expect, it } from 'vitest';
import type { PieceLength } from './lengths';
import { checkSource, cutSource, type CutSource } from './plan';
import { barePiece } from './testing/bare-piece';

const two = (mains: number, crosses: number) => [
  barePiece('mains', mains),
  barePiece('crosses', crosses),
];
const check = (
  kind: CutSource['kind'],
  pieces: readonly PieceLength[],
  remnantsMm: readonly number[] = [],
) => checkSource(cutSource(kind, { mainSetMm: 12_192, crossSetMm: 12_192, remnantsMm }), pieces);
const spares = (checked: ReturnType<typeof check>) => checked.pieces.map(({ spareMm }) => spareMm);

describe('where it is cut from', () => {
  it('one set serves two pieces, halved or cut where the longer one needs it', () => {
    expect(spares(check('one set', two(6000, 5600)))).toEqual([96, 496]);
    expect(spares(check('one set', two(6500, 5600)))).toEqual([0, 92]);
    expect(check('one set', two(6600, 5700))).toMatchObject({
      enough: false,
      shared: { spareMm: -108 },
    });
  });
  it('two halves stand each for themselves', () => {
    const halves = check('two half sets', two(6200, 5600));
    expect(halves.enough).toBe(false);
    expect(spares(halves)).toEqual([-104, 496]);
  });
  it('a whole set serves one piece', () => {
    const whole = check('one set', [barePiece('whole', 10_700)]);
    expect(spares(whole)).toEqual([1492]);
    expect(whole.shared).toBeUndefined();
  });
  it('a remnant serves all, or each piece its own', () => {
    expect(spares(check('remnant', two(6000, 5600), [11_700]))).toEqual([0, -0 + 100]);
    expect(spares(check('remnant', two(6000, 5600), [6100, 5500]))).toEqual([100, -100]);
    expect(check('remnant', [barePiece('whole', 10_700)], [10_000]).enough).toBe(false);
  });
  it('a reel is as long as it must be', () => {
    expect(check('reel', two(9000, 9000)).enough).toBe(true);
    expect(spares(check('reel', two(9000, 9000)))).toEqual([undefined, undefined]);
  });
});
