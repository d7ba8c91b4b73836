import { describe, expect, it } from 'vitest';
import { newtons } from '../measure/units';
import { accountOf, eventLabour } from './account';
import { boardName, racketState } from './board';
import { benchForBag, nextTags, promiseBefore } from './court';
import { formatOrders, parseOrders, racketCount, tensionsOf } from './orders';

// Source: how standing orders are said at events, “two at 24/23, two at 25/24, every morning”; common practice.
const ORDERS = 'two at 24/23, every morning\n2 x 25/24 kg each match\n1 at 52 lb';

describe('standing orders', () => {
  it('are read from a line each', () => {
    const read = parseOrders(ORDERS, 'tennis', 'kg');
    expect(read).toMatchObject({
      ok: true,
      value: [
        { count: 2, when: 'every morning', tension: { unit: 'kg' } },
        { count: 2, when: 'every match' },
        { count: 1, when: 'once', tension: { unit: 'lb' } },
      ],
    });
    const orders = read.ok ? read.value : [];
    expect(racketCount(orders)).toBe(5);
    expect(racketCount(orders, 'every morning')).toBe(2);
    // Source: 1 kgf is 9.80665 N, 1 lbf 4.4482216 N by definition.
    expect(tensionsOf(orders).map(({ mainN }) => mainN.toFixed(2))).toEqual(
      [24 * 9.80665, 24 * 9.80665, 25 * 9.80665, 25 * 9.80665, 52 * 4.4482216].map((n) =>
        n.toFixed(2),
      ),
    );
    expect(tensionsOf(orders)[2]?.crossN).toBeCloseTo(newtons(24, 'kg'), 6);
  });

  it('come back as they are typed', () => {
    const read = parseOrders(ORDERS, 'tennis', 'kg');
    const text = formatOrders(read.ok ? read.value : []);
    expect(parseOrders(text, 'tennis', 'kg')).toEqual(read);
  });

  it.each([
    ['rackets please', /is no order/],
    ['2 at 240', /./],
    ['0 at 24', /at most 12/],
    ['40 at 24', /at most 12/],
    ['dozen at 24/23', /is no order/],
  ])('say what is wrong with “%s”', (text, problem) => {
    const read = parseOrders(text, 'tennis', 'kg');
    expect(!read.ok && read.problem).toMatch(problem);
  });

  it('are none where nothing is written', () => {
    expect(parseOrders('\n \n', 'badminton', 'kg')).toEqual({ ok: true, value: [] });
  });
});

describe('the court', () => {
  it('says by when, also over midnight', () => {
    expect(promiseBefore('2026-06-03T00:20', 45)).toBe('2026-06-02T23:35');
  });

  describe('gives a bag that wants no bench by name', () => {
    const open = [[0, 600]] as const;
    const benches = ['A', 'B'].map((name) => ({ name, open }));
    const job = (number: number, promised: number, at?: string) => ({
      number,
      minutes: 30,
      promised,
      ready: 0,
      ...(at !== undefined && { benches: [at] }),
    });
    const given = (...jobs: ReturnType<typeof job>[]) =>
      benchForBag({ now: 0, benches, jobs, bag: [1, 2], at: ['A', 'B'] });

    it('to who keeps its promise, though more minutes stand there', () => {
      // At A two short promises come first, at B three that have all day.
      const before = [job(3, 30, 'A'), job(4, 60, 'A'), job(5, 600, 'B'), job(6, 600, 'B')];
      expect(given(job(1, 60), job(2, 60), ...before, job(7, 600, 'B'))).toBe('B');
    });

    it('and anew when its match moves', () => {
      const before = [job(3, 30, 'A'), job(4, 60, 'A'), ...[5, 6, 7].map((n) => job(n, 100, 'B'))];
      expect(given(job(1, 60), job(2, 60), ...before)).toBe('B');
      // Late enough, it makes nobody late at A, which has it ready sooner.
      expect(given(job(1, 200), job(2, 200), ...before)).toBe('A');
    });

    it('not where there is nothing of it, or no bench that could', () => {
      expect(given(job(3, 60))).toBeUndefined();
      expect(
        benchForBag({ now: 0, benches, jobs: [job(1, 60)], bag: [1], at: [] }),
      ).toBeUndefined();
    });
  });

  it('never gives a tag out twice', () => {
    expect(nextTags([], 3)).toEqual([1, 2, 3]);
    expect(nextTags([4, 9, 2], 1)).toEqual([10]);
  });
});

describe('the board', () => {
  it.each([
    [{ closed: false, collected: false, stepsDone: 0 }, 'waiting'],
    [{ closed: false, collected: false, stepsDone: 3 }, 'on the machine'],
    [{ closed: true, collected: false, stepsDone: 3 }, 'ready'],
    [{ closed: true, collected: true, stepsDone: 3 }, 'taken'],
  ] as const)('%j is shown as %s', (racket, state) => {
    expect(racketState(racket)).toBe(state);
  });

  it('gives no name away where none is to be shown', () => {
    expect(boardName('Ödön van der Mar', false)).toBe('Ö. V. D. M.');
    expect(boardName('  ', false)).toBe('·');
  });
});

describe('the account of a day', () => {
  it.each([
    [false, '11:31', 2200],
    [false, '11:30', 3200],
    [true, '14:00', 1800],
    [true, '10:05', 2800],
  ])(
    'asks for labour where the string is the player’s: %s, and it is wanted at %s',
    (own, at, minor) => {
      const prices = { labourMinor: 2200, ownStringMinor: 1800, rushMinor: 1000, rushMin: 90 };
      expect(eventLabour(prices, own, '2026-06-03T10:00', `2026-06-03T${at}`)).toBe(minor);
    },
  );

  it('adds up by player and never sets one racket off against another', () => {
    const racket = { playerId: 'm', player: 'Mara', toPayMinor: 2500, paidMinor: 2500, kept: true };
    expect(
      accountOf([
        racket,
        { ...racket, paidMinor: 3000 },
        { ...racket, paidMinor: 0, kept: false },
        { ...racket, playerId: 'a', player: 'Abel', paidMinor: 1000 },
        { ...racket, playerId: 'n' },
      ]),
    ).toEqual([
      {
        playerId: 'a',
        player: 'Abel',
        rackets: 1,
        kept: 1,
        toPayMinor: 2500,
        paidMinor: 1000,
        owedMinor: 1500,
      },
      {
        playerId: 'm',
        player: 'Mara',
        rackets: 3,
        kept: 2,
        toPayMinor: 7500,
        paidMinor: 5500,
        owedMinor: 2500,
      },
      {
        playerId: 'n',
        player: 'Mara',
        rackets: 1,
        kept: 1,
        toPayMinor: 2500,
        paidMinor: 2500,
        owedMinor: 0,
      },
    ]);
  });
});
