import { describe, expect, it } from 'vitest';
import { newtons } from '../measure/units';
import { recordOf } from '../testing/records';
import { slipOf } from './slip';

const slip = (changes = {}, unit: 'kg' | 'lb' = 'kg') =>
  slipOf({
    workshop: 'The bench',
    number: 12,
    day: '2026-01-05',
    unit,
    record: recordOf(changes),
  });

describe('the slip for the handle', () => {
  // What a slip carries: player, racket, string, tension, date, who strung it. Common practice, no source.
  it('says whose it is, what is in it, how and when it was strung, and by whom', () => {
    expect(slip()).toMatchObject({
      client: 'Ada Brill',
      racket: 'Threllan 100',
      mark: 'A1',
      layout: 'full bed',
      method: 'two pieces',
      strung: '5 Jan 2026',
      by: 'Orrin',
      judge: 'Judge it after an hour of play.',
    });
  });

  it('is written in the client’s unit, whatever the ticket was', () => {
    const { setup } = recordOf();
    const at = { setup: { ...setup, mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg') } };
    expect(slip(at, 'kg')).toMatchObject({ tension: '24/23 kg', converted: '52.9/50.7 lb' });
    expect(slip(at, 'lb')).toMatchObject({ tension: '52.9/50.7 lb', converted: '24/23 kg' });
  });

  it('names both strings of a hybrid, and one of a full bed', () => {
    expect(slip().strings.map(({ where }) => where)).toEqual(['Mains and crosses']);
    const { setup } = recordOf();
    const crosses = { ...setup.crosses, name: 'Soft', gaugeMm: 1.3, suppliedByClient: true };
    expect(slip({ setup: { ...setup, crosses } })).toMatchObject({
      layout: 'hybrid',
      strings: [{ where: 'Mains' }, { where: 'Crosses', string: 'Soft 1.30 mm (16) (yours)' }],
    });
  });

  it('leaves out who strung it where nobody was signed in', () => {
    expect(slip({ hands: null }).by).toBe('');
  });
});
