'use server';

import { misread, refused } from '@/app/answers';
import { myWorkshops, signedIn } from '@/app/identity/at-work';
import { newcomerSchema } from '@/app/identity/identity-entry';
import { invitedBy, takeAs } from '@/app/identity/invited';
import { forgetPerson, makePerson } from '@/app/identity/make-person';
import { sendMessage } from '@/app/identity/messages';
import { isUnproven, PROVE_FIRST } from '@/app/identity/proof';
import { countTry, isAddressKnown, stayIn } from '@/db/doors';
import type { FormAnswer } from '@/ui/form/result';

const GONE =
  'This invitation was taken already, was withdrawn, or is older than a week. Ask for another one.';

/** Whoever is signed in takes an invitation as themselves. */
export async function takeInvitation(token: unknown): Promise<string | void> {
  const person = await signedIn();
  if (!person || person.lockedAt) return 'You are signed out: sign in, and open this link again.';
  if (isUnproven(person)) return PROVE_FIRST;
  const invited = await invitedBy(token);
  if (!invited) return GONE;
  const [only, ...more] = await myWorkshops(person);
  // Who had one workshop chose none: they go on in it, wherever they are at work.
  if (only && more.length === 0) await stayIn(person.id, only.workshop.id);
  const taken = await takeAs(person.id, invited);
  if (taken === 'gone') return GONE;
  if (taken === 'here already') return `You work at ${invited.invitation.workshop} already.`;
}

/** Somebody who is new to this house takes an invitation, by a name and a password of their own. */
export async function comeInAsNew(token: unknown, typed: unknown): Promise<FormAnswer> {
  if (await signedIn()) return refused('You are signed in: reload, and take it as yourself.');
  const invited = await invitedBy(token);
  if (!invited) return refused(GONE);
  const minutes = await countTry('invitation', invited.invitation.id);
  if (minutes !== undefined)
    return refused(`That was tried too often. Wait ${minutes} minutes and try again.`);
  const read = newcomerSchema.safeParse(typed);
  if (!read.success) return misread(read.error);
  const { name, address, workshop } = invited.invitation;
  // Nobody learns by an invitation whether an address is known here; whoever has it is told.
  const isKnown = await isAddressKnown(address);
  const made = await makePerson({
    ...read.data,
    name,
    address: isKnown ? `${crypto.randomUUID()}@nowhere.invalid` : address,
  });
  if ('problems' in made) return { ok: false, problems: made.problems };
  if ((await takeAs(made.id, invited)) !== 'taken') {
    await forgetPerson(made.id);
    return refused(GONE);
  }
  if (isKnown)
    await sendMessage({
      to: address,
      subject: `Somebody came in at ${workshop}`,
      text: `Somebody who was asked to work at ${workshop} under your address came in as a new person, named ${read.data.username}. You have a way in here already: if it was you, use that one and ask the workshop for another invitation. If it was not you, tell the workshop.`,
    });
  return { ok: true };
}
