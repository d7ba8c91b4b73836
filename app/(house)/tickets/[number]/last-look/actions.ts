'use server';

import { action, entryOf, ticketNumber } from '@/app/action';
import { misread, refused } from '@/app/answers';
import { isOver } from '@/db/tickets';
import { lookSchema, type LookEntry } from './look-entry';

/** Keeps the last look at a job that is not closed yet. */
export const keepLastLook = action(
  'string',
  refused,
  [ticketNumber, entryOf<LookEntry>()],
  async ({ tickets }, number, typed) => {
    const read = lookSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const ticket = await tickets.get(number);
    if (!ticket || isOver(ticket))
      return refused('This job is closed: what is found now is added to its record.');
    await tickets.keepLastLook(ticket.id, read.data);
    return { ok: true };
  },
);
