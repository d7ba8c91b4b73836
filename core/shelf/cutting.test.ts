import { describe, expect, it } from 'vitest';
import { chanceFrom, type Chance } from '../maths/chance';
import { cutFirstFit, cutFrom, STOCK_KINDS, type StockLength, type WantedPiece } from './cutting';

const USEFUL = 1500;

/** The best of all plans, as [unserved, price, scrap], by going through every way of cutting. */
function bruteForce(
  stock: readonly StockLength[],
  pieces: readonly WantedPiece[],
): readonly number[] {
  let best: readonly number[] | undefined;
  const go = (
    at: number,
    left: readonly number[],
    used: readonly number[],
    served: readonly string[],
  ) => {
    const piece = pieces[at];
    if (!piece) {
      const keyOf = ({ id, job }: WantedPiece) => job ?? id;
      // A job of which one piece is cut and another is not would be no plan.
      const broken = pieces.some(
        (one) =>
          served.includes(one.id) &&
          pieces.some((other) => keyOf(other) === keyOf(one) && !served.includes(other.id)),
      );
      if (broken) return;
      const unserved = new Set(pieces.filter(({ id }) => !served.includes(id)).map(keyOf)).size;
      const price = used.reduce((sum, i) => sum + (stock[i]?.price ?? 0), 0);
      const scrap = used.reduce(
        (sum, i) => sum + ((left[i] ?? 0) < USEFUL ? (left[i] ?? 0) : 0),
        0,
      );
      const cost = [unserved, price, scrap];
      const first = best
        ? cost.map((value, i) => value - (best?.[i] ?? 0)).find((each) => Math.abs(each) > 1e-6)
        : -1;
      if ((first ?? 0) < 0) best = cost;
      return;
    }
    stock.forEach(({ string }, i) => {
      if (string !== piece.string || (left[i] ?? 0) < piece.mm) return;
      go(
        at + 1,
        left.map((mm, k) => (k === i ? mm - piece.mm : mm)),
        used.includes(i) ? used : [...used, i],
        [...served, piece.id],
      );
    });
    go(at + 1, left, used, served);
  };
  go(
    0,
    stock.map(({ mm }) => mm),
    [],
    [],
  );
  return best ?? [];
}

function someDay(chance: Chance) {
  const stock = Array.from({ length: 2 + chance.below(3) }, (_, i): StockLength => {
    const kind = chance.one(STOCK_KINDS);
    const mm = {
      set: 12_200,
      'half set': 6100,
      reel: 15_000,
      remnant: 4000 + 100 * chance.below(40),
    }[kind];
    return {
      id: `s${i}`,
      kind,
      mm,
      price: kind === 'remnant' ? 0 : 100 * (5 + chance.below(10)),
      string: chance.one(['x', 'y']),
    };
  });
  const pieces = Array.from({ length: 1 + chance.below(5) }, (_, i): WantedPiece => ({
    id: `p${i}`,
    mm: 4800 + 100 * chance.below(16),
    string: chance.one(['x', 'y']),
    ...(chance.below(2) === 0 && { job: `j${chance.below(2)}` }),
  }));
  return { stock, pieces };
}

describe('from which length each piece is cut', () => {
  it('is the best of all ways of cutting', () => {
    const chance = chanceFrom(3);
    for (let i = 0; i < 150; i++) {
      const { stock, pieces } = someDay(chance);
      const plan = cutFrom(stock, pieces, USEFUL);
      const keyOf = (id: string) => pieces.find((piece) => piece.id === id)?.job ?? id;
      expect([i, new Set(plan.unserved.map(keyOf)).size, plan.openedPrice, plan.scrapMm]).toEqual([
        i,
        ...bruteForce(stock, pieces),
      ]);
      expect(plan.exact).toBe(true);
    }
  });

  it('takes what is opened before it opens, and leaves what is of use', () => {
    const stock: StockLength[] = [
      { id: 'a', kind: 'set', mm: 12_200, price: 1150 },
      { id: 'r', kind: 'remnant', mm: 6300, price: 0 },
    ];
    const pieces = [
      { id: '1m', mm: 6000 },
      { id: '1c', mm: 5400 },
    ];
    expect(cutFrom(stock, pieces, USEFUL)).toEqual({
      cuts: [
        { piece: '1m', from: 'r' },
        { piece: '1c', from: 'a' },
      ],
      unserved: [],
      openedPrice: 1150,
      scrapMm: 300,
      exact: true,
    });
    expect(cutFirstFit(stock, pieces, USEFUL)).toMatchObject({ openedPrice: 1150, scrapMm: 800 });
  });

  it('serves whole jobs, and of as many those that are promised first', () => {
    const stock: StockLength[] = [{ id: 'a', kind: 'set', mm: 12_000, price: 0 }];
    const job = (name: string, promised: string, mm: number) =>
      ['m', 'c'].map((part) => ({ id: name + part, mm, job: name, promised }));
    const plan = cutFrom(
      stock,
      [...job('late', '2026-01-07T10:00', 5900), ...job('soon', '2026-01-06T10:00', 5950)],
      USEFUL,
    );
    expect(plan.unserved).toEqual(['latem', 'latec']);
    // Half a job is of no use to anybody.
    expect(cutFrom(stock, job('one', '2026-01-06T10:00', 6100), USEFUL).cuts).toEqual([]);
  });

  it('never cuts another string', () => {
    const stock: StockLength[] = [
      { id: 'a', kind: 'reel', mm: 90_000, price: 0, string: 'Warp 1.25' },
    ];
    expect(cutFrom(stock, [{ id: 'p', mm: 5000, string: 'Warp 1.30' }], USEFUL).unserved).toEqual([
      'p',
    ]);
  });

  it('is never worse than taking the first that fits, and saves scrap over many days', () => {
    const chance = chanceFrom(5);
    let [planned, hurried] = [0, 0];
    for (let i = 0; i < 60; i++) {
      const stock = Array.from({ length: 12 }, (_, n): StockLength => ({
        id: `s${n}`,
        kind: n < 4 ? 'set' : 'remnant',
        mm: n < 4 ? 12_200 : 4800 + 100 * chance.below(30),
        price: n < 4 ? 1150 : 0,
      }));
      const pieces = Array.from({ length: 8 }, (_, n) => ({
        id: `p${n}`,
        mm: 4900 + 100 * chance.below(14),
      }));
      const [plan, first] = [cutFrom(stock, pieces, USEFUL), cutFirstFit(stock, pieces, USEFUL)];
      expect(plan.exact).toBe(true);
      expect(plan.unserved.length).toBeLessThanOrEqual(first.unserved.length);
      planned += plan.scrapMm + plan.openedPrice;
      hurried += first.scrapMm + first.openedPrice;
    }
    expect(planned).toBeLessThan(0.8 * hurried);
  });

  it('is nothing where nothing is asked or nothing is there', () => {
    expect(cutFrom([], [], USEFUL)).toMatchObject({
      cuts: [],
      unserved: [],
      openedPrice: 0,
      scrapMm: 0,
    });
    expect(cutFrom([], [{ id: 'p', mm: 5000 }], USEFUL).unserved).toEqual(['p']);
  });
});
