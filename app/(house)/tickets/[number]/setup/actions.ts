'use server';

import { isDeepStrictEqual } from 'node:util';
import { action, entryOf, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused, Undone, wholly } from '@/app/answers';
import { caseOf } from '@/core/advice/case';
import { recordAdvice, strungFrom } from '@/core/advice/record';
import { climb } from '@/core/advice/staircase';
import { isOverPrint } from '@/core/advice/tension';
import { remembered, SILENT } from '@/core/advice/talk';
import { ticketEntry, type TicketTension } from '@/core/measure/units';
import { NO_CUT, type SetupFacts } from '@/db/tickets';
import type { FormAnswer } from '@/ui/form/result';
import { crossesEndOf } from '../load/hoop-of';
import { houseOf, lastJobOn, ticketAt } from '../ticket';
import { setupSchema, type ReadSetup, type SetupEntry } from './setup-entry';
import { shownSetup } from './shown-setup';

/** Keeps the setup with the advice it was made on, and what was said with the client and the racket. */
export const saveSetup = action(
  'set up',
  refused,
  [ticketNumber, rowVersion, entryOf<SetupEntry>()],
  async ({ strings, together }, number, version, entry): Promise<FormAnswer> => {
    const open = await ticketAt(number);
    if (!open?.frame || !open.study?.bed)
      return refused('This ticket has no frame any more. Go back to the Frame station.');
    const { ticket, frame, unit } = open;
    const { bed: framed } = open.study;
    const onwards = `/tickets/${number}/cut`;
    // Looked at and saved as it is, it stays as it is: the advice may have moved on since.
    if (open.setup && isDeepStrictEqual(entry, await shownSetup(open)))
      return { ok: true, go: onwards };
    const read = setupSchema(frame.sport, unit).safeParse(entry);
    if (!read.success) return misread(read.error);
    const found = [];
    for (const [field, { id, gaugeMm }] of [
      ['mainStringId', read.data.mains],
      ['crossStringId', read.data.crosses],
    ] as const) {
      const string = await strings.get(id);
      // What the ticket says already may stay: the string lies beside the racket.
      const isOfTicket = id === ticket.mainStringId || id === ticket.crossStringId;
      if (!string || (string.removedAt && !isOfTicket))
        return wrong(
          field,
          'This string was removed from the library in another tab. Choose another.',
        );
      if (string.sport !== frame.sport)
        return wrong(
          field,
          `${string.name} is a ${string.sport} string and the racket is for ${frame.sport}.`,
        );
      found.push({ string, gaugeMm });
    }
    const [mains, crosses] = found;
    if (!mains || !crosses) return refused('Choose the strings again.');
    const about = caseOf({
      bed: framed,
      talk: read.data.talk,
      house: houseOf(open, read.data.todaysRules),
      record: await lastJobOn(open),
      crossesEnd: crossesEndOf(frame.spec, frame.hoopFactor, houseOf(open, false)),
    });
    const bed = { mains, crosses };
    const tension =
      settled(entry.tension, open.setup?.tension) ??
      read.data.tension ??
      climb(about, strungFrom(bed), unit, read.data.switched).ticket;
    const facts: SetupFacts = {
      ...columnsOf(read.data),
      mainN: tension.mainN,
      crossN: tension.crossN,
      tensionUnit: tension.unit,
      advice: recordAdvice(
        about,
        bed,
        tension,
        read.data.switched,
        read.data.ownWord,
        read.data.overPrint,
      ),
    };
    if (facts.advice?.against.length && read.data.ownWord === '')
      return wrong(
        'ownWord',
        'This bed is not advised. Write why it is strung so all the same, in a few words: it goes on record.',
      );
    if (isOverPrint(frame.spec, tension) && read.data.overPrint === '')
      return wrong(
        'overPrint',
        'This is more than the frame prints. Write how and when its owner said that they want it all the same, or pull less.',
      );
    // What it was cut from may not fit another string, so the cut is looked at again.
    const same = (['mainStringId', 'mainGaugeMm', 'crossStringId', 'crossGaugeMm'] as const).every(
      (name) => ticket[name] === facts[name],
    );
    return wholly(() =>
      together(async ({ tickets, clients, rackets }) => {
        const saved = await tickets.change(number, version, same ? facts : { ...facts, ...NO_CUT });
        if (saved !== 'saved') throw new Undone(answerTo(saved, 'ticket'));
        const { racket, ...said } = remembered(read.data.talk);
        await clients.remember(ticket.clientId, { ...said, racket: SILENT.racket });
        await rackets.remember(ticket.racketId, racket);
        return answerTo(saved, 'ticket', onwards);
      }),
    );
  },
);

/** The figures of a ticket where they stand in the field as it shows them: in their own unit, to the last digit. */
const settled = (typed: string, tension: TicketTension | undefined): TicketTension | undefined =>
  tension && typed.trim() === ticketEntry(tension) ? tension : undefined;

const wrong = (field: string, problem: string): FormAnswer => ({
  ok: false,
  problems: { [field]: problem },
});

const columnsOf = ({ mains, crosses }: ReadSetup) => ({
  mainStringId: mains.id,
  mainGaugeMm: mains.gaugeMm,
  mainSupplied: mains.supplied,
  crossStringId: crosses.id,
  crossGaugeMm: crosses.gaugeMm,
  crossSupplied: crosses.supplied,
});
