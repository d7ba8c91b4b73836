'use server';

import { z } from 'zod';
import { action, entryOf, ticketNumber } from '@/app/action';
import { misread, refused } from '@/app/answers';
import { isOver } from '@/db/tickets';
import { isStrungAt, TOO_EARLY } from './is-strung';
import { tapProblem } from './tap-problem';
import { lookSchema, type LookEntry } from './look-entry';

/** Keeps the last look at a job that is not closed yet. */
export const keepLastLook = action(
  'string',
  refused,
  [ticketNumber, z.boolean(), entryOf<LookEntry>()],
  async ({ tickets }, number, fromBench, typed) => {
    const read = lookSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const ticket = await tickets.get(number);
    if (!ticket || isOver(ticket))
      return refused('This job is closed: what is found now is added to its record.');
    if (!(await isStrungAt(number))) return refused(TOO_EARLY);
    const problem = await tapProblem(number, read.data.hz);
    if (problem) return { ok: false, problems: { hz: problem } };
    await tickets.keepLastLook(ticket.id, read.data);
    return fromBench ? { ok: true, go: `/bench/${number}` } : { ok: true };
  },
);
