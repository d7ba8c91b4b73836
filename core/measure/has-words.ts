/**
 * Whether every word that is looked for stands somewhere in a text, in any order and case; of nothing that is looked for, always.
 *
 * @example
 * hasWords('drawer LULL', 'Threllan Lull 1.30, drawer 2') // true
 */
export function hasWords(find: string, text: string): boolean {
  const there = text.toLowerCase();
  return find
    .toLowerCase()
    .split(/\s+/)
    .every((word) => there.includes(word));
}
