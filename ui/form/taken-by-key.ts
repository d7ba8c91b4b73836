/** What Enter and Tab take in a field that finds: what is exact, and otherwise they ask. */
import { hasWords } from '@/core/measure/has-words';

interface Named {
  readonly id: string;
  readonly text: string;
  readonly detail?: string | undefined;
}

export type TakenByKey<T extends Named> =
  | { readonly is: 'nothing' }
  | { readonly is: 'exact'; readonly option: T }
  /** The only one that goes by these letters. */
  | { readonly is: 'only'; readonly option: T }
  /** Nobody here goes by it, and nobody nearly does. */
  | { readonly is: 'new' }
  /** Several go by it, or a near name only. */
  | { readonly is: 'several' }
  | { readonly is: 'near'; readonly option: T };

/** Letters alike in case, accents and spaces. */
const plain = (text: string): string =>
  text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim();

/** What the options that were found for a text make of it. */
export function takenByKey<T extends Named>(text: string, options: readonly T[]): TakenByKey<T> {
  const typed = plain(text);
  if (typed === '') return { is: 'nothing' };
  const exact = options.filter((option) => plain(option.text) === typed);
  if (exact.length === 1 && exact[0]) return { is: 'exact', option: exact[0] };
  if (exact.length > 1) return { is: 'several' };
  const going = options.filter(({ text: name, detail = '' }) =>
    hasWords(typed, plain(`${name} ${detail}`)),
  );
  if (going.length === 1 && going[0]) return { is: 'only', option: going[0] };
  if (going.length > 1) return { is: 'several' };
  return options[0] ? { is: 'near', option: options[0] } : { is: 'new' };
}
