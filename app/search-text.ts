import { textIn } from '@/core/measure/typed';

/** What is looked for: one short plain text. */
export const searchIn = textIn.overwrite((text) => text.slice(0, 100).trim());

/** The `find` of an address. */
export function searchText(parameters: Record<string, string | string[] | undefined>): string {
  const { find } = parameters;
  return searchIn.parse((Array.isArray(find) ? find[0] : find) ?? '');
}

/** The `page` of an address, from 1. */
export function pageNumber(parameters: Record<string, string | string[] | undefined>): number {
  const { page } = parameters;
  const read = /^[1-9]\d{0,5}$/.exec((Array.isArray(page) ? page[0] : page) ?? '');
  return read ? Number(read[0]) : 1;
}
