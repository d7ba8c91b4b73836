'use server';

import { z } from 'zod';
import { action } from '@/app/action';
import { misread, refused, said } from '@/app/answers';
import { shortCode } from '@/app/identity/identity-entry';
import { hashCode } from '@/db/codes';
import type { FormAnswer } from '@/ui/form/result';

const typedSchema = z.object({ code: z.string() });
const codeSchema = z.object({ code: shortCode });

/** One's own short code for trusted devices. */
export const setMyCode = action(
  'see the day',
  refused,
  [typedSchema],
  async ({ members, person }, typed): Promise<FormAnswer> => {
    const read = codeSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    await members.setCode(person.id, await hashCode(read.data.code));
    return { ok: true };
  },
);

/** An address at which one's own calendar reads the day; made where there is none. */
export const subscribeCalendar = action(
  'see the day',
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
