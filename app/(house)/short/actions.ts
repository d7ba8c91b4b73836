'use server';

import { z } from 'zod';
import { action, entryOf, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused, wholly } from '@/app/answers';
import {
  NOT_LOOKED_AT,
  stopsTicket,
  wasLookedAt,
  type Inspection,
} from '@/core/counter/inspection';
import { planCut } from '@/core/cut/plan';
import { wallTime } from '@/core/measure/promised-time';
import { forTicket, sourceFor } from '../shelf/cut-ticket';
import { NO_CUT, sameStrung, type CutFacts, type SetupFacts, type Ticket } from '@/db/tickets';
import type { OpenHouse } from '@/app/identity/at-work';
import type { FormAnswer } from '@/ui/form/result';
import { clientFor, racketFor } from '../take-in/at-the-counter';
import {
  isHybridSetup,
  jobString,
  type ChosenStrings,
} from '../tickets/[number]/setup/chosen-strings';
import { ticketAt, type OpenTicket } from '../tickets/[number]/ticket';
import { settleStrings } from '../tickets/[number]/setup/settle-strings';
import { shownSetup } from '../tickets/[number]/setup/shown-setup';
import { sameStrings, type ReadStrings } from '../tickets/[number]/setup/strings-entry';
import { bedToString, knownBed, type BedToString, type KnownBed } from './known-bed';
import { shortSchema, type OpensAt, type ReadShort, type ShortEntry } from './short-entry';
import { usualCut } from './usual-cut';

const idOrNone = z.union([z.uuid(), z.literal('')]);
const numberOrNone = z.string().regex(/^\d{0,9}$/);
const meantSchema = z.object({
  racketId: idOrNone,
  frameId: idOrNone,
  clientId: idOrNone,
  again: numberOrNone,
  ticket: numberOrNone,
});

/** What is known of a racket or a frame, while its ticket is written; nothing where it cannot be strung yet. */
export const bedOf = action(
  'set up',
  (): BedToString | undefined => undefined,
  [meantSchema],
  bedToString,
);

/** One look that found nothing. */
const FOUND_WHOLE: Inspection = { ...NOT_LOOKED_AT, bumper: 'good' };

/** Where a ticket opens; a frame that is not known yet is entered first, and leads back here. */
function placeOf(number: number, opensAt: OpensAt, known: KnownBed | undefined): string {
  if (!known && opensAt !== 'inspect') return `/tickets/${number}/frame?short`;
  return opensAt === 'bench' ? `/bench/${number}` : `/tickets/${number}/${opensAt}`;
}

const CRACKED =
  'The frame is cracked: nothing is strung until its owner’s word stands at Inspect. Open it there.';

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

/** What is settled of a ticket; nothing where its frame is not known or its strings come later. */
interface Facts {
  readonly setup?: SetupFacts;
  readonly strings?: ChosenStrings;
  readonly cut?: CutFacts;
}

/** The strings and the cut of a ticket that is not there yet, or the sentence at the field that does not hold. */
async function factsOf(
  { strings }: Pick<OpenHouse, 'strings'>,
  known: KnownBed | undefined,
  read: ReadStrings | undefined,
  typedTension: string,
  on?: OpenTicket,
): Promise<Facts | { readonly answer: FormAnswer }> {
  if (!known || !read) return {};
  const { frame, bed, unit, talk, switched, house, record, gone } = known;
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
      switched,
      mayStay: gone.map(({ id }) => id),
      kept: on?.setup?.tension,
    },
    read,
    typedTension,
  );
  if ('answer' in settled) return settled;
  const { choice, cutFrom } = usualCut(bed, known.cut, isHybridSetup(settled.strings));
  return {
    setup: settled.facts,
    strings: settled.strings,
    cut: { ...choice, cutFrom, remnantsMm: [], machineId: known.cut?.machineId ?? null },
  };
}

/** What lies on the shelf for a ticket that was made a moment ago takes the place of the set that it was planned from. */
async function cutFromTheShelf(
  open: OpenHouse,
  { number, version }: Pick<Ticket, 'number' | 'version'>,
  known: KnownBed | undefined,
  { setup, strings, cut }: Facts,
): Promise<void> {
  if (!known || !strings || !setup || !cut?.method || !cut.shortSide || !cut.crossStart) return;
  const { method, shortSide, crossStart } = cut;
  const plan = planCut(
    known.bed,
    {
      mains: { ...jobString(strings.mains), pullN: setup.mainN ?? undefined },
      crosses: { ...jobString(strings.crosses), pullN: setup.crossN ?? undefined },
    },
    { method, shortSide, crossStart },
    known.assumptions,
    known.learnt,
    known.house,
  );
  const source = sourceFor(await forTicket(number, plan), plan.pieces.length);
  if (source)
    await open.tickets.change(number, version, {
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
    const meant = meantSchema.safeParse({ ...entry, ticket: '' });
    if (!meant.success) return misread(meant.error);
    const known = await knownBed(open, meant.data);
    const frame = known && { sport: known.frame.sport, unit: known.unit };
    const parsed = shortSchema(now, frame).safeParse(entry);
    if (!parsed.success) return misread(parsed.error);
    const read = parsed.data;
    const { counter, strings, whole } = read;
    const facts = await factsOf(open, known, strings, entry.tension);
    if ('answer' in facts) return facts.answer;
    const goOn = ({ number }: Pick<Ticket, 'number'>): FormAnswer => ({
      ok: true,
      go: placeOf(number, read.opensAt, known),
    });
    const [made] = await tickets.byRequest([counter.requestKey]);
    if (made) return madeBefore(made, read, facts) ?? goOn(made);
    let added: Ticket | undefined;
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
          added = ticket;
          return goOn(ticket);
        }),
      );
      if (added) await cutFromTheShelf(open, added, known, facts);
      return answer;
    } catch (error) {
      // The same form, sent twice at once: the second loses the race for the key and finds the first.
      const [first] = await tickets.byRequest([counter.requestKey]);
      if (first) return madeBefore(first, read, facts) ?? goOn(first);
      throw error;
    }
  },
);

/** What a ticket that is there already is strung with and how it is cut, promised and asked for, in one press. */
export const settleShortTicket = action(
  'set up',
  refused,
  [ticketNumber, rowVersion, entryOf<ShortEntry>()],
  async (open, number, version, entry): Promise<FormAnswer> => {
    const { workshop, tickets } = open;
    const on = await ticketAt(number);
    if (!on) return refused('This ticket is not there any more.');
    const { ticket } = on;
    const known = await knownBed(open, {
      racketId: ticket.racketId,
      frameId: '',
      clientId: ticket.clientId,
      again: '',
      ticket: String(number),
    });
    const frame = known && { sport: known.frame.sport, unit: known.unit };
    const now = wallTime(new Date(), workshop.timeZone);
    const parsed = shortSchema(now, frame, ticket.promised).safeParse(entry);
    if (!parsed.success) return misread(parsed.error);
    const { counter, strings, whole, opensAt } = parsed.data;
    if (stopsTicket(ticket.inspection) && opensAt !== 'inspect') return refused(CRACKED);
    // Strings that stand there as they were settled stay, whatever the advice says by now.
    const isSettled = on.setup !== undefined && sameStrings(entry, await shownSetup(on));
    const facts = await factsOf(open, known, strings, entry.tension, on);
    if ('answer' in facts && !isSettled) return facts.answer;
    const settled: Facts = 'answer' in facts ? {} : facts;
    const { setup } = settled;
    const isSameBed = isSettled || (setup !== undefined && sameStrung(ticket, setup));
    // A cut that was planned for this bed stays.
    const cut = on.choice && isSameBed ? undefined : (settled.cut ?? NO_CUT);
    const saved = await tickets.change(number, version, {
      promised: counter.promised,
      wish: counter.wish,
      ...(whole && !wasLookedAt(ticket.inspection) && { inspection: FOUND_WHOLE }),
      ...(!isSettled && setup),
      ...(strings && cut),
    });
    const after = saved === 'saved' && cut ? await tickets.get(number) : undefined;
    if (after) await cutFromTheShelf(open, after, known, { ...settled, cut });
    return answerTo(saved, 'ticket', placeOf(number, opensAt, known));
  },
);
