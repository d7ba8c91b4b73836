'use server';

import { cookies } from 'next/headers';
import { z } from 'zod';
import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, misread, refused, said } from '@/app/answers';
import { myWorkshops } from '@/app/identity/at-work';
import { DEVICE_COOKIE, deviceCookie, newDeviceToken } from '@/app/identity/device';
import { personName, personSchema, type PersonEntry } from '@/app/identity/identity-entry';
import { makePerson, passwordLink } from '@/app/identity/make-person';
import { sendMessage } from '@/app/identity/messages';
import { ROLES } from '@/core/house/policy';
import { hashToken } from '@/db/codes';
import { changeSession, personNamed } from '@/db/doors';
import type { FormAnswer } from '@/ui/form/result';

/** A link at which somebody makes their password, shown once to who asked for it. */
export type LinkAnswer = FormAnswer & { readonly link?: string };

const noLink = (sentence: string): LinkAnswer => refused(sentence);

const LAST_OWNER = 'Somebody has to own the workshop: make another one its owner first.';

/** Takes somebody in: a new person, or one who works in another workshop of this house already. */
export const addPerson = action(
  'change people',
  noLink,
  [entryOf<PersonEntry>()],
  async ({ members, workshop }, typed): Promise<LinkAnswer> => {
    const read = personSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const { role, ...person } = read.data;
    const known = await personNamed(person.username);
    if (known) {
      const here = (await members.all()).find(({ personId }) => personId === known.id);
      if (here && !here.leftAt)
        return { ok: false, problems: { username: `${here.name} works here already.` } };
      if (known.email !== person.address)
        return {
          ok: false,
          problems: {
            username:
              'Somebody signs in with this name already. If it is this person, write their address as they gave it; if not, choose another name.',
          },
        };
      await members.add(known.id, role);
      return { ok: true };
    }
    const made = await makePerson(person);
    if ('problems' in made) return { ok: false, problems: made.problems };
    await members.add(made.id, role);
    const link = await passwordLink(made.id);
    await sendMessage({
      to: person.address,
      subject: `You work at ${workshop.name}`,
      text: `${person.name}, you were taken in as ${role}. Your name to sign in with is ${person.username}. Make your password within three days; the address of the workshop, followed by:\n\n${link}`,
    });
    return { ok: true, link };
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
    if (saved === 'changed') return 'This person was changed in another tab meanwhile: reload.';
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
    return { ok: true };
  },
);

export const forgetDevice = action('trust devices', said, [rowId], async ({ devices }, id) => {
  await devices.forget(id);
});
