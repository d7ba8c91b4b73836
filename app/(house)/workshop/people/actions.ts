'use server';

import { cookies } from 'next/headers';
import { z } from 'zod';
import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, misread, refused, said } from '@/app/answers';
import { myWorkshops } from '@/app/identity/at-work';
import { DEVICE_COOKIE, deviceCookie, newDeviceToken } from '@/app/identity/device';
import { invitationSchema, personName, type InvitationEntry } from '@/app/identity/identity-entry';
import { newInvitation } from '@/app/identity/invited';
import { passwordLink } from '@/app/identity/make-person';
import { sendMessage } from '@/app/identity/messages';
import { ROLES } from '@/core/house/role-rights';
import { hashToken } from '@/db/codes';
import { changeSession, countTry, endSessionsOn, personNamed } from '@/db/doors';
import type { FormAnswer } from '@/ui/form/result';

/** A link by which somebody comes in, shown once to who asked for it. */
export type LinkAnswer = FormAnswer & { readonly link?: string };

const noLink = (sentence: string): LinkAnswer => refused(sentence);

const LAST_OWNER = 'Somebody has to own the workshop: make another one its owner first.';

/** Asks somebody in; who they are here already, or whether at all, is theirs to say. */
export const invite = action(
  'change people',
  noLink,
  [entryOf<InvitationEntry>()],
  async ({ invitations, person, workshop }, typed): Promise<LinkAnswer> => {
    const read = invitationSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    if ((await countTry('invite', workshop.id)) !== undefined)
      return refused('So many were asked in today that it is enough: go on tomorrow.');
    const { link, ...kept } = newInvitation();
    await invitations.add({ ...read.data, ...kept, invitedBy: person.id });
    const { name, address, role } = read.data;
    await sendMessage({
      to: address,
      subject: `${workshop.name} asks you in`,
      text: `${name}, ${person.name} asks you to work at ${workshop.name} as ${role}. Take it within a week, by the address of the workshop, followed by:\n\n${link}\n\nIf you do not want to, nothing has to be done.`,
    });
    return { ok: true, link };
  },
);

export const withdrawInvitation = action(
  'change people',
  said,
  [rowId],
  async ({ invitations }, id) => {
    await invitations.withdraw(id);
  },
);

export const changeRole = action(
  'change people',
  refused,
  [rowId, rowVersion, z.enum(ROLES)],
  async ({ together }, id, version, role) => {
    const saved = await together(({ members }) => members.change(id, version, { role }));
    return saved === 'last owner' ? refused(LAST_OWNER) : answerTo(saved, 'person');
  },
);

export const letGo = action(
  'change people',
  said,
  [rowId, rowVersion],
  async ({ together }, id, version) => {
    const saved = await together(({ members }) =>
      members.change(id, version, { leftAt: new Date() }),
    );
    if (saved === 'last owner') return LAST_OWNER;
    return saved === 'changed'
      ? 'This person was changed in another tab meanwhile: reload.'
      : undefined;
  },
);

/** Undoes that somebody was let go. */
export const takeBack = action('change people', said, [rowId], async ({ together }, id) => {
  await together(({ members }) => members.comeBack(id));
});

/** A new link for somebody who has lost their password and reads no messages. */
export const newLink = action(
  'change people',
  noLink,
  [rowId],
  async ({ members }, id): Promise<LinkAnswer> => {
    const member = (await members.all()).find((each) => each.id === id);
    if (!member || member.leftAt) return refused('This person does not work here any more.');
    // Whoever holds the link becomes this person, also where another owner has the say.
    if ((await myWorkshops({ id: member.personId })).length > 1)
      return refused(
        'This person works in another workshop too, so only they can ask for a link: at the door, under Forgotten.',
      );
    return { ok: true, link: await passwordLink(member.personId) };
  },
);

/** Whoever did not do it themselves learns of it. */
async function tellOfDevice(
  { name, username }: { readonly name: string; readonly username: string },
  device: string,
): Promise<void> {
  const email = (await personNamed(username))?.email;
  if (email)
    await sendMessage({
      to: email,
      subject: 'A new trusted device of your workshop',
      text: `${name}, “${device}” was made a trusted device just now: on it, hands change with a short code. If it was not you, forget it under Workshop, People, and change your password.`,
    });
}

export const trustThisDevice = action(
  'trust devices',
  refused,
  [z.object({ name: z.string() })],
  async ({ devices, person, workshop }, typed): Promise<FormAnswer> => {
    const read = personName.safeParse(typed.name);
    if (!read.success)
      return { ok: false, problems: { name: 'Write where it stands: the bench at the window.' } };
    const token = newDeviceToken();
    const id = await devices.trust(read.data, hashToken(token), person.id);
    (await cookies()).set(DEVICE_COOKIE, `${workshop.id}.${token}`, deviceCookie);
    await changeSession(person.sessionId, { deviceId: id });
    await tellOfDevice(person, read.data);
    return { ok: true };
  },
);

export const forgetDevice = action('trust devices', said, [rowId], async ({ devices }, id) => {
  await devices.forget(id);
  // Whoever is signed in on it is out at once.
  await endSessionsOn(id);
});

/** Whether the owners come in by a password alone; who asks it of others has it already, or nobody could take it back. */
export const askSecondStep = action(
  'change people',
  said,
  [rowVersion, z.boolean()],
  async ({ changeWorkshop, person }, version, ownersSecondStep) => {
    if (ownersSecondStep && !person.isAskedTwice)
      return 'Set up your own second step first, under your name; then ask it of the others.';
    return (await changeWorkshop(version, { ownersSecondStep })) === 'saved'
      ? undefined
      : 'The workshop was changed in another tab meanwhile: reload.';
  },
);
