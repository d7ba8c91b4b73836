import { describe, expect, it } from 'vitest';
import { ALL_GOOD } from '@/core/reading/last-look';
import { lookEntryOf, lookSchema } from './look-entry';

describe('a last look as it is pressed', () => {
  it('comes back as it was kept', () => {
    const kept = { ...ALL_GOOD, weave: 'mended', hz: 655.5 } as const;
    expect(lookSchema.parse(lookEntryOf(kept))).toEqual(kept);
    expect(lookSchema.parse(lookEntryOf(ALL_GOOD))).toEqual(ALL_GOOD);
  });

  it('is not whole while a line has no answer', () => {
    const typed = { ...lookEntryOf(ALL_GOOD), knots: '' as const };
    expect(lookSchema.safeParse(typed).error?.issues[0]?.message).toContain('not looked at yet');
    expect(lookSchema.safeParse(lookEntryOf(null)).success).toBe(false);
  });

  it.each(['9', '3001', 'high', '-500', '1e3'])('takes “%s” for no pitch', (hz) => {
    const read = lookSchema.safeParse({ ...lookEntryOf(ALL_GOOD), hz });
    expect(read.error?.issues[0]?.message).toContain('between 100 and 3000 Hz');
  });

  it('reads a pitch with a comma', () => {
    expect(lookSchema.parse({ ...lookEntryOf(ALL_GOOD), hz: '655,5' }).hz).toBe(655.5);
  });
});
