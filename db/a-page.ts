/** A list, page by page. */

/** Rows on one page of a list. */
export const A_PAGE = 50;

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

/** The same of rows that are all there; beyond the last page it is the last one, for what stood there may be gone. */
export function pageOf<T>(
  all: readonly T[],
  asked: number,
): ReturnType<typeof onePage<T>> & { readonly page: number } {
  const page = Math.min(asked, Math.max(1, Math.ceil(all.length / A_PAGE)));
  const [limit, offset] = span(page);
  return { ...onePage(all.slice(offset, offset + limit)), page };
}
