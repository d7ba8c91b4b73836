/** Messages to clients: put into the outbox with consent, and sent to a mail server behind the answer. */
import { randomUUID } from 'node:crypto';
import { after } from 'next/server';
import { dayAt, formatDay } from '@/core/measure/promised-time';
import { houseAgeing } from './house-ageing';
import { bedToday } from '@/core/ageing/bed-today';
import {
  fillTemplate,
  mailAddressIn,
  USUAL_TEMPLATES,
  whereTo,
  type MessageKind,
} from '@/core/papers/messages';
import { payWords } from '@/core/papers/payment';
import type { OpenWorkshop } from '@/db/workshop';
import type { OpenHouse } from './identity/at-work';
import { deliver, namedMailServer } from './mail-server';
import { clientPage, ourAddress } from './our-address';

interface About {
  /** Tells a second one of the same kind from the first; nothing where there is one alone. */
  readonly about: string;
  readonly values: Readonly<Record<string, string>>;
}

/** Sent behind one answer at most. */
const MOST_AT_ONCE = 20;

/** What became of a message, and a sentence about it. */
interface Put {
  readonly kept: boolean;
  readonly words: string;
}
const not = (words: string): Put => ({ kept: false, words });

/** Puts a message about a closed job into the outbox; a reminder at most once a month, and to nobody who has come since. */
export async function putInOutbox(
  open: OpenHouse,
  number: number,
  kind: MessageKind,
  { about, values }: About,
): Promise<Put> {
  const { tickets, clients, rackets, clientLinks, outbox, workshop, person } = open;
  const ticket = await tickets.get(number);
  // A reminder is to who has the racket now, all else to who had it strung.
  const whose = kind === 'due' && ticket ? await rackets.get(ticket.racketId) : ticket;
  const client = whose && (await clients.get(whose.clientId));
  if (!ticket?.record || !ticket.closedAt || !client)
    return not('There is no closed job to write about.');
  // The page that a message leads to, and the way out of all messages, are the new owner's.
  if (kind !== 'due' && ticket.strungFor !== null)
    return not(`This racket is somebody else’s now: write to ${client.name} by hand.`);
  if (client.mayWrite !== 'yes')
    return not(
      `${client.name} has not said that they may be written to: ask, and mark it under the client.`,
    );
  const toAddress = mailAddressIn(client.contact);
  if (!toAddress)
    return not(`There is no mail address of ${client.name}: write it under how to reach them.`);
  if (kind === 'due' && (await outbox.isOvertaken({ ticketId: ticket.id })))
    return not('This racket came in again since: nobody is reminded of a bed that is out.');
  const address = await ourAddress();
  const page = clientPage(address, await clientLinks.ensure(ticket.racketId));
  const strung = dayAt(ticket.closedAt, workshop.timeZone);
  const { mark, frameName } = ticket.record.racket;
  const all: Readonly<Record<string, string>> = {
    client: client.name,
    racket: mark ? `${frameName}, ${mark}` : frameName,
    workshop: workshop.name,
    page,
    'to pay': payWords(
      ticket.toPayMinor ?? 0,
      ticket.paidMinor,
      ticket.record.price?.currency ?? workshop.currency,
      workshop.locale,
    ).replace(/^./, (letter) => letter.toUpperCase()),
    strung: formatDay(strung),
    due: formatDay(
      bedToday(ticket.record, strung, strung, {
        ...houseAgeing(workshop),
        playsAWeek: client.talk?.playsAWeek ?? null,
      }).due.day,
    ),
    ...values,
  };
  const { subject, text } = (workshop.templates ?? USUAL_TEMPLATES)[kind];
  const letter = {
    id: randomUUID(),
    clientId: client.id,
    ticketId: ticket.id,
    toAddress,
    subject: fillTemplate(subject, all),
    text: `${fillTemplate(text, all)}\n\n--\nNo more messages: ${page}/no-more\n`,
  };
  const kept =
    kind === 'due'
      ? await open.together((records) => records.outbox.addReminder(person.id, letter, new Date()))
      : await outbox.add(person.id, { ...letter, kind, about });
  if (kept === 'kept') return { kept: true, words: `A message to ${toAddress} is in the outbox.` };
  return not(
    kind === 'due'
      ? `${client.name} was reminded within the last month: once a month is enough.`
      : 'This was written to them already, and goes out once only.',
  );
}

/** Sends what waits, one after the other; what fails stays, with the reason. */
async function sendWaiting({ outbox, together, workshop }: OpenWorkshop): Promise<void> {
  for (let i = 0; i < MOST_AT_ONCE; i++) {
    const letter = await together((records) => records.outbox.hold(new Date()));
    if (!letter) return;
    const where = whereTo(letter.kind, await outbox.standing(letter));
    if ('not' in where) {
      await outbox.drop(letter.id, where.not);
      continue;
    }
    const toAddress = where.to;
    try {
      const server = namedMailServer();
      if (!server) throw new Error('none is named here (ORTHOTENS_SMTP).');
      await deliver({ ...letter, toAddress }, workshop.name, server);
      await outbox.sent(letter.id, toAddress);
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      await outbox.failed(
        letter.id,
        `The mail server did not take it: ${why}`.slice(0, 400),
        new Date(),
      );
    }
  }
}

/** Sends what waits as soon as this request is answered. */
export function sendSoon(open: OpenWorkshop): void {
  after(() => sendWaiting(open).catch((error: unknown) => console.error('The outbox:', error)));
}
