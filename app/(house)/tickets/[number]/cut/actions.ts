'use server';

import { action, entryOf, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused } from '@/app/answers';
import { isHybridSetup } from '../setup/chosen-strings';
import { ticketAt } from '../ticket';
import { cutSchema, type CutEntry } from './cut-entry';

export const saveCut = action(
  'plan the cut',
  refused,
  [ticketNumber, rowVersion, entryOf<CutEntry>()],
  async ({ tickets }, number, version, entry) => {
    const open = await ticketAt(number);
    if (!open?.study?.bed || !open.setup)
      return refused(
        'The frame or the setup of this ticket changed meanwhile: look at them first.',
      );
    const read = cutSchema(open.study.bed, isHybridSetup(open.setup)).safeParse(entry);
    if (!read.success) return misread(read.error);
    return answerTo(
      await tickets.change(number, version, read.data),
      'ticket',
      `/tickets/${number}/pull`,
    );
  },
);
