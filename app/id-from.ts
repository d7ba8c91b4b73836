import { createHash } from 'node:crypto';

/** The id of the `i`th of what one form keeps, from the id that the form made: sent twice, it is the same. */
export function idFrom(first: string, i: number): string {
  if (i === 0) return first;
  const hash = createHash('sha256').update(`${first} ${i}`).digest('hex');
  return [
    hash.slice(0, 8),
    hash.slice(8, 12),
    `5${hash.slice(13, 16)}`,
    `8${hash.slice(17, 20)}`,
    hash.slice(20, 32),
  ].join('-');
}
