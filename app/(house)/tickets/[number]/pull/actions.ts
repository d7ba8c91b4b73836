'use server';

import { z } from 'zod';
import { action, rowId, ticketNumber } from '@/app/action';
import { said } from '@/app/answers';
import { isOver } from '@/db/tickets';

const GONE = 'This ticket is not open any more.';
const benchOrNone = z.union([rowId, z.literal('')]);

/** Whoever is first has it. With `over`, a racket goes from one stringer to another as it is. */
export const takeTicket = action(
  'string',
  said,
  [ticketNumber, benchOrNone, z.boolean()],
  async ({ together, person }, number, benchId, over) =>
    together(async ({ tickets, benches }) => {
      const ticket = await tickets.get(number);
      if (!ticket || isOver(ticket)) return GONE;
      const known = await benches.all();
      if (benchId && !known.some(({ id }) => id === benchId))
        return 'That bench is not there any more: choose another.';
      const taken = await benches.take(ticket.id, person.id, benchId || null, over);
      return taken && taken.personId !== person.id
        ? `${taken.name} was first and has it${taken.bench ? `, at ${taken.bench}` : ''}.`
        : undefined;
    }),
);

/** Whoever has it lets it go. */
export const letTicketGo = action(
  'string',
  said,
  [ticketNumber],
  async ({ tickets, benches, person }, number) => {
    const ticket = await tickets.get(number);
    if (!ticket || isOver(ticket)) return GONE;
    await benches.letGo(ticket.id, person.id);
    return undefined;
  },
);
