import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { rowId } from './action';
import { idFrom } from './id-from';

describe('the ids of what one form keeps', () => {
  it('are the same when the form is sent twice, and otherwise never', () => {
    const [one, other] = [randomUUID(), randomUUID()];
    const ids = [one, other].flatMap((first) =>
      Array.from({ length: 200 }, (_, i) => idFrom(first, i)),
    );
    expect(new Set(ids).size).toBe(400);
    expect(idFrom(one, 0)).toBe(one);
    expect(idFrom(one, 7)).toBe(ids[7]);
  });

  // Source: RFC 9562, 4 (version and variant), as the reader of every id here asks it.
  it('are ids as the database takes them', () => {
    const first = randomUUID();
    for (let i = 0; i < 50; i++) expect(rowId.safeParse(idFrom(first, i)).success).toBe(true);
  });
});
