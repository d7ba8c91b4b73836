import { describe, expect, it } from 'vitest';
import { english } from '../terms/words/english';
import { ALL_GOOD, lastLookSchema, leftAsItIs, lessons, lessonWords, LOOKS } from './last-look';

describe('the last look', () => {
  it('teaches what was not good at once in several of the last twenty jobs, the most frequent first', () => {
    const weave = { ...ALL_GOOD, weave: 'mended' } as const;
    const both = { ...weave, marks: 'left' } as const;
    expect(lessons([weave])).toEqual([]);
    expect(lessons([weave, both, ALL_GOOD, both])).toEqual([
      { look: 'weave', times: 3, of: 4 },
      { look: 'marks', times: 2, of: 4 },
    ]);
    // Long ago is forgiven.
    expect(lessons([...Array.from({ length: 20 }, () => ALL_GOOD), weave, weave])).toEqual([]);
  });

  it('says what was left, and has words for each', () => {
    expect(leftAsItIs({ ...ALL_GOOD, runs: 'left', gaps: 'left', knots: 'mended' })).toEqual([
      'gaps',
      'runs',
    ]);
    for (const look of LOOKS)
      expect(english(lessonWords({ look, times: 3, of: 10 }))).toContain('3 of the last 10');
    expect(lastLookSchema.safeParse({ ...ALL_GOOD, hz: 5 }).success).toBe(false);
  });
});
