'use server';

import { redirect } from 'next/navigation';
import { rowId } from '@/app/action';
import { myWorkshops, signedIn } from '@/app/identity/at-work';
import { misread, refused } from '@/app/answers';
import { isUnproven, PROVE_FIRST } from '@/app/identity/proof';
import { workshopStartSchema } from '@/app/identity/identity-entry';
import { database } from '@/db/connection';
import { changeSession } from '@/db/doors';
import { foundWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';

/** Goes on in another workshop of theirs. */
export async function workIn(workshopId: unknown): Promise<void> {
  const person = await signedIn();
  if (!person) redirect('/sign-in');
  if (person.lockedAt) redirect('/locked');
  if (isUnproven(person)) redirect('/prove?to=/workshops');
  const chosen = rowId.safeParse(workshopId);
  const mine = await myWorkshops(person);
  if (!chosen.success || !mine.some(({ workshop }) => workshop.id === chosen.data))
    redirect('/workshops');
  await changeSession(person.sessionId, { workshopId: chosen.data, watchedBy: null });
  redirect('/');
}

/** Another workshop for somebody who owns one. */
export async function openAnother(typed: unknown): Promise<FormAnswer> {
  const person = await signedIn();
  if (!person || person.lockedAt) return refused('You are signed out: sign in again.');
  if (isUnproven(person)) return refused(PROVE_FIRST);
  if (!(await myWorkshops(person)).some(({ role }) => role === 'owner'))
    return refused('Only who owns a workshop here opens another one.');
  const read = workshopStartSchema.safeParse(typed);
  if (!read.success) return misread(read.error);
  const { workshop: name, ...facts } = read.data;
  const id = await foundWorkshop(database(), person.id, undefined, { name, ...facts });
  await changeSession(person.sessionId, { workshopId: id, watchedBy: null });
  return { ok: true };
}
