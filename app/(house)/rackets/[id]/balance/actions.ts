'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, misread, refused, said } from '@/app/answers';
import { SILENT } from '@/core/advice/talk';
import { forAdvice, formatParts, parseParts } from '@/core/balance/parts';
import { withParts } from '@/core/balance/racket';
import { textIn } from '@/core/measure/typed';
import { balanceSchema, type BalanceEntry } from './balance-entry';

/** Writes one part more down, as it is typed among the parts. */
export const putOn = action(
  'take in',
  said,
  [rowId, rowVersion, textIn],
  async ({ together }, id, version, line): Promise<string | undefined> => {
    const read = parseParts(line);
    if (!read.ok) return read.problem;
    return together(async ({ rackets }) => {
      const racket = await rackets.get(id);
      if (!racket?.balance) return 'Weigh the racket first: what it was is not known.';
      const parts = parseParts(formatParts([...racket.balance.parts, ...read.value]));
      if (!parts.ok) return parts.problem;
      const kept = { ...racket.balance, parts: parts.value };
      const whole = withParts(kept, kept.parts);
      if (!whole.ok) return whole.problem;
      const build = { ...(racket.build ?? SILENT.racket), ...forAdvice(kept) };
      const saved = await rackets.weigh(id, version, kept, build);
      return saved === 'saved' ? undefined : 'It was changed in another tab: look again.';
    });
  },
);

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
