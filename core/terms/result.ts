/** A computed value, or why there is none: which refusal it is, what it is about, and one clear sentence. */
import { english, message, type ENGLISH, type Message, type MessageKey } from './words/english';
import type { ValuesOf } from './words/message';

/** One shape for all that is refused. The sentence says what is wrong and what would be right. */
export interface Refusal {
  readonly code: MessageKey;
  readonly values: Message['values'];
  readonly problem: string;
}

export type Refused = { readonly ok: false } & Refusal;
export type Result<T> = { readonly ok: true; readonly value: T } | Refused;

/**
 * @example
 * success(16) // { ok: true, value: 16 }
 */
export const success = <T>(value: T): { readonly ok: true; readonly value: T } => ({
  ok: true,
  value,
});

const refusalFor = (why: Message): Refusal => ({
  code: why.key,
  values: why.values,
  problem: english(why),
});

/**
 * Why something cannot be, by its code and what it is about.
 *
 * @example
 * refusal('count.unread').problem // 'Write a whole number, as counted: 16.'
 */
export const refusal = <K extends MessageKey>(
  code: K,
  ...values: ValuesOf<(typeof ENGLISH)[K]>
): Refusal => refusalFor(message(code, ...values));

/**
 * A message as the reason of a refusal.
 *
 * @example
 * refused({ key: 'count.unread', values: {} }).code // 'count.unread'
 */
export const refused = (why: Message): Refused => ({ ok: false, ...refusalFor(why) });

/**
 * A refusal as the result of what was asked.
 *
 * @example
 * failure('count.unread').ok // false
 */
export const failure = <K extends MessageKey>(
  code: K,
  ...values: ValuesOf<(typeof ENGLISH)[K]>
): Refused => refused(message(code, ...values));
