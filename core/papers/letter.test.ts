import { describe, expect, it } from 'vitest';
import { letterOf } from './letter';

describe('the letter', () => {
  it('keeps its parts', () => {
    const letter = {
      wentIn: 'A.',
      whyString: 'B.',
      whyTension: null,
      expect: null,
      lasts: 'C.',
      care: null,
    };
    expect(letterOf({ letter, words: 'A. B. C.' })).toBe(letter);
  });

  it('never tells a client how the stringer differed from the advice', () => {
    for (const apart of [
      '±0/−1 kg from the advice',
      '+0.3 kg from the advice, which is hardly felt',
      '+1.5/+1 lb from the advice',
    ])
      expect(
        letterOf({ letter: null, words: `It gets A. Your stringer chose ${apart}. It lasts.` })
          .wentIn,
      ).toBe('It gets A. It lasts.');
  });
});
