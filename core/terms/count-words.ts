/** Things counted, in words. */

/**
 * `1 step`, `7 steps`.
 *
 * @example
 * countWords(1, 'step') // '1 step'
 * countWords(7, 'step') // '7 steps'
 */
export const countWords = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;
