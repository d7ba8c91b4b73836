/** Messages to clients: the workshop's own words, with what belongs to this client put in. */
import { z } from 'zod';
import { failure, success, type Result } from '../terms/result';

export const MESSAGE_KINDS = ['ready', 'due', 'receipt'] as const;
export type MessageKind = (typeof MESSAGE_KINDS)[number];

/** What can be put in, by kind. */
export const PLACES: Readonly<Record<MessageKind, readonly string[]>> = {
  ready: ['client', 'racket', 'workshop', 'to pay', 'page'],
  due: ['client', 'racket', 'workshop', 'strung', 'due', 'page'],
  receipt: ['client', 'racket', 'workshop', 'paid', 'way', 'day', 'page'],
};

const templateSchema = z.object({ subject: z.string(), text: z.string() });
export const templatesSchema = z.object({
  ready: templateSchema,
  due: templateSchema,
  receipt: templateSchema,
});
export type Templates = z.infer<typeof templatesSchema>;

export const USUAL_TEMPLATES: Templates = {
  ready: {
    subject: 'Your racket is strung',
    text: 'Dear {client},\n\nyour {racket} is strung and waits for you. {to pay}.\n\nWhat is in it, and how it ages: {page}\n\n{workshop}',
  },
  due: {
    subject: 'Your strings have done their time',
    text: 'Dear {client},\n\nthe strings in your {racket} went in on {strung} and have done their time by {due}. Bring it by when it suits you.\n\n{page}\n\n{workshop}',
  },
  receipt: {
    subject: 'Thank you',
    text: 'Dear {client},\n\nwe received {paid} by {way} on {day} for your {racket}. Thank you.\n\n{page}\n\n{workshop}',
  },
};

const PLACE = /\{([^{}]*)\}/g;

/**
 * Whether a text asks only for what its kind of message has.
 *
 * @example
 * checkTemplate('ready', 'Dear {client}').ok // true
 */
export function checkTemplate(kind: MessageKind, text: string): Result<string> {
  for (const [, place = ''] of text.matchAll(PLACE))
    if (!PLACES[kind].includes(place))
      return failure('template.no place', {
        place: place.slice(0, 40),
        places: PLACES[kind].map((each) => `{${each}}`).join(', '),
      });
  return success(text);
}

/**
 * A text with everything put in; what nobody has is left empty.
 *
 * @example
 * fillTemplate('Dear {client}', { client: 'Ada' }) // 'Dear Ada'
 */
export const fillTemplate = (text: string, values: Readonly<Record<string, string>>): string =>
  text.replace(PLACE, (_, place: string) => values[place] ?? '');

/** Letters, figures and what stands between them, an at sign, a name with a dot. */
const ADDRESS =
  /[\w.!#$%&'*+/=?^`{|}~-]{1,64}@[a-z0-9](?:[a-z0-9-]*[a-z0-9])?(?:\.[a-z0-9](?:[a-z0-9-]*[a-z0-9])?)+/i;

/**
 * The mail address in what a client gave as a way to reach them; undefined where there is none.
 *
 * Source: the addresses that browsers take (HTML, `input type=email`), with a dot in the domain.
 *
 * @example
 * mailAddressIn('0171 5550, ada@court.example') // 'ada@court.example'
 */
export const mailAddressIn = (contact: string): string | undefined => ADDRESS.exec(contact)?.[0];

/** Whom a message that waited is to, as they stand when it is to go out. */
export interface Standing {
  readonly name: string;
  readonly contact: string;
  readonly mayWrite: 'unasked' | 'yes' | 'no';
  readonly isCollected: boolean;
  /** The racket that it is about is still theirs. */
  readonly hasIt: boolean;
  /** It came in again since. */
  readonly cameAgain: boolean;
}

/**
 * Where a message that waited goes, or why it goes nowhere any more: a server may have been away for hours, and what was
 * true then need not be now.
 *
 * @example
 * whereTo('ready', { name: 'Ada', contact: 'ada@court.example', mayWrite: 'yes', isCollected: false, hasIt: true, cameAgain: false }) // { to: 'ada@court.example' }
 */
export function whereTo(
  kind: MessageKind,
  { name, contact, mayWrite, isCollected, hasIt, cameAgain }: Standing,
): { readonly to: string } | { readonly not: string } {
  if (mayWrite === 'no') return { not: 'They do not want messages.' };
  if (mayWrite === 'unasked') return { not: 'They have not said that they may be written to.' };
  if (!hasIt) return { not: 'The racket is somebody else’s now.' };
  if (kind === 'due' && cameAgain) return { not: 'They came meanwhile.' };
  if (kind === 'ready' && isCollected) return { not: 'It was collected meanwhile.' };
  const to = mailAddressIn(contact);
  return to ? { to } : { not: `There is no mail address of ${name} any more.` };
}
