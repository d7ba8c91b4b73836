'use server';

import { action, entryOf, rowId } from '@/app/action';
import { misread, refused, said } from '@/app/answers';
import { wallTime } from '@/core/measure/promised-time';
import { seenSchema, type SeenEntry } from './seen-entry';

/** Keeps what was seen of a finished bed; what it tells is worked out anew at each look. */
export const keepReading = action(
  'take in',
  refused,
  [rowId, rowId, entryOf<SeenEntry>()],
  async ({ rackets, bedsRead, workshop, person }, racketId, newId, typed) => {
    const read = seenSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const racket = await rackets.get(racketId);
    if (!racket || racket.removedAt)
      return refused('This racket was removed in another tab. Nothing was kept.');
    const takenOn = wallTime(new Date(), workshop.timeZone);
    await bedsRead.add(newId, racketId, person.id, takenOn, read.data);
    return { ok: true };
  },
);

/** It was another racket, or a slip. */
export const takeBackReading = action('take in', said, [rowId], async ({ bedsRead }, id) => {
  await bedsRead.setRemoved(id, true);
});
