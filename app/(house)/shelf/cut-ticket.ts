/** A job takes its string off the shelf: at its first step, again where a piece is lost, at the latest at hand-over. */
import { jobAt, type OpenTicket } from '@/app/(house)/tickets/[number]/ticket';
import { openWorkshop } from '@/app/identity/at-work';
import { patchMm, pieceOf } from '@/core/bench/mishap';
import type { LoggedDeed } from '@/core/bench/log';
import type { Sequence } from '@/core/bench/sequence';
import type { PieceRecord } from '@/core/record/record';
import { sourceOf, type Allocation } from '@/core/shelf/allocation';
import { dayCuts, pieceId, type JobToCut, type ShelfLength } from '@/core/shelf/day-cuts';
import type { LengthThere } from '@/db/shelf';
import type { ListedTicket } from '@/db/tickets';
import type { Records } from '@/db/workshop';
import { cutsOfDay, notCut, piecesOf, shelfLength } from './cuts-of-day';

type Planned = {
  readonly plan: { readonly pieces: readonly Pick<PieceRecord, 'name' | 'cutMm'>[] };
};

/** What lies there for one ticket among all that are open and not cut: the one plan of Shelf, Cut and bench. */
export interface ForTicket {
  readonly allocation: Allocation;
  /** Pieces for which nothing that is free is long enough. */
  readonly unserved: readonly string[];
  readonly lengths: readonly (ShelfLength & { readonly name: string; readonly leavesMm: number })[];
}

/** Nothing where no shelf is kept, or where this ticket is cut. With a plan, as if that were its own. */
export async function forTicket(
  number: number,
  plan?: Planned['plan'],
): Promise<ForTicket | undefined> {
  const { shelf, tickets } = await openWorkshop();
  const [isKept, open, cut, there] = await Promise.all([
    shelf.isKept(),
    tickets.open(),
    shelf.cutOfOpen(),
    shelf.there(),
  ]);
  const waiting = notCut(open, cut);
  if (!isKept || !waiting.some((each) => each.number === number)) return undefined;
  const day = await cutsOfDay(waiting, there, plan && { number, plan });
  const nameOf = (piece: string) => piece.slice(`${number} `.length);
  const isMine = (piece: string) => piece.startsWith(`${number} `);
  return {
    allocation: day.plan.cuts.flatMap(({ piece, from }) =>
      isMine(piece) ? [{ piece: nameOf(piece), lengthId: from }] : [],
    ),
    unserved: day.plan.unserved.filter(isMine).map(nameOf),
    lengths: there.map((length) => ({
      ...shelfLength(length),
      name: lengthName(length),
      leavesMm: day.leaves.get(length.id) ?? length.leftMm,
    })),
  };
}

const lengthName = ({ string, gaugeMm, leftMm, mm, kind, place }: LengthThere): string =>
  `${leftMm < mm ? 'opened ' : ''}${kind} of ${string} ${gaugeMm.toFixed(2)}${place && `, ${place}`}`;

/** What of the shelf a cut of so many pieces that is planned anew starts from; nothing where a client brings one of them. */
export const sourceFor = (found: ForTicket | undefined, pieces: number) =>
  found && found.unserved.length === 0 && found.allocation.length === pieces
    ? sourceOf(found.allocation, found.lengths)
    : undefined;

/**
 * Takes a job's string off the shelf, once; nothing where it does not lie there. What was taken back by hand is not taken
 * again. Call it inside a transaction, with what `forTicket` said outside it.
 */
export async function cutTicket(
  { shelf }: Pick<Records, 'shelf'>,
  personId: string,
  { ticket }: { readonly ticket: ListedTicket },
  job: Planned,
  allocation: Allocation,
): Promise<void> {
  const pieces = piecesOf(ticket, job);
  if (pieces.length === 0) return;
  const lengths = (await shelf.thereToCut()).map(shelfLength);
  if ((await shelf.cutsFor(ticket.id)).length > 0) return;
  const meant = pieces.flatMap(({ name, mm, key }) => {
    const from = allocation.find(({ piece }) => piece === name)?.lengthId;
    const length = lengths.find(({ id }) => id === from);
    return length && length.key === key ? [{ name, mm, length }] : [];
  });
  const taken = new Map<string, number>();
  for (const { mm, length } of meant) taken.set(length.id, (taken.get(length.id) ?? 0) + mm);
  const still =
    meant.length === pieces.length &&
    meant.every(({ length }) => (taken.get(length.id) ?? 0) <= length.leftMm);
  if (still) {
    await shelf.cut(
      personId,
      ticket.id,
      meant.map(({ name, mm, length }) => ({ lengthId: length.id, mm, note: name })),
    );
    return;
  }
  await cutFromWhatIsThere(shelf, personId, ticket, lengths, pieces);
}

async function cutFromWhatIsThere(
  shelf: Records['shelf'],
  personId: string,
  { id, number, promised }: Pick<ListedTicket, 'id' | 'number' | 'promised'>,
  lengths: readonly ShelfLength[],
  pieces: JobToCut['pieces'],
): Promise<void> {
  const { cuts } = dayCuts(lengths, [{ number, promised, pieces }]);
  const found = pieces.flatMap(({ name, mm }) => {
    const lengthId = cuts.find(({ piece }) => piece === pieceId(number, name))?.from;
    return lengthId === undefined ? [] : [{ lengthId, mm, note: name }];
  });
  await shelf.cut(personId, id, found);
}

/** The pieces of a job that no cut stands for. */
const missingOf = (
  pieces: JobToCut['pieces'],
  cuts: readonly { readonly piece: string; readonly undone: boolean }[],
): readonly string[] =>
  pieces.flatMap(({ name }) =>
    cuts.some(({ piece, undone }) => piece === name && !undone) ? [] : [name],
  );

/** A piece that is lost is string that is gone: each *begin again* takes another length, each *patch* its share, once. */
export async function cutAgain(
  { shelf }: Pick<Records, 'shelf'>,
  personId: string,
  { ticket }: Pick<OpenTicket, 'ticket'>,
  job: Planned,
  sequence: Sequence,
  deeds: readonly Pick<LoggedDeed, 'id' | 'deed'>[],
): Promise<void> {
  for (const { id, deed } of deeds) {
    if (deed.kind !== 'mishap' || !deed.string) continue;
    if (deed.wayId !== 'begin again' && deed.wayId !== 'patch') continue;
    const { name } = pieceOf(sequence, deed.string);
    const whole = piecesOf(ticket, job).find((each) => each.name === name);
    if (!whole) continue;
    const isPatch = deed.wayId === 'patch';
    const piece = isPatch ? { ...whole, mm: patchMm(sequence, deed.string, whole.mm) } : whole;
    const lengths = (await shelf.thereToCut()).map(shelfLength);
    const { cuts } = dayCuts(lengths, [
      { number: ticket.number, promised: ticket.promised, pieces: [piece] },
    ]);
    const from = cuts[0]?.from;
    if (from !== undefined)
      await shelf.cut(personId, ticket.id, [
        {
          id,
          lengthId: from,
          mm: piece.mm,
          note: `${name} ${isPatch ? 'gone on with' : 'again'}: ${deed.mishap}, ${deed.string}`,
        },
      ]);
  }
}

/** For which pieces of a ticket nothing on the shelf is long enough, before it is cut; none where no shelf is kept. */
export async function notOnTheShelf({
  ticket,
}: Pick<OpenTicket, 'ticket'>): Promise<JobToCut['pieces']> {
  const [{ shelf }, job] = [await openWorkshop(), await jobAt(ticket.number)];
  if (!job || !(await shelf.isKept())) return [];
  const pieces = piecesOf(ticket, job);
  const before = await shelf.cutsFor(ticket.id);
  if (before.length > 0) {
    const missing = missingOf(pieces, before);
    return pieces.filter(({ name }) => missing.includes(name));
  }
  // Whoever cuts first has it: what others are planned to take still lies there.
  const { number, promised } = ticket;
  const { unserved } = dayCuts((await shelf.there()).map(shelfLength), [
    { number, promised, pieces },
  ]);
  return pieces.filter(({ name }) => unserved.includes(pieceId(number, name)));
}
