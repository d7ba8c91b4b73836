/** What the open tickets are cut from, and what has to be ordered. */
import { jobAt } from '@/app/(house)/tickets/[number]/ticket';
import { dayCuts, pieceId, type JobToCut, type ShelfLength } from '@/core/shelf/day-cuts';
import type { CuttingPlan } from '@/core/shelf/cutting';
import type { PieceRecord } from '@/core/record/record';
import { orderLevel, toOrder, weeklyUse } from '@/core/shelf/reorder';
import { stockKey, type LengthThere } from '@/db/shelf';
import type { ListedTicket } from '@/db/tickets';

/** The string and the thickness of a length, as one key. */
export const stockOfLength = ({ stringId, gaugeMm }: LengthThere): string =>
  stockKey(stringId, gaugeMm);

export const shelfLength = (length: LengthThere): ShelfLength => ({
  ...length,
  key: stockOfLength(length),
});

/** Of the open tickets those for which nothing was cut yet. */
export const notCut = (
  open: readonly ListedTicket[],
  cut: ReadonlySet<string>,
): readonly ListedTicket[] => open.filter(({ id }) => !cut.has(id));

/** What is left of some lengths together, mm, by what tells them apart. */
export function leftBy(
  lengths: readonly LengthThere[],
  keyOf: (length: LengthThere) => string,
): ReadonlyMap<string, number> {
  const left = new Map<string, number>();
  for (const length of lengths) {
    const key = keyOf(length);
    left.set(key, (left.get(key) ?? 0) + length.leftMm);
  }
  return left;
}

/** What of a planned job comes from the shop's shelf. */
export function piecesOf(
  ticket: Pick<
    ListedTicket,
    | 'mainStringId'
    | 'mainGaugeMm'
    | 'crossStringId'
    | 'crossGaugeMm'
    | 'mainSupplied'
    | 'crossSupplied'
  >,
  { plan }: { readonly plan: { readonly pieces: readonly Pick<PieceRecord, 'name' | 'cutMm'>[] } },
): JobToCut['pieces'] {
  return plan.pieces.flatMap(({ name, cutMm }) => {
    const [stringId, gaugeMm, supplied] =
      name === 'crosses'
        ? [ticket.crossStringId, ticket.crossGaugeMm, ticket.crossSupplied]
        : [ticket.mainStringId, ticket.mainGaugeMm, ticket.mainSupplied];
    return supplied || stringId === null || gaugeMm === null
      ? []
      : [{ name, mm: cutMm, key: stockKey(stringId, gaugeMm) }];
  });
}

export interface CutsOfDay {
  readonly jobs: readonly (JobToCut & { readonly client: string })[];
  readonly plan: CuttingPlan;
  /** What is left of each length that is cut from, mm. */
  readonly leaves: ReadonlyMap<string, number>;
}

/**
 * Of all open tickets whose cut is planned, those that are promised first are served first.
 *
 * @param thought what a ticket would need whose cut is being planned
 */
export async function cutsOfDay(
  open: readonly ListedTicket[],
  lengths: readonly LengthThere[],
  thought?: { readonly number: number; readonly plan: Parameters<typeof piecesOf>[1]['plan'] },
): Promise<CutsOfDay> {
  const jobs = [];
  for (const ticket of open) {
    const { number, promised, clientName: client } = ticket;
    const planned = ticket.crossStart ? await jobAt(number) : undefined;
    const job = thought?.number === number ? thought : planned;
    if (job) jobs.push({ number, promised, client, pieces: piecesOf(ticket, job) });
  }
  const plan = dayCuts(lengths.map(shelfLength), jobs);
  const needs = new Map<string, number>(
    jobs.flatMap(({ number, pieces }) =>
      pieces.map(({ name, mm }) => [pieceId(number, name), mm] as const),
    ),
  );
  const leaves = new Map(lengths.map(({ id, leftMm }) => [id, leftMm]));
  for (const { piece, from } of plan.cuts)
    leaves.set(from, (leaves.get(from) ?? 0) - (needs.get(piece) ?? 0));
  return { jobs, plan, leaves };
}

const WEEKS = 26;
/** Until a supplier has delivered. From memory. */
const DELIVERY_WEEKS = 1;

export interface OrderLine {
  readonly stringId: string;
  readonly gaugeMm: number;
  readonly name: string;
  /** All in sets of this string. */
  readonly there: number;
  readonly aWeek: number;
  readonly level: number;
  readonly toOrder: number;
}

export const WEEKS_LOOKED_AT = WEEKS;

/** What is there of each string, what a week uses of it, and what to order so that 95 of 100 weeks are served. */
export function orderLines(
  strings: readonly {
    readonly id: string;
    readonly name: string;
    readonly setMm: number;
    readonly gaugesMm: readonly number[];
  }[],
  lengths: readonly LengthThere[],
  used: ReadonlyMap<string, readonly number[]>,
): readonly OrderLine[] {
  const left = leftBy(lengths, stockOfLength);
  return strings.flatMap(({ id, name, setMm, gaugesMm }) =>
    gaugesMm.flatMap((gaugeMm): readonly OrderLine[] => {
      const key = stockKey(id, gaugeMm);
      const mine = left.get(key);
      const weeks = used.get(key);
      if (mine === undefined && !weeks) return [];
      const use = weeklyUse((weeks ?? []).map((mm) => mm / setMm));
      const there = (mine ?? 0) / setMm;
      const level = orderLevel(use, DELIVERY_WEEKS);
      return [
        {
          stringId: id,
          gaugeMm,
          name,
          there,
          aWeek: use.mean,
          level,
          toOrder: toOrder({ level, there, coming: 0 }),
        },
      ];
    }),
  );
}
