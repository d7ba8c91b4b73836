'use server';

import { misread, refused } from '@/app/answers';
import { firstStartSchema } from '@/app/identity/identity-entry';
import { makePerson } from '@/app/identity/make-person';
import { database } from '@/db/connection';
import { aloneAtFirstStart, isAnybodyKnown, ownerlessWorkshop } from '@/db/doors';
import { foundWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';

/** The owner and the workshop, once in the life of a house. */
export async function firstStart(typed: unknown): Promise<FormAnswer> {
  const read = firstStartSchema.safeParse(typed);
  if (!read.success) return misread(read.error);
  const { name, username, address, password, ...workshop } = read.data;
  return aloneAtFirstStart(async () => {
    if (await isAnybodyKnown())
      return refused('This house has its owner already: sign in, or ask them to take you in.');
    const before = await ownerlessWorkshop();
    const made = await makePerson({ name, username, address, password });
    if ('problems' in made) return { ok: false, problems: made.problems };
    await foundWorkshop(database(), made.id, before?.id, {
      name: workshop.workshop,
      tensionUnit: workshop.tensionUnit,
      currency: workshop.currency,
      timeZone: workshop.timeZone,
    });
    return { ok: true, go: '/take-in' };
  });
}
