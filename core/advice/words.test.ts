import { describe, expect, it } from 'vitest';
import {
  adviceCase,
  lastJob,
  shelfString,
  ticketOf,
  type CaseChanges,
} from '../testing/advice-case';
import { newtons } from '../measure/units';
import { advise } from './advise';
import { adviceRecordSchema, recordAdvice } from './record';
import {
  byWords,
  changeWords,
  differenceWords,
  hardlyFelt,
  hoursWords,
  letterForClient,
  letterWords,
} from './words';

const n = (kg: number) => newtons(kg, 'kg');

describe('figures in words', () => {
  it('say what a step moves', () => {
    expect(byWords({ mainN: n(-1.5), crossN: n(-1.5) }, 'kg')).toBe('−1.5 kg');
    expect(byWords({ mainN: newtons(-2, 'lb'), crossN: newtons(2, 'lb') }, 'lb')).toBe('−2/+2 lb');
    expect(byWords({ mainN: 0, crossN: newtons(2, 'lb') }, 'lb')).toBe('±0/+2 lb');
  });

  // Source: practice (half a kilogram is hardly felt; a pound is the smallest step worth writing down).
  it('say when a difference is hardly felt', () => {
    const advised = ticketOf(23, 23, 'kg');
    expect(differenceWords(ticketOf(23, 23, 'kg'), advised)).toBeUndefined();
    expect(differenceWords(ticketOf(24, 23, 'kg'), advised)).toBe('+1/±0 kg from the advice');
    expect(differenceWords(ticketOf(23.25, 23.25, 'kg'), advised)).toMatch(
      /^\+0.3 kg .*hardly felt$/,
    );
    expect(hardlyFelt(ticketOf(23.5, 23, 'kg'), lastJob('multifilament', 23, 23))).toContain(
      '0.5 kg from last time',
    );
    expect(hardlyFelt(ticketOf(25, 23, 'kg'), lastJob('multifilament', 23, 23))).toBeUndefined();
    expect(hardlyFelt(ticketOf(23, 23, 'kg'), lastJob('multifilament', 23, 23))).toContain(
      'same figures',
    );
    expect(hardlyFelt(ticketOf(23, 23, 'kg'), undefined)).toBeUndefined();
  });

  it('say hours and changes', () => {
    expect(hoursWords([8.4, 15.2])).toBe('8 to 15 h');
    expect(hoursWords([0.2, 0.4])).toBe('1 h');
    expect(
      changeWords({
        power: 'more',
        control: 'as now',
        comfort: 'more',
        spin: 'much less',
        life: 'as now',
        holding: 'as now',
      }),
    ).toBe('more power and comfort, much less spin');
  });
});

function told(changes: CaseChanges, ticket = ticketOf(22.5, 22.5, 'kg')): string {
  const about = adviceCase(changes);
  const best = advise(about, { shelf: [], labourMinor: 0, unit: 'kg' }).proposals[0];
  if (!best) throw new Error('Nothing is proposed.');
  const string = {
    name: 'Threllan Lull',
    family: best.strung.mains.family,
    gaugeMm: best.strung.mains.gaugeMm,
  };
  const { staircase, reasons, changes: traits, hours } = best;
  return letterWords(
    letterForClient({
      about,
      mains: string,
      crosses: string,
      ticket,
      steps: staircase.steps,
      reasons,
      changes: traits,
      hours,
    }),
  );
}

describe('what the client is told', () => {
  it('names string, figures in both units, the start and each step, and how long it lasts', () => {
    const words = told({ talk: { arm: 'now', playsAWeek: 2 } });
    expect(words).toContain(
      'Threllan Lull, a multifilament of 1.25 mm (gauge 16L), at 22.5/22.5 kg (49.6/49.6 lb)',
    );
    expect(words).toContain(
      'beside the middle of the printed range, 24 kg, it went in 1.5 kg lower, for “arm trouble”.',
    );
    expect(words).toMatch(/good for about 13 to 18 h of play\. /);
    expect(words).toContain('no medical advice');
    const club = told({ talk: { level: 'club' } }, ticketOf(24, 24, 'kg'));
    expect(club).not.toContain('medical');
    expect(club).toContain('it is the middle of the printed range, 24 kg.');
  });
  it('adds up: it says what was pulled beside the start, with three reasons at most that went that way', () => {
    const talk: CaseChanges['talk'] = {
      age: 'junior',
      level: 'beginner',
      swing: 'slow',
      wants: ['comfort'],
    };
    const words = told({ talk }, ticketOf(21, 22, 'kg'));
    expect(words).toMatch(
      /24 kg, it went in 3 kg lower in the mains and 2 kg lower in the crosses, for “[^”]+”, “[^”]+” and “[^”]+”\./,
    );
    // Pulled higher all the same: no lowering is claimed.
    expect(told({ talk }, ticketOf(25, 25, 'kg'))).toMatch(/it went in 1 kg higher\./);
    expect(words).toContain('Your racket got');
  });
  it('keeps to itself that the stringer chose otherwise', () => {
    expect(told({ talk: { level: 'club' } }, ticketOf(25, 25, 'kg'))).not.toMatch(
      /stringer|from the advice/,
    );
  });
});

describe('the record of an advice', () => {
  it('keeps the talk, the house rules, each step and the difference', () => {
    const about = adviceCase({ talk: { arm: 'now', wants: ['control'] } });
    const mains = { string: shelfString({ name: 'Soft' }), gaugeMm: 1.25 };
    const made = recordAdvice(about, { mains, crosses: mains }, ticketOf(23.5, 22.5, 'kg'), {});
    const record = adviceRecordSchema.parse(made);
    expect(record).toEqual(made);
    expect(record.words).toContain('Soft, a multifilament of 1.25 mm');
    const { ahead, ...older } = made.house;
    expect(adviceRecordSchema.parse({ ...made, house: older }).house.ahead).toBe(ahead);
    expect(record.steps.map(({ state }) => state)).toEqual(['in', 'yields', 'in']);
    expect(ticketOf(23.5, 22.5, 'kg').mainN - record.advised.mainN).toBeCloseTo(n(1), 9);
    expect(JSON.parse(JSON.stringify(record))).toEqual(record);
  });
});
