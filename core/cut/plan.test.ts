import { describe, expect, it } from 'vitest';
import { USUAL_HOUSE } from '../house/house-rules';
import { USUAL_ASSUMPTIONS, type PieceLength } from './lengths';
import { checkSource, cutSource, planCut, type CutSource } from './plan';
import { benchSequence, strungAfter } from '../bench/sequence';
import { isMain } from '../terms/string-name';
import { barePiece } from '../testing/bare-piece';
import { everyJob } from '../testing/bench-job';

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

it('the sheet, the cut and the bench pull in one order, on every frame by every method and custom', () => {
  for (const { name, method, bed, plan } of everyJob())
    for (const custom of [
      USUAL_HOUSE,
      { ...USUAL_HOUSE, ahead: 'three then six', firstCrosses: 'second first' } as const,
      { ...USUAL_HOUSE, ahead: 'two' } as const,
    ]) {
      const sequence = benchSequence({ ...plan, custom });
      if (!sequence.ok) continue;
      const string = { family: 'multifilament', gaugeMm: 1.3, stretch: null } as const;
      const { path } = planCut(
        bed,
        { mains: string, crosses: string },
        plan.path,
        USUAL_ASSUMPTIONS,
        {},
        custom,
      );
      const inOrder = (order: readonly string[]) =>
        // What hangs on a starting clamp at first is pulled by itself when its neighbour is in.
        order.filter(
          (each) =>
            !['M1L', 'M1R', 'C1', 'C2', path.order.find((one) => !isMain(one))].includes(each),
        );
      expect(
        inOrder(strungAfter(sequence.value, sequence.value.steps.length)),
        `${name}, ${method}`,
      ).toEqual(inOrder(path.order));
      expect(path.order).toEqual(sequence.value.path.order);
    }
});
