'use server';

import { z } from 'zod';
import { action, entryOf } from '@/app/action';
import { misread, refused, wholly } from '@/app/answers';
import { NOT_LOOKED_AT, type Inspection } from '@/core/counter/inspection';
import { planCut } from '@/core/cut/plan';
import { isHybrid } from '@/core/strings/job-string';
import { wallTime } from '@/core/measure/promised-time';
import { forTicket, sourceFor } from '../shelf/cut-ticket';
import type { CutFacts, SetupFacts, Ticket } from '@/db/tickets';
import type { StringRow } from '@/db/strings';
import type { OpenHouse } from '@/app/identity/at-work';
import type { ShelfString } from '@/core/advice/shelf';
import type { FormAnswer } from '@/ui/form/result';
import { clientFor, racketFor } from '../take-in/at-the-counter';
import { jobString, type Setup } from '../tickets/[number]/ticket';
import { settleStrings } from '../tickets/[number]/setup/settle-strings';
import type { ReadStrings } from '../tickets/[number]/setup/strings-entry';
import { stringsToChoose } from '../tickets/[number]/setup/strings-to-choose';
import { knownBed, type KnownBed } from './known-bed';
import { shortSchema, type OpensAt, type ReadShort, type ShortEntry } from './short-entry';
import { usualCut } from './usual-cut';

const idOrNone = z.union([z.uuid(), z.literal('')]);
const meantSchema = z.object({
  racketId: idOrNone,
  frameId: idOrNone,
  clientId: idOrNone,
  again: z.string().regex(/^\d{0,9}$/),
});

/** A bed, and the strings of the library that it can be strung with. */
export type BedToString = KnownBed & {
  readonly strings: readonly (StringRow & ShelfString)[];
};

/** What is known of a racket or a frame, while its ticket is written; nothing where it cannot be strung yet. */
export const bedOf = action(
  'set up',
  (): BedToString | undefined => undefined,
  [meantSchema],
  async (open, meant): Promise<BedToString | undefined> => {
    const known = await knownBed(open, meant);
    if (!known) return undefined;
    return { ...known, strings: await stringsToChoose(open, known.frame.sport) };
  },
);

/** One look that found nothing. */
const FOUND_WHOLE: Inspection = { ...NOT_LOOKED_AT, bumper: 'good' };

const placeOf = (number: number, opensAt: OpensAt): string =>
  opensAt === 'bench' ? `/bench/${number}` : `/tickets/${number}/${opensAt}`;

/** A press that was sent before has made this ticket: it is gone on with, unless it says something else by now. */
function madeBefore(made: Ticket, { counter }: ReadShort, facts: Facts): FormAnswer | undefined {
  const same =
    made.wish === counter.wish &&
    made.promised === counter.promised &&
    (
      ['mainStringId', 'mainGaugeMm', 'crossStringId', 'crossGaugeMm', 'mainN', 'crossN'] as const
    ).every((name) => made[name] === (facts.setup?.[name] ?? null));
  return same
    ? undefined
    : refused(
        `The press before made ticket ${made.number}. What you changed since is not kept: open that ticket, and change it there.`,
      );
}

interface Facts {
  readonly setup: SetupFacts | undefined;
  readonly cut: CutFacts | undefined;
}

/** The strings and the cut of a ticket that is not there yet, or the sentence at the field that does not hold. */
async function factsOf(
  { strings }: Pick<OpenHouse, 'strings'>,
  known: KnownBed | undefined,
  read: ReadStrings | undefined,
  typedTension: string,
): Promise<Facts | { readonly answer: FormAnswer }> {
  if (!known || !read) return { setup: undefined, cut: undefined };
  const { frame, bed, unit, talk, house, record, last } = known;
  const settled = await settleStrings(
    { strings },
    {
      frame,
      bed,
      unit,
      talk,
      house,
      hoopHouse: house,
      record,
      switched: {},
      mayStay: (last?.gone ?? []).map(({ id }) => id),
      kept: undefined,
    },
    read,
    typedTension,
  );
  if ('answer' in settled) return settled;
  const { choice, cutFrom } = usualCut(bed, last?.cut, await isOfTwo({ strings }, read));
  return {
    setup: settled.facts,
    cut: { ...choice, cutFrom, remnantsMm: [], machineId: last?.cut.machineId ?? null },
  };
}

async function setupOf(
  { strings }: Pick<OpenHouse, 'strings'>,
  { mains, crosses }: ReadStrings,
): Promise<Pick<Setup, 'mains' | 'crosses'> | undefined> {
  const [main, cross] = [await strings.get(mains.id), await strings.get(crosses.id)];
  return (
    main &&
    cross && {
      mains: { ...mains, string: main },
      crosses: { ...crosses, string: cross },
    }
  );
}

/** Whether mains and crosses are two strings. */
async function isOfTwo(records: Pick<OpenHouse, 'strings'>, read: ReadStrings): Promise<boolean> {
  const setup = await setupOf(records, read);
  return (
    setup !== undefined &&
    isHybrid({ mains: jobString(setup.mains), crosses: jobString(setup.crosses) })
  );
}

/** What lies on the shelf for a ticket that was made a moment ago takes the place of the set that it was planned from. */
async function cutFromTheShelf(
  open: OpenHouse,
  number: number,
  known: KnownBed,
  read: ReadStrings,
  { setup, cut }: Facts,
): Promise<void> {
  const chosen = await setupOf(open, read);
  if (!chosen || !setup || !cut?.method || !cut.shortSide || !cut.crossStart) return;
  const { method, shortSide, crossStart } = cut;
  const plan = planCut(
    known.bed,
    {
      mains: { ...jobString(chosen.mains), pullN: setup.mainN ?? undefined },
      crosses: { ...jobString(chosen.crosses), pullN: setup.crossN ?? undefined },
    },
    { method, shortSide, crossStart },
    known.assumptions,
    known.learnt,
    known.house,
  );
  const source = sourceFor(await forTicket(number, plan), plan.pieces.length);
  if (source)
    await open.tickets.change(number, 1, {
      cutFrom: source.cutFrom,
      remnantsMm: [...source.remnantsMm],
    });
}

/** Client, racket and ticket with its strings and its cut, all of it or nothing; and the way to the bench. */
export const makeShortTicket = action(
  'set up',
  refused,
  [entryOf<ShortEntry>()],
  async (open, entry): Promise<FormAnswer> => {
    const { workshop, tickets, together } = open;
    const now = wallTime(new Date(), workshop.timeZone);
    const meant = meantSchema.safeParse(entry);
    if (!meant.success) return misread(meant.error);
    const known = await knownBed(open, meant.data);
    const frame = known && { sport: known.frame.sport, unit: known.unit };
    const parsed = shortSchema(now, frame).safeParse(entry);
    if (!parsed.success) return misread(parsed.error);
    const read = parsed.data;
    const { counter, strings, whole } = read;
    // A frame that is not known yet is entered first.
    const opensAt = known || read.opensAt === 'inspect' ? read.opensAt : 'frame';
    const facts = await factsOf(open, known, strings, entry.tension);
    if ('answer' in facts) return facts.answer;
    const goOn = ({ number }: Pick<Ticket, 'number'>): FormAnswer => ({
      ok: true,
      go: placeOf(number, opensAt),
    });
    const [made] = await tickets.byRequest([counter.requestKey]);
    if (made) return madeBefore(made, read, facts) ?? goOn(made);
    let number: number | undefined;
    try {
      const answer = await wholly(() =>
        together(async (records) => {
          const clientId = await clientFor(records, counter);
          const racketId = await racketFor(records, counter, clientId);
          const ticket = await records.tickets.add(counter.requestKey, {
            racketId,
            promised: counter.promised,
            wish: counter.wish,
            condition: '',
            visit: null,
            ...(whole && { inspection: FOUND_WHOLE }),
            ...facts.setup,
            ...facts.cut,
          });
          await records.clientLinks.answer({ racketId });
          number = ticket.number;
          return goOn(ticket);
        }),
      );
      if (number !== undefined && known && strings)
        await cutFromTheShelf(open, number, known, strings, facts);
      return answer;
    } catch (error) {
      // The same form, sent twice at once: the second loses the race for the key and finds the first.
      const [first] = await tickets.byRequest([counter.requestKey]);
      if (first) return madeBefore(first, read, facts) ?? goOn(first);
      throw error;
    }
  },
);
