'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, misread, refused, said } from '@/app/answers';
import { racketEntrySchema, type RacketEntry } from './racket-entry';

export const changeRacket = action(
  'change clients',
  refused,
  [rowId, rowVersion, entryOf<RacketEntry>()],
  async ({ rackets }, racketId, version, typed) => {
    const read = racketEntrySchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const { mark, notes, frameId } = read.data;
    return answerTo(
      await rackets.change(racketId, version, { mark, notes, frameId: frameId || null }),
      'racket',
    );
  },
);

/** The racket was sold or handed down. Whoever had the address of its page does not see its new owner's. */
export const giveRacket = action(
  'change clients',
  said,
  [rowId, rowId, rowId],
  async ({ together }, racketId, from, to) =>
    together(async ({ rackets, clients, clientLinks }) => {
      const next = await clients.get(to);
      if (!next || next.removedAt) return 'This client was removed meanwhile. Nothing was changed.';
      if (!(await rackets.give(racketId, from, to)))
        return 'This racket has changed hands already. Reload to see whose it is.';
      await clientLinks.withdraw(racketId);
      return undefined;
    }),
);

export const removeRacket = action(
  'change clients',
  said,
  [rowId],
  async ({ rackets }, racketId) => {
    const open = await rackets.openTickets(racketId);
    if (open > 0) return 'This racket is still on the bench. Hand it over first.';
    await rackets.setRemoved(racketId, true);
    return undefined;
  },
);

export const restoreRacket = action(
  'change clients',
  said,
  [rowId],
  async ({ rackets }, racketId) => {
    await rackets.setRemoved(racketId, false);
  },
);
