/** From which length each piece is cut, for all open jobs together. */
import type { Mm } from '../measure/quantities';

export const STOCK_KINDS = ['set', 'half set', 'reel', 'remnant'] as const;
export type StockKind = (typeof STOCK_KINDS)[number];

export interface StockLength {
  readonly id: string;
  readonly kind: StockKind;
  /** What is left of it. */
  readonly mm: Mm;
  /** What opening it costs, minor units; 0 for what is opened already. */
  readonly price: number;
  /** Which string and gauge it is, in whatever words; pieces of another are not cut from it. */
  readonly string?: string | undefined;
}

export interface WantedPiece {
  readonly id: string;
  readonly mm: Mm;
  readonly string?: string | undefined;
  /** All pieces of a job are cut, or none is; a piece without one is a job of its own. */
  readonly job?: string | undefined;
  /** Of as many jobs, those that are promised first are served; anything that sorts by time. */
  readonly promised?: string | undefined;
}

export interface CuttingPlan {
  /** In the order of the pieces as they were asked for. */
  readonly cuts: readonly { readonly piece: string; readonly from: string }[];
  readonly unserved: readonly string[];
  readonly openedPrice: number;
  /** What is left of lengths that were cut from and is too short to be of use. */
  readonly scrapMm: Mm;
  /** No plan is better; otherwise it is the best that was found. */
  readonly exact: boolean;
}

interface Cost {
  readonly unserved: number;
  /** Heavier, the earlier those are promised that are not served. */
  readonly weight: number;
  readonly price: number;
  readonly scrap: number;
}

const SAME = 1e-6;

function compare(a: Cost, b: Cost): number {
  const first = [
    a.unserved - b.unserved,
    a.weight - b.weight,
    a.price - b.price,
    a.scrap - b.scrap,
  ].find((difference) => Math.abs(difference) > SAME);
  return Math.sign(first ?? 0);
}

/** How many begun plans are looked at; one day of a workshop needs a small part of it. */
const PATIENCE = 2_000_000;

interface Job {
  readonly key: string;
  readonly rank: number;
}

/**
 * The plan that serves the most jobs, of those the one that opens the least price, of those the one with the least
 * scrap. A length that is left and shorter than `usefulMm` is scrap.
 *
 * Source: the cutting-stock problem with stock of several lengths (a textbook problem), by branch and bound over the
 * pieces from the longest; checked against going through all plans.
 * Limits: it knows of no tails beyond what the pieces ask for.
 *
 * @example
 * cutFrom([{ id: 'r', kind: 'remnant', mm: 6300, price: 0 }], [{ id: '1m', mm: 6000 }], 1500).cuts // [{ piece: '1m', from: 'r' }]
 */
export function cutFrom(
  stock: readonly StockLength[],
  pieces: readonly WantedPiece[],
  usefulMm: Mm,
): CuttingPlan {
  const jobs = jobsOf(pieces);
  const parts = apart(pieces, jobs).map((part) => {
    const strings = new Set(part.map(({ string }) => string));
    const lengths = stock.filter(({ string }) => strings.has(string));
    return bestCuts(lengths, part, jobs, usefulMm);
  });
  const from = new Map(parts.flatMap(({ chosen }) => [...chosen]));
  return {
    cuts: pieces.flatMap(({ id }) => {
      const length = from.get(id);
      return length === undefined ? [] : [{ piece: id, from: length }];
    }),
    unserved: pieces.flatMap(({ id }) => (from.has(id) ? [] : [id])),
    openedPrice: parts.reduce((sum, { cost }) => sum + cost.price, 0),
    scrapMm: Math.round(parts.reduce((sum, { cost }) => sum + cost.scrap, 0) * 1000) / 1000,
    exact: parts.every(({ exact }) => exact),
  };
}

/** The pieces in groups that share neither a string nor a job: each is a plan of its own, and their costs add up. */
function apart(
  pieces: readonly WantedPiece[],
  jobs: ReadonlyMap<string, Job>,
): readonly (readonly WantedPiece[])[] {
  let groups: readonly (readonly WantedPiece[])[] = [];
  for (const piece of pieces) {
    const touches = (group: readonly WantedPiece[]) =>
      group.some(
        ({ id, string }) =>
          string === piece.string || jobs.get(id)?.key === jobs.get(piece.id)?.key,
      );
    groups = [
      ...groups.filter((group) => !touches(group)),
      [...groups.filter(touches).flat(), piece],
    ];
  }
  return groups;
}

interface Found {
  readonly cost: Cost;
  /** By piece, the length that it is cut from. */
  readonly chosen: ReadonlyMap<string, string>;
  readonly exact: boolean;
}

function bestCuts(
  stock: readonly StockLength[],
  pieces: readonly WantedPiece[],
  jobs: ReadonlyMap<string, Job>,
  usefulMm: Mm,
): Found {
  const order = pieces.toSorted((a, b) => b.mm - a.mm || a.id.localeCompare(b.id));
  /** Of this piece and all after it. */
  const stillMm = order.map((_, at) => order.slice(at).reduce((sum, { mm }) => sum + mm, 0));
  const shortest = Math.min(...pieces.map(({ mm }) => mm));
  const left = stock.map(({ mm }) => mm);
  const opened = stock.map(() => false);
  const chosen = new Map<string, number>();
  const refused = new Set<string>();
  let best: { readonly cost: Cost; readonly chosen: ReadonlyMap<string, string> } | undefined;
  let looked = 0;

  const scrapSoFar = (isFinal: boolean): number =>
    stock.reduce((sum, _, i) => {
      const rest = left[i] ?? 0;
      // What is too short for any piece stays what it is.
      return opened[i] && rest < usefulMm && (isFinal || rest < shortest) ? sum + rest : sum;
    }, 0);

  /** What has to be opened at least for what is still to be cut, if lengths could be joined. */
  const priceAtLeast = (at: number): number => {
    let missing = stillMm[at] ?? 0;
    for (const [i, { price }] of stock.entries())
      if (opened[i] || price === 0) missing -= left[i] ?? 0;
    if (missing <= SAME) return 0;
    const dearness = stock
      .filter(({ price }, i) => !opened[i] && price > 0)
      .map(({ mm, price }) => ({ mm, each: price / mm }))
      .toSorted((a, b) => a.each - b.each);
    let price = 0;
    for (const { mm, each } of dearness) {
      const part = Math.min(mm, missing);
      price += part * each;
      missing -= part;
      if (missing <= SAME) break;
    }
    return price;
  };

  const go = (at: number, unserved: number, weight: number, price: number): void => {
    if (++looked > PATIENCE) return;
    const piece = order[at];
    if (!piece) {
      const cost = { unserved, weight, price, scrap: scrapSoFar(true) };
      if (!best || compare(cost, best.cost) < 0)
        best = {
          cost,
          chosen: new Map([...chosen].map(([id, i]) => [id, stock[i]?.id ?? ''])),
        };
      return;
    }
    // Whoever is refused later only costs more in what counts first.
    if (best && refused.size === 0) {
      const least = { unserved, weight, price: price + priceAtLeast(at), scrap: scrapSoFar(false) };
      if (compare(least, best.cost) >= 0) return;
    } else if (
      best &&
      compare({ unserved, weight, price, scrap: scrapSoFar(false) }, best.cost) >= 0
    )
      return;
    const { key, rank } = jobs.get(piece.id) as Job;
    if (!refused.has(key)) {
      const tried = new Set<string>();
      const fitting = stock
        .map((length, i) => ({ length, i }))
        .filter(
          ({ length, i }) => length.string === piece.string && (left[i] ?? 0) >= piece.mm - SAME,
        )
        // What is opened or free first, and of those the one that leaves least.
        .toSorted(
          (a, b) =>
            (opened[a.i] ? 0 : a.length.price) - (opened[b.i] ? 0 : b.length.price) ||
            (left[a.i] ?? 0) - (left[b.i] ?? 0),
        );
      for (const { length, i } of fitting) {
        // Lengths that are alike and alike far gone are one choice.
        const like = [left[i], opened[i], length.price].join();
        if (tried.has(like)) continue;
        tried.add(like);
        const [before, was] = [left[i] ?? 0, opened[i] ?? false];
        left[i] = before - piece.mm;
        opened[i] = true;
        chosen.set(piece.id, i);
        go(at + 1, unserved, weight, price + (was ? 0 : length.price));
        chosen.delete(piece.id);
        left[i] = before;
        opened[i] = was;
      }
    }
    // Not served, with all of its job; one of whose pieces is cut already is served or nothing.
    if (order.slice(0, at).some(({ id }) => jobs.get(id)?.key === key && chosen.has(id))) return;
    const isFirst = !refused.has(key);
    if (isFirst) refused.add(key);
    go(at + 1, unserved + (isFirst ? 1 : 0), weight + (isFirst ? jobs.size - rank : 0), price);
    if (isFirst) refused.delete(key);
  };
  go(0, 0, 0, 0);
  const nothing = { unserved: 0, weight: 0, price: 0, scrap: 0 };
  return {
    cost: best?.cost ?? nothing,
    chosen: best?.chosen ?? new Map<string, string>(),
    exact: looked <= PATIENCE,
  };
}

/** Whose piece each is, and the place of its promise among all. */
function jobsOf(pieces: readonly WantedPiece[]): ReadonlyMap<string, Job> {
  const keyOf = ({ id, job }: WantedPiece) => job ?? `piece ${id}`;
  const promised = new Map<string, string>();
  for (const piece of pieces) {
    const before = promised.get(keyOf(piece));
    const mine = piece.promised ?? '\uffff';
    promised.set(keyOf(piece), before !== undefined && before < mine ? before : mine);
  }
  // Those that are promised alike weigh alike.
  const times = [...promised.values()].toSorted();
  return new Map(
    pieces.map((piece) => {
      const key = keyOf(piece);
      return [piece.id, { key, rank: times.indexOf(promised.get(key) ?? '') }];
    }),
  );
}

/**
 * The same by taking the first length that fits, as hurried hands do; for comparing.
 *
 * @example
 * cutFirstFit([{ id: 'a', kind: 'set', mm: 9000, price: 5 }], [{ id: 'p', mm: 8000 }], 1500).scrapMm // 1000
 */
export function cutFirstFit(
  stock: readonly StockLength[],
  pieces: readonly WantedPiece[],
  usefulMm: Mm,
): CuttingPlan {
  const left = stock.map(({ mm }) => mm);
  const used = new Set<number>();
  const cuts: { piece: string; from: string }[] = [];
  const unserved: string[] = [];
  for (const piece of pieces) {
    const i = stock.findIndex(
      ({ string }, at) => string === piece.string && (left[at] ?? 0) >= piece.mm,
    );
    if (i < 0) unserved.push(piece.id);
    else {
      left[i] = (left[i] ?? 0) - piece.mm;
      used.add(i);
      cuts.push({ piece: piece.id, from: stock[i]?.id ?? '' });
    }
  }
  const rests = [...used].map((i) => left[i] ?? 0);
  return {
    cuts,
    unserved,
    openedPrice: [...used].reduce((sum, i) => sum + (stock[i]?.price ?? 0), 0),
    scrapMm: rests.reduce((sum, rest) => sum + (rest < usefulMm ? rest : 0), 0),
    exact: false,
  };
}
