'use server';

import { z } from 'zod';
import { action, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused } from '@/app/answers';
import type { FormAnswer } from '@/ui/form/result';
import { withdrawalSchema } from './life-entry';

/** Takes a ticket out of the day, with the reason. */
export const withdraw = action(
  'withdraw a racket',
  refused,
  [ticketNumber, rowVersion, z.object({ why: z.string() })],
  async ({ tickets }, number, version, typed): Promise<FormAnswer> => {
    const read = withdrawalSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await tickets.withdraw(number, version, read.data.why), 'ticket');
  },
);

/** Brings it back into the day. */
export const takeUp = action(
  'withdraw a racket',
  refused,
  [ticketNumber, rowVersion],
  async ({ together }, number, version): Promise<FormAnswer> => {
    const saved = await together(({ tickets }) => tickets.takeUp(number, version));
    if (typeof saved === 'object')
      return refused(
        `This racket is on ticket ${saved.on} meanwhile, so it was not taken up a second time.`,
      );
    return answerTo(saved, 'ticket');
  },
);
