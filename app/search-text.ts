/** The `find` of an address, as one plain text. */
export function searchText(parameters: Record<string, string | string[] | undefined>): string {
  const { find } = parameters;
  return (Array.isArray(find) ? find[0] : find)?.slice(0, 100).replaceAll('\0', '').trim() ?? '';
}
