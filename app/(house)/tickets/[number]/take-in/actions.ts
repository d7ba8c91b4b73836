'use server';

import { action, ticketNumber } from '@/app/action';
import { daysSince } from '@/app/racket-ageing';
import { courtWordsSchema, hoursProblem } from '@/core/ageing/court';
import type { CourtAnswer } from '@/ui/court/how-it-played';
import { keepable } from '@/core/measure/typed';

const notSaved = (words: string): CourtAnswer => ({ saved: false, words });

/** How the bed of a closed job played, as its client says it at the counter. */
export const sayAtTheCounter = action(
  'take in',
  notSaved,
  [ticketNumber, courtWordsSchema],
  async ({ tickets, court, person, workshop }, number, words) => {
    const ticket = await tickets.get(number);
    if (!ticket?.closedAt) return notSaved('That job is not closed: nobody has played with it.');
    const problem = hoursProblem(words.brokeHours, daysSince(ticket.closedAt, workshop.timeZone));
    if (problem) return notSaved(problem);
    await court.say(ticket.id, person.id, { ...words, note: keepable(words.note) });
    return { saved: true, words: 'It is saved, and Setup begins with it.' };
  },
);
