// As the house writes: no comma before the last.
const lists = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/**
 * Several things in a row.
 *
 * @example
 * listed(['clamp 1', 'clamp 2', 'clamp 3']) // 'clamp 1, clamp 2 and clamp 3'
 */
export const listed = (words: readonly string[]): string => lists.format(words);
