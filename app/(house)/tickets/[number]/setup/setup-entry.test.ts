import { describe, expect, it } from 'vitest';
import { SILENT, type Talk } from '@/core/advice/talk';
import { newtons } from '@/core/measure/units';
import { setupSchema, type SetupEntry } from './setup-entry';
import { talkEntryOf, talkEntrySchema, type TalkEntry } from './talk-entry';

const ID = '3ca4c98d-0802-4646-b8ea-951dc63098d7';
const OTHER = 'e5018647-1887-4f4f-a57c-cec9c75b3442';
const schema = setupSchema('tennis', 'kg');
const typed: SetupEntry = {
  talk: talkEntryOf(SILENT),
  switched: {},
  todaysRules: false,
  mainStringId: ID,
  mainGauge: '1.25',
  mainSupplied: true,
  hybrid: false,
  crossStringId: '',
  crossGauge: '',
  crossSupplied: false,
  ownWord: '',
  overPrint: '',
  tension: '55/53',
};

function problems(entry: unknown, of: { safeParse: typeof schema.safeParse } = schema) {
  const read = of.safeParse(entry);
  return Object.fromEntries(
    (read.error?.issues ?? []).map(({ path, message }) => [path.join('.'), message]),
  );
}

describe('a setup', () => {
  it('without a second string takes the mains’ for the crosses', () => {
    const { mains, crosses, tension } = schema.parse(typed);
    expect(crosses).toEqual({ id: ID, gaugeMm: 1.25, supplied: true });
    expect(crosses).toEqual(mains);
    expect(tension).toEqual({ mainN: newtons(55, 'lb'), crossN: newtons(53, 'lb'), unit: 'lb' });
  });
  it('goes by the advice where nobody typed a tension', () => {
    expect(schema.parse({ ...typed, tension: '  ' }).tension).toBeNull();
  });
  it('as a hybrid needs both', () => {
    const hybrid = { ...typed, hybrid: true };
    expect(problems(hybrid)).toMatchObject({
      crossStringId: expect.stringContaining('for the crosses') as string,
      crossGauge: expect.stringContaining('millimetres') as string,
    });
    expect(schema.parse({ ...hybrid, crossStringId: OTHER, crossGauge: '17' }).crosses).toEqual({
      id: OTHER,
      gaugeMm: 1.22,
      supplied: false,
    });
  });
  it('refuses a tension that is none', () => {
    expect(problems({ ...typed, tension: '55/5' }).tension).toContain('not a tennis tension');
    expect(problems({ ...typed, mainStringId: '' }).mainStringId).toContain('Choose the string');
  });
});

describe('the talk as it is typed', () => {
  const said: TalkEntry = {
    ...talkEntryOf(SILENT),
    arm: 'now',
    armPart: 'elbow',
    wants: ['comfort'],
    playsAWeek: '2,5',
    altitudeM: '1800 m',
    asks: '24/23',
    before: '52 lb',
    weightG: '305 g',
    leadHeadG: '6',
  };
  const read = talkEntrySchema('tennis', 'kg');

  it('is read, and comes back', () => {
    const talk: Talk = read.parse(said);
    expect(talk).toMatchObject({
      arm: 'now',
      armPart: 'elbow',
      playsAWeek: 2.5,
      altitudeM: 1800,
      age: null,
      asks: { mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' },
      before: { mainN: newtons(52, 'lb'), unit: 'lb' },
      racket: { weightG: 305, leadHeadG: 6, grip: null },
    });
    expect(read.parse(talkEntryOf(talk))).toEqual(talk);
    expect(read.parse(talkEntryOf(SILENT))).toEqual(SILENT);
  });

  it.each([
    [{ playsAWeek: 'often' }, 'talk.playsAWeek', '0 to 14 times'],
    [{ playsAWeek: '15' }, 'talk.playsAWeek', '0 to 14 times'],
    [{ altitudeM: '9000' }, 'talk.altitudeM', 'Metres above the sea'],
    [{ asks: 'tight' }, 'talk.asks', '55/53'],
    [{ weightG: '3 kg' }, 'talk.weightG', '50 to 450 g'],
    [{ leadHandleG: '80' }, 'talk.leadHandleG', '0 to 60 g'],
  ])('%j is answered at its field', (changes, field, part) => {
    expect(problems({ ...typed, talk: { ...said, ...changes } })[field]).toContain(part);
  });

  it('refuses an answer that nobody offered', () => {
    expect(problems({ ...typed, talk: { ...said, arm: 'broken' } })).toHaveProperty('talk.arm');
  });
});
