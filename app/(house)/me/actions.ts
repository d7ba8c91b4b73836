'use server';

import { z } from 'zod';
import { action, rowId } from '@/app/action';
import { misread, refused, said } from '@/app/answers';
import { newCode } from '@/app/identity/identity-entry';
import { hashCode, isCode } from '@/db/codes';
import { countTry, endSession, forgetTries, isPasswordOf } from '@/db/doors';
import type { FormAnswer } from '@/ui/form/result';

const typedSchema = z.object({ present: z.string().max(200), code: z.string() });
const codeSchema = z.object({ code: newCode });

const at = (field: 'present' | 'code', sentence: string): FormAnswer => ({
  ok: false,
  problems: { [field]: sentence },
});

/** One's own short code for trusted devices; whoever sets it gives the present one, or the password. */
export const setMyCode = action(
  'see the day',
  refused,
  [typedSchema],
  async ({ members, person }, typed): Promise<FormAnswer> => {
    const read = codeSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const minutes = await countTry('present', person.id);
    if (minutes !== undefined)
      return at('present', `Too many wrong ones. Wait ${minutes} minutes.`);
    const codes = await members.codes();
    const mine = codes.find(({ personId }) => personId === person.id);
    const isPresent =
      (mine !== undefined && (await isCode(typed.present, mine.codeHash))) ||
      (await isPasswordOf(person.id, typed.present));
    if (!isPresent)
      return at(
        'present',
        mine
          ? 'That is neither your present code nor your password.'
          : 'That is not your password.',
      );
    await forgetTries('present', person.id);
    if ((await countTry('new code', person.id)) !== undefined)
      return at('code', 'You have set it often enough for a day. Nothing was changed.');
    for (const { personId, codeHash } of codes)
      if (personId !== person.id && (await isCode(read.data.code, codeHash)))
        return at('code', 'Take another one: this one will not do here.');
    await members.setCode(person.id, await hashCode(read.data.code));
    return { ok: true };
  },
);

/** An address at which one's own calendar reads the day; made where there is none. */
export const subscribeCalendar = action(
  'make own doors',
  said,
  [],
  async ({ calendarFeeds, person }) => {
    await calendarFeeds.ensure(person.id);
  },
);

/** From here on that address answers nothing. */
export const withdrawCalendar = action(
  'see the day',
  said,
  [],
  async ({ calendarFeeds, person }) => {
    await calendarFeeds.withdraw(person.id);
  },
);

/** Somebody who is signed in elsewhere by one's own name is out at once. */
export const endMySession = action('make own doors', said, [rowId], async ({ person }, id) => {
  await endSession(person.id, id);
});
