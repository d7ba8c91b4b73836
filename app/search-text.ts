import { textIn } from '@/core/measure/reading';

/** What is looked for: one short plain text. */
export const searchIn = textIn.overwrite((text) => text.slice(0, 100).trim());

/** The `find` of an address. */
export function searchText(parameters: Record<string, string | string[] | undefined>): string {
  const { find } = parameters;
  return searchIn.parse((Array.isArray(find) ? find[0] : find) ?? '');
}

/** Rows on one page of a list. */
const A_PAGE = 50;

/** The `page` of an address, from 1. */
export function pageNumber(parameters: Record<string, string | string[] | undefined>): number {
  const { page } = parameters;
  const read = /^[1-9]\d{0,5}$/.exec((Array.isArray(page) ? page[0] : page) ?? '');
  return read ? Number(read[0]) : 1;
}

/** The rows of one page of those that were asked for with one more than it holds, and whether there are more. */
export const onePage = <T>(
  rows: readonly T[],
): { readonly rows: readonly T[]; readonly more: boolean } => ({
  rows: rows.slice(0, A_PAGE),
  more: rows.length > A_PAGE,
});

/** What a page of a list asks the records for. */
export const span = (page: number): readonly [limit: number, offset: number] => [
  A_PAGE + 1,
  (page - 1) * A_PAGE,
];
