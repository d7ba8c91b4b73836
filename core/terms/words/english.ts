/**
 * The one place where a message becomes a sentence. Another language is another catalogue of the same keys.
 * Sentences are ICU messages, so that plurals and choices are the translator's and not the code's.
 */
import { IntlMessageFormat } from 'intl-messageformat';
import { listed } from '../listed';
import { ADVICE_WORDS } from './advice';
import { BENCH_WORDS } from './bench';
import { FRAME_WORDS } from './frame';
import { HOUSE_WORDS } from './house';
import { LEDGER_WORDS } from './ledger';
import type { MessageOf, Value, ValuesOf } from './message';
import { METHOD_SENTENCES } from './methods';
import { MISHAP_WORDS } from './mishap';
import { READING_WORDS } from './reading';
import { REFUSAL_WORDS } from './refusals';
import { TIP_WORDS } from './tips';

export const ENGLISH = {
  ...ADVICE_WORDS,
  ...BENCH_WORDS,
  ...FRAME_WORDS,
  ...HOUSE_WORDS,
  ...LEDGER_WORDS,
  ...METHOD_SENTENCES,
  ...MISHAP_WORDS,
  ...READING_WORDS,
  ...REFUSAL_WORDS,
  ...TIP_WORDS,
} as const;

export type MessageKey = keyof typeof ENGLISH;
export type Message = MessageOf<MessageKey>;

/** The keys of sentences that ask for no value. */
export type PlainKey = {
  [K in MessageKey]: ValuesOf<(typeof ENGLISH)[K]> extends [] ? K : never;
}[MessageKey];

/**
 * A sentence to be said, with what it is about; a key or a value that is missing does not compile.
 *
 * @example
 * message('step.pull', { string: 'M3L' }) // { key: 'step.pull', values: { string: 'M3L' } }
 */
export const message = <K extends MessageKey>(
  key: K,
  ...[values]: ValuesOf<(typeof ENGLISH)[K]>
): Message => ({ key, values: values ?? {} });

const formats = new Map<MessageKey, IntlMessageFormat>();

function formatOf(key: MessageKey): IntlMessageFormat {
  const known = formats.get(key);
  if (known) return known;
  const made = new IntlMessageFormat(ENGLISH[key], 'en', undefined, { ignoreTag: true });
  formats.set(key, made);
  return made;
}

const asText = (value: Value): string | number =>
  typeof value === 'object' ? listed(value) : value;

/**
 * A message in English; of several, each is a clause that goes on from the one before it.
 *
 * @example
 * english(message('undo.free', { holders: ['clamp 1', 'clamp 2'] })) // 'free clamp 1 and clamp 2'
 */
export function english(said: Message | readonly Message[]): string {
  if (!('key' in said)) return said.map(english).join('');
  const { key, values } = said;
  const texts = Object.entries(values).map(([name, value]) => [name, asText(value)] as const);
  // Most sentences ask for nothing, and need no formatter made for them.
  if (texts.length === 0) return ENGLISH[key];
  return String(formatOf(key).format(Object.fromEntries(texts)));
}

/**
 * Clauses that make one sentence with a comma between them.
 *
 * @example
 * sentence([message('undo.take again', { string: 'M2R' }), message('undo.let down')]) // 'Take the tail of M2R in the head again, let the head down slowly.'
 */
export function sentence(clauses: readonly Message[]): string {
  const text = clauses.map(english).join(', ');
  return `${text.slice(0, 1).toUpperCase()}${text.slice(1)}.`;
}

/**
 * A message said at once.
 *
 * @example
 * say('way.bridge') // 'Bridge the last pulls'
 */
export const say = <K extends MessageKey>(
  key: K,
  ...values: ValuesOf<(typeof ENGLISH)[K]>
): string => english(message(key, ...values));
