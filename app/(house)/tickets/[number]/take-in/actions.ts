'use server';

import { action, ticketNumber } from '@/app/action';
import { daysSince } from '@/app/racket-ageing';
import { courtWordsSchema, hoursProblem } from '@/core/ageing/court';
import { keepable } from '@/core/measure/reading';

/** How the bed of a closed job played, as its client says it at the counter. */
export const sayAtTheCounter = action(
  'take in',
  (sentence) => sentence,
  [ticketNumber, courtWordsSchema],
  async ({ tickets, court, person, workshop }, number, words): Promise<string> => {
    const ticket = await tickets.get(number);
    if (!ticket?.closedAt) return 'That job is not closed: nobody has played with it.';
    const problem = hoursProblem(words.brokeHours, daysSince(ticket.closedAt, workshop.timeZone));
    if (problem) return problem;
    await court.say(ticket.id, person.id, { ...words, note: keepable(words.note) });
    return 'It is written down, and Setup begins with it.';
  },
);
