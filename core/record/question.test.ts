import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newtons } from '../measure/units';
import { readQuestion } from './question';

/** A Thursday. */
const NOW = '2026-11-26T09:00';
const days = (text: string) => {
  const { days: found } = readQuestion(text, NOW);
  return found && (found.from === found.to ? found.from : `${found.from} ${found.to}`);
};
const tension = (text: string) => readQuestion(text, NOW).tension;

describe('a question to the records', () => {
  it.each([
    ['24 nov', '2026-11-24'],
    ['27 nov', '2025-11-27'],
    ['24th November 2024', '2024-11-24'],
    ['24.11.', '2026-11-24'],
    ['3.1.2025', '2025-01-03'],
    ['2026-02-28', '2026-02-28'],
    ['last march', '2026-03-01 2026-03-31'],
    ['in december', '2025-12-01 2025-12-31'],
    ['feb 2024', '2024-02-01 2024-02-29'],
    ['today', '2026-11-26'],
    ['yesterday', '2026-11-25'],
    ['this week', '2026-11-23 2026-11-29'],
    ['last week', '2026-11-16 2026-11-22'],
    ['last month', '2026-10-01 2026-10-31'],
    ['last year', '2025-01-01 2025-12-31'],
  ])('reads “%s” as %s', (text, expected) => {
    expect(days(text)).toBe(expected);
    expect(readQuestion(`brill ${text} lull`, NOW).words).toEqual(['brill', 'lull']);
  });

  it('takes no day that no calendar has, and no name for a month', () => {
    expect(days('30.2.2026')).toBeUndefined();
    expect(readQuestion('march', NOW)).toMatchObject({ words: ['march'], days: undefined });
    expect(readQuestion('marchetti', NOW).words).toEqual(['marchetti']);
  });

  it('reads a tension, in pounds from 36 upwards where no unit is said', () => {
    expect(tension('23/22')).toEqual({ mainN: newtons(23, 'kg'), crossN: newtons(22, 'kg') });
    expect(tension('55/53')).toEqual({ mainN: newtons(55, 'lb'), crossN: newtons(53, 'lb') });
    expect(tension('25/25 lb')).toEqual({ mainN: newtons(25, 'lb'), crossN: newtons(25, 'lb') });
    const either = readQuestion('24/26', NOW);
    expect(either.tension?.crossN).toBe(newtons(26, 'kg'));
    expect(either.orTension).toEqual({ mainN: newtons(24, 'lb'), crossN: newtons(26, 'lb') });
    expect(readQuestion('24/26 kg', NOW).orTension).toBeUndefined();
    expect(readQuestion('8/8', NOW).orTension).toBeUndefined();
    expect(tension('24,5/23kg')?.mainN).toBe(newtons(24.5, 'kg'));
    expect(readQuestion('ada 25/25 lb lull', NOW).words).toEqual(['ada', 'lull']);
  });

  it('keeps everything else as words', () => {
    expect(readQuestion('  brill   1.25 16x19 ', NOW)).toEqual({
      words: ['brill', '1.25', '16x19'],
      days: undefined,
      tension: undefined,
    });
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (text) => {
        expect(readQuestion(text, NOW).words.every((word) => word.trim() !== '')).toBe(true);
      }),
    );
  });
});
