import { describe, expect, it } from 'vitest';
import { newtons } from '../measure/units';
import { ticketOf } from '../testing/advice-case';
import { letterAsStrung, letterOf } from './letter';

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

  it('says one tension everywhere where the plan was changed in the middle of the job', () => {
    const setup = { ...ticketOf(23, 20, 'kg') };
    const [early, late] = [newtons(21, 'kg'), newtons(20, 'kg')];
    const strung = {
      mains: [{ from: 'M1L' as const, n: setup.mainN }],
      crosses: [
        { from: 'C1' as const, n: early },
        { from: 'C7' as const, n: late },
      ],
      mainN: setup.mainN,
      crossN: late,
      words: '',
    };
    const letter = {
      ...letterOf({ letter: null, words: 'A string, at 23/20 kg (50.7/44.1 lb), mains first.' }),
      whyTension: 'It is the middle.',
    };
    expect(letterAsStrung(letter, { setup, strung })).toMatchObject({
      wentIn: 'A string, at 23/21 kg (50.7/46.3 lb), mains first.',
      whyTension:
        'In the racket is 23/21 kg, crosses from C7 on 20: the plan was changed while it was strung.',
    });
    expect(letterAsStrung(letter, { setup, strung: null })).toBe(letter);
  });
});
