import { describe, expect, it } from 'vitest';
import { earnings, type EarningJob } from './earning';

const job = (facts: Partial<EarningJob>): EarningJob => ({
  strings: 'Keel 1.25',
  incomeMinor: 3000,
  minutes: 40,
  cuts: [{ key: 'keel', mm: 12_000 }],
  ...facts,
});

// Source: arithmetic. 30.00 less 12 m at 1 ct a cm is 18.00 in 40 min, 27.00 an hour.
const PRICES = new Map([
  ['keel', 0.1],
  ['gut', 0.3],
]);

describe('what a string earns in an hour', () => {
  it('is what is left when it is paid', () => {
    expect(earnings([job({})], PRICES)).toEqual([
      { strings: 'Keel 1.25', jobs: 1, hourMinor: 2700, minutesAJob: 40 },
    ]);
  });

  it('weighs jobs by their minutes, and puts what earns most first', () => {
    const gut = { strings: 'Gut', cuts: [{ key: 'gut', mm: 12_000 }], incomeMinor: 6600 };
    const earned = earnings(
      [job({}), job({ minutes: 80 }), job({ ...gut, minutes: 30 }), job({ ...gut, minutes: 60 })],
      PRICES,
    );
    expect(
      earned.map(({ strings, hourMinor, minutesAJob }) => [strings, hourMinor, minutesAJob]),
    ).toEqual([
      ['Gut', 4000, 45],
      ['Keel 1.25', 1800, 60],
    ]);
  });

  it('has what the client brought for nothing, and leaves out what has no price and what took no time', () => {
    const earned = earnings(
      [
        job({ cuts: [], strings: 'Their own' }),
        job({ cuts: [{ key: 'unknown', mm: 1 }], strings: 'Unknown' }),
        job({ minutes: 0, strings: 'Not timed' }),
      ],
      PRICES,
    );
    expect(earned).toEqual([{ strings: 'Their own', jobs: 1, hourMinor: 4500, minutesAJob: 40 }]);
  });
});
