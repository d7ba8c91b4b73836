'use server';

import { isDeepStrictEqual } from 'node:util';
import { action, entryOf, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused, Undone, wholly } from '@/app/answers';
import { remembered, SILENT } from '@/core/advice/talk';
import { NO_CUT, sameStrung } from '@/db/tickets';
import type { FormAnswer } from '@/ui/form/result';
import { houseOf, lastJobOn, ticketAt } from '../ticket';
import { settleStrings } from './settle-strings';
import { setupSchema, type SetupEntry } from './setup-entry';
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
    const onwards = `/tickets/${number}/cut`;
    // Looked at and saved as it is, it stays as it is: the advice may have moved on since.
    if (open.setup && isDeepStrictEqual(entry, await shownSetup(open)))
      return { ok: true, go: onwards };
    const read = setupSchema(frame.sport, unit).safeParse(entry);
    if (!read.success) return misread(read.error);
    const settled = await settleStrings(
      { strings },
      {
        frame,
        bed: open.study.bed,
        unit,
        talk: read.data.talk,
        house: houseOf(open, read.data.todaysRules),
        hoopHouse: houseOf(open, false),
        record: await lastJobOn(ticket.racketId, number),
        switched: read.data.switched,
        mayStay: [ticket.mainStringId, ticket.crossStringId],
        kept: open.setup?.tension,
      },
      read.data,
      entry.tension,
    );
    if ('answer' in settled) return settled.answer;
    const { facts } = settled;
    // What it was cut from may not fit another string, so the cut is looked at again.
    const same = sameStrung(ticket, facts);
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
