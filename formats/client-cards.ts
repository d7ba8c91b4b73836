/** Clients as cards of an address book: vCard 4.0 (RFC 6350). */
import { mailAddressIn } from '@/core/papers/messages';
import { asText, fileOf } from './lines';

export interface CardClient {
  readonly id: string;
  readonly name: string;
  readonly contact: string;
  readonly address: string;
  readonly notes: string;
}

/** A number to call, where one stands beside the mail address. */
const NUMBER = /\+?\d[\d ()/.-]{4,}\d/;

function card({ id, name, contact, address, notes }: CardClient): readonly string[] {
  const mail = mailAddressIn(contact);
  const number = NUMBER.exec(mail ? contact.replace(mail, '') : contact)?.[0];
  const lines = address.split('\n').filter(Boolean);
  const town = lines.length > 1 ? (lines.at(-1) ?? '') : '';
  const street = lines.length > 1 ? lines.slice(0, -1).join(', ') : (lines[0] ?? '');
  return [
    'BEGIN:VCARD',
    'VERSION:4.0',
    `UID:urn:uuid:${id}`,
    `FN:${asText(name)}`,
    ...(mail ? [`EMAIL:${mail}`] : []),
    ...(number ? [`TEL;VALUE=text:${asText(number.trim())}`] : []),
    // Post box, extension, street, town, region, code, country.
    ...(address ? [`ADR:;;${asText(street)};${asText(town)};;;`] : []),
    ...(notes ? [`NOTE:${asText(notes)}`] : []),
    'END:VCARD',
  ];
}

export const clientCards = (clients: readonly CardClient[]): string =>
  fileOf(clients.flatMap(card));
