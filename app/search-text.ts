import { textIn } from '@/core/measure/reading';

/** What is looked for: one short plain text. */
export const searchIn = textIn.overwrite((text) => text.slice(0, 100).trim());

/** The `find` of an address. */
export function searchText(parameters: Record<string, string | string[] | undefined>): string {
  const { find } = parameters;
  return searchIn.parse((Array.isArray(find) ? find[0] : find) ?? '');
}
