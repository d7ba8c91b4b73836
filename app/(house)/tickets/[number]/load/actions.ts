'use server';

import { action, entryOf, ticketNumber } from '@/app/action';
import { misread, refused } from '@/app/answers';
import { calibrate } from '@/core/load/calibrate';
import type { FormAnswer } from '@/ui/form/result';
import { jobAt } from '../ticket';
import { calipersSchema, type CalipersEntry } from './calipers-entry';

/** Keeps how stiff the hoop of a ticket’s frame is, from what calipers said of this job. */
export const measureHoop = action(
  'plan the cut',
  refused,
  [ticketNumber, entryOf<CalipersEntry>()],
  async ({ tickets, frames }, number, typed): Promise<FormAnswer> => {
    const read = calipersSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const ticket = await tickets.get(number);
    const job = ticket?.frameId ? await jobAt(number) : undefined;
    if (!ticket?.frameId || !job) return refused('This ticket has no job that could be strung.');
    const found = calibrate(job, read.data);
    if (!found.ok) return refused(found.problem);
    await frames.measureHoop(ticket.frameId, found.value);
    return { ok: true };
  },
);
