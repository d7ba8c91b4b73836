'use server';

import { action, ticketNumber } from '@/app/action';
import { courtWordsSchema } from '@/core/ageing/court';
import { keepable } from '@/core/measure/reading';

/** How the bed of a closed job played, as its client says it at the counter. */
export const sayAtTheCounter = action(
  'take in',
  (sentence) => sentence,
  [ticketNumber, courtWordsSchema],
  async ({ tickets, court, person }, number, words): Promise<string> => {
    const ticket = await tickets.get(number);
    if (!ticket?.closedAt) return 'That job is not closed: nobody has played with it.';
    await court.say(ticket.id, person.id, { ...words, note: keepable(words.note) });
    return 'It is written down, and Setup begins with it.';
  },
);
