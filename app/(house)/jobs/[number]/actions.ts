'use server';

import { z } from 'zod';
import { action, rowId, ticketNumber } from '@/app/action';
import { misread, refused } from '@/app/answers';
import { correctionSchema } from '@/app/(house)/tickets/[number]/life/life-entry';
import type { FormAnswer } from '@/ui/form/result';

/** Adds to a closed record, beside what stands there. */
export const correctRecord = action(
  'correct a record',
  refused,
  [ticketNumber, rowId, z.object({ text: z.string() })],
  async ({ tickets, person }, number, id, typed): Promise<FormAnswer> => {
    const read = correctionSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const ticket = await tickets.get(number);
    if (!ticket?.closedAt) return refused('There is no closed job of this number.');
    await tickets.correct(ticket.id, id, person.id, read.data.text);
    return { ok: true };
  },
);
