'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, misread, refused } from '@/app/answers';
import { SILENT } from '@/core/advice/talk';
import { forAdvice } from '@/core/balance/parts';
import { balanceSchema, type BalanceEntry } from './balance-entry';

/** Keeps what a racket weighs where; the advice reads it from the racket. */
export const weighRacket = action(
  'take in',
  refused,
  [rowId, rowVersion, entryOf<BalanceEntry>()],
  async ({ rackets }, id, version, typed) => {
    const read = balanceSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const racket = await rackets.get(id);
    const build = { ...(racket?.build ?? SILENT.racket), ...forAdvice(read.data) };
    return answerTo(await rackets.weigh(id, version, read.data, build), 'racket');
  },
);
