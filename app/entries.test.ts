/** What people type into the forms, as the server reads it once more. */
import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { ALL_GOOD } from '@/core/reading/last-look';
import type { ClosingQuestion } from '@/core/record/closing';
import { frameSpec, ruledRows } from '@/core/testing/frame-spec';
import { clientEntryOf, clientEntrySchema, emptyClientEntry } from './(house)/clients/client-entry';
import {
  emptyFrameEntry,
  frameEntryOf,
  frameEntrySchema,
  rangeHint,
  type FrameEntry,
} from './(house)/frames/frame-entry';
import { emptyStringEntry, stringEntryOf, stringEntrySchema } from '@/core/strings/string-facts';
import {
  askedSchema,
  promiseEntry,
  takeInSchema,
  type TakeInEntry,
} from './(house)/take-in/take-in-entry';
import {
  answersOf,
  asked,
  handOverSchema,
} from './(house)/tickets/[number]/hand-over/hand-over-entry';
import { lookEntryOf } from './(house)/tickets/[number]/last-look/look-entry';
import {
  workshopEntryOf,
  workshopSchema,
  type WorkshopEntry,
} from './(house)/workshop/workshop-entry';
import { answerTo, misread, Undone, wholly } from './answers';
import { searchText } from './search-text';

const ID = '3ca4c98d-0802-4646-b8ea-951dc63098d7';
const OTHER = 'e5018647-1887-4f4f-a57c-cec9c75b3442';

function problems(schema: z.ZodType, entry: unknown): Record<string, string> {
  const read = schema.safeParse(entry);
  const answer = read.success ? undefined : misread(read.error);
  return answer && !answer.ok ? { ...answer.problems } : {};
}

describe('a frame', () => {
  const schema = frameEntrySchema('kg');
  const typed = (changes: Partial<FrameEntry>): FrameEntry => ({
    ...emptyFrameEntry('tennis', 'Frame'),
    ...changes,
  });

  it('is read into what it says', () => {
    const { name, spec } = schema.parse(
      typed({
        headSkip: '9 7',
        throatSkip: 'none',
        tieOff: '8t 6H',
        range: '50-60',
        lengthMm: '33.6 cm',
      }),
    );
    expect(name).toBe('Frame');
    expect(spec.head.lengthMm).toBe(336);
    expect(spec.holes.head.skip).toEqual([7, 9]);
    expect(spec.holes.throat.skip).toEqual([]);
    expect(spec.holes.tieOff).toEqual(['8T', '6H']);
    expect(spec.tension).toEqual({ min: 50, max: 60, unit: 'lb' });
  });

  it('comes back into its form as it was stored', () => {
    for (const spec of [
      frameSpec({
        head: [7, 9],
        throat: [],
        tieOff: ['8H'],
        tension: { min: 22, max: 26, unit: 'kg' },
      }),
      frameSpec({
        sport: 'squash',
        lengthMm: 330,
        widthMm: 178,
        outline: 'egg',
        mains: 14,
        crosses: 18,
        bridgeHoles: 6,
      }),
      frameSpec({
        bridgeHoles: null,
        positionsMm: ruledRows(
          { lengthMm: 336, widthMm: 248 },
          [6, 18, 30, 42.5, 55, 68, 81.5, 95],
          Array.from({ length: 19 }, (_, i) => 34 + i * 15),
        ),
      }),
      frameSpec({
        head: [7, 9],
        throat: [7, 9],
        headOutermost: 10,
        tieOff: ['8HL', '6T'],
        double: ['2H'],
        ports: ['1T'],
        stringing: {
          mainsStart: 'head',
          methods: ['two-piece', 'one-piece'],
          crossesFrom: 'throat',
          reversedOuterMains: true,
          stepDown: { strings: 3, by: 5, unit: 'lb' },
        },
      }),
    ])
      expect(schema.parse(frameEntryOf('Frame', spec))).toEqual({ name: 'Frame', spec });
  });

  it('by measured widths keeps the readings, and says when they make no head', () => {
    const widths = '40:160 100:226 168:248 240:223 300:150';
    const { spec } = schema.parse(typed({ outline: 'measured', widths }));
    expect(spec.head.outline).toHaveLength(5);
    expect(frameEntryOf('Frame', spec).widths).toBe(widths);
    expect(problems(schema, typed({ outline: 'measured', widths: '40:160' })).widths).toContain(
      'at least three',
    );
    expect(
      problems(schema, typed({ outline: 'measured', widths, widthMm: '200' })).widths,
    ).toContain('said to be 200 mm wide');
  });

  it('a blank field is named, one problem at each', () => {
    const found = problems(schema, typed({ name: ' ', lengthMm: '', mains: '', crosses: 'many' }));
    expect(Object.keys(found).sort()).toEqual(['crosses', 'lengthMm', 'mains', 'name']);
  });

  it('starts usable in every sport', () => {
    for (const sport of ['tennis', 'badminton', 'squash'] as const)
      expect(problems(schema, emptyFrameEntry(sport, 'Frame'))).toEqual({});
  });

  it('hints at its range in both units', () => {
    expect(rangeHint('22-26', 'tennis', 'lb')).toBe('22 to 26 kg · 48.5 to 57.3 lb');
    expect(rangeHint('', 'tennis', 'kg')).toBeUndefined();
  });
});

describe('a string', () => {
  const typed = { ...emptyStringEntry, name: 'S', gauges: '1.30 16L', price: '9.5' };
  it('is read and comes back', () => {
    const facts = stringEntrySchema('EUR').parse({ ...typed, set: '40ft', stretch: '4,5 %' });
    expect(facts).toMatchObject({ gaugesMm: [1.24, 1.3], setPriceMinor: 950, stretch: 0.045 });
    expect(facts.setMm).toBeCloseTo(12_192, 9);
    const again = stringEntrySchema('EUR').parse(stringEntryOf(facts, 'EUR'));
    expect(again).toMatchObject({ gaugesMm: [1.24, 1.3], setPriceMinor: 950, stretch: 0.045 });
    expect(again.setMm).toBeCloseTo(12_192, 6);
  });
  it('keeps everything that advice needs', () => {
    const full = {
      subKind: 'polyester',
      shape: 'angular',
      colour: 'slate',
      reel: '200',
      reelPrice: '99',
      mass: '1,7 g',
      life: '9 h',
      holding: '62 %',
      notFor: 'juniors; arm trouble',
    };
    const facts = stringEntrySchema('EUR').parse({ ...typed, ...full });
    expect(facts).toMatchObject({
      subKind: 'polyester',
      shape: 'angular',
      reelMm: 200_000,
      reelPriceMinor: 9900,
      massGPerM: 1.7,
      lifeHours: 9,
      holding: 0.62,
      notFor: ['juniors', 'arm trouble'],
    });
    expect(stringEntrySchema('EUR').parse(stringEntryOf(facts, 'EUR'))).toEqual(facts);
  });
  it.each([
    [{ gauges: '' }, 'gauges', 'sold in'],
    [{ gauges: '0.68' }, 'gauges', 'no tennis string'],
    [{ set: '2' }, 'set', '4 to 20 m'],
    [{ set: 'long' }, 'set', '40ft'],
    [{ price: 'free' }, 'price', '18.50'],
    [{ stretch: '40' }, 'stretch', '0 to 25'],
    [{ family: 'wire' }, 'family', 'one of natural gut, multifilament'],
    [{ shape: 'square' }, 'shape', 'one of round, angular, textured'],
    [{ reel: '200' }, 'reelPrice', 'both, or neither'],
    [{ reelPrice: '99' }, 'reel', 'both, or neither'],
    [{ reel: '20', reelPrice: '9' }, 'reel', '50 to 1000 m'],
    [{ mass: '15 g' }, 'mass', '0.2 to 5 g'],
    [{ life: 'long' }, 'life', '8 to 15 for monofilament'],
    [{ holding: '5 %' }, 'holding', '20 to 100'],
    [{ notFor: 'giants' }, 'notFor', 'arm trouble, juniors'],
    [{ name: '' }, 'name', 'Give the string a name'],
    [{ notes: 'x'.repeat(4001) }, 'notes', '4000 letters'],
  ])('%j is answered at its field', (changes, field, part) =>
    expect(problems(stringEntrySchema('EUR'), { ...typed, ...changes })[field]).toContain(part),
  );
});

describe('a racket over the counter', () => {
  const schema = takeInSchema('2026-11-24T10:30');
  const typed: TakeInEntry = {
    requestKey: ID,
    clientId: '',
    clientName: 'Ada',
    newClient: true,
    contact: '',
    racketId: '',
    frameId: '',
    frameLabel: 'Some frame',
    mark: '',
    promised: 'fri',
    wish: '',
    condition: '',
    more: [],
    alike: true,
    again: '',
  };
  it('needs a client and a frame, known or new', () => {
    expect(schema.parse(typed).promised).toBe('2026-11-27T18:00');
    expect(problems(schema, { ...typed, clientName: ' ' }).clientName).toContain('Whose racket');
    expect(problems(schema, { ...typed, clientName: '', clientId: OTHER })).toEqual({});
    expect(problems(schema, { ...typed, frameLabel: '' }).frameLabel).toContain('Which frame');
    expect(problems(schema, { ...typed, frameLabel: '', racketId: OTHER })).toEqual({});
    expect(problems(schema, { ...typed, frameLabel: 'x'.repeat(200) }).frameLabel).toContain('120');
  });
  it('refuses a passed promise, a forged id and a long note', () => {
    expect(problems(schema, { ...typed, promised: '2026-11-23' }).promised).toContain('has passed');
    expect(problems(schema, { ...typed, clientId: "x'; drop" })).toHaveProperty('clientId');
    expect(problems(schema, { ...typed, condition: 'x'.repeat(10_000) }).condition).toContain(
      '4000',
    );
  });
  it('keeps a promise that has passed while something else is changed, and takes no new one that has', () => {
    const given = '2026-11-23T18:00';
    const late = askedSchema('2026-11-24T10:30', given);
    const asked = { promised: promiseEntry(given), wish: 'softer', condition: '' };
    expect(late.parse(asked)).toEqual({ promised: given, wish: 'softer', condition: '' });
    expect(problems(late, { ...asked, promised: '2026-11-23 17:00' }).promised).toContain(
      'has passed',
    );
    expect(late.parse({ ...asked, promised: 'today 18:00' }).promised).toBe('2026-11-24T18:00');
  });
  it('keeps any script, and drops what nobody typed', () => {
    expect(schema.parse({ ...typed, wish: 'ليلى 🎾\u0000' }).wish).toBe('ليلى 🎾');
  });
});

describe('client, workshop and hand-over', () => {
  it('go there and back', () => {
    const client = { ...emptyClientEntry, name: ' Ada ', unit: 'lb' as const };
    expect(clientEntryOf(clientEntrySchema.parse(client))).toEqual({ ...client, name: 'Ada' });
    expect(problems(clientEntrySchema, { ...client, contact: 'x'.repeat(201) }).contact).toContain(
      '200',
    );

    const entry: WorkshopEntry = {
      name: 'Bench',
      tensionUnit: 'lb',
      lengthSystem: 'imperial',
      currency: 'usd',
      timeZone: 'Europe/Lisbon',
      labour: '25',
      gripperMm: '14 in',
      knotMm: '6',
      tailMm: '6',
      marginMm: '0',
      armSpanMm: '178',
      methodPreference: 'least string',
      hand: 'practised',
    };
    const facts = workshopSchema.parse(entry);
    expect(facts).toMatchObject({ currency: 'USD', labourMinor: 2500 });
    expect(facts.cutAssumptions.gripperMm).toBeCloseTo(355.6, 9);
    const shown = workshopEntryOf(facts);
    expect(workshopEntryOf(workshopSchema.parse(shown))).toEqual(shown);
    expect(
      problems(workshopSchema, { ...entry, currency: 'gold', timeZone: 'Here', knotMm: '90' }),
    ).toMatchObject({
      currency: expect.stringContaining('EUR') as string,
      timeZone: expect.stringContaining('Europe/Lisbon') as string,
    });
    expect(problems(workshopSchema, { ...entry, knotMm: '90' }).knotMm).toContain('2 to 20 cm');
  });

  it('a hand-over is read whole: money, tails, the last look and what is undone', () => {
    const schema = handOverSchema('EUR');
    const entry = {
      labour: '16',
      string: '0',
      leftOver: ['85', ''],
      remarks: '',
      goes: 'waits' as const,
      look: lookEntryOf(null),
      noLook: true,
      strungUnseen: true,
      notFromShelf: false,
      grommets: 'left' as const,
      extra: ['done' as const, '' as const],
    };
    const read = schema.parse(entry);
    expect(read).toEqual({
      ...entry,
      labour: 1600,
      string: 0,
      leftOver: [850, null],
      look: null,
    });
    expect(answersOf(read)).toMatchObject({ look: false, noLook: true, extra: ['done', ''] });
    const looked = schema.parse({ ...entry, noLook: false, look: lookEntryOf(ALL_GOOD) });
    expect(looked.look).toEqual(ALL_GOOD);
    expect(answersOf(looked).look).toBe(true);
    const half = { ...lookEntryOf(null), weave: 'mended' as const };
    expect(problems(schema, { ...entry, look: half })['look.hz']).toContain('not looked at yet');
    expect(problems(schema, { ...entry, labour: '-1', string: '' })).toHaveProperty('string');
    // Each question is answered at a field of the form.
    const questions: readonly ClosingQuestion[] = [
      { is: 'steps', kept: 0, of: undefined },
      { is: 'stock', pieces: ['crosses'] },
      { is: 'look' },
      { is: 'grommets', holes: ['7H left'] },
      { is: 'extra', line: 1, name: 'Grip' },
    ];
    expect(questions.map((each) => asked(each)[0])).toEqual([
      'strungUnseen',
      'notFromShelf',
      'noLook',
      'grommets',
      'extra.1',
    ]);
  });
});

describe('answers', () => {
  it('tell late changes apart', () => {
    expect(answerTo('saved', 'client', '/x')).toEqual({ ok: true, go: '/x' });
    expect(answerTo('changed', 'client')).toMatchObject({
      notice: expect.stringContaining('another tab') as string,
    });
    expect(answerTo('gone', 'client')).toMatchObject({
      notice: expect.stringContaining('removed') as string,
    });
  });
  it('turn an undone transaction into its sentence, and nothing else', async () => {
    expect(await wholly(() => Promise.reject(new Undone({ ok: false, notice: 'no' })))).toEqual({
      ok: false,
      notice: 'no',
    });
    await expect(wholly(() => Promise.reject(new Error('database')))).rejects.toThrow('database');
  });
  it('read a search from an address of any kind', () => {
    expect(searchText({ find: ' ada ' })).toBe('ada');
    expect(searchText({ find: ['first', 'second'] })).toBe('first');
    expect(searchText({})).toBe('');
    expect(searchText({ find: `a\0${'b'.repeat(300)}` }).length).toBeLessThanOrEqual(100);
  });
});
