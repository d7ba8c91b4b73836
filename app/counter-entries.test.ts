import { describe, expect, it } from 'vitest';
import {
  extraLinesFrom,
  inspectEntryOf,
  inspectionFrom,
  inspectSchema,
} from '@/app/(house)/tickets/[number]/inspect/inspect-entry';
import { paymentSchema } from '@/app/(house)/jobs/[number]/payment-entry';
import { jobRow } from '@/app/(house)/jobs/job-row';
import { jobsAsked } from '@/app/(house)/jobs/asked';
import { daysAsked } from '@/app/(house)/money/days';
import {
  itemEntryOf,
  itemSchema,
  papersEntryOf,
  papersSchema,
  templatesEntrySchema,
} from '@/app/(house)/workshop/papers/papers-entry';
import { takeInSchema, type TakeInEntry } from '@/app/(house)/take-in/take-in-entry';
import { creditSchema } from '@/app/(print)/invoices/invoice-entry';
import type { ExtraWork } from '@/core/counter/extra-work';
import { NOT_LOOKED_AT, type Inspection } from '@/core/counter/inspection';
import { newtons } from '@/core/measure/units';
import { USUAL_TEMPLATES } from '@/core/papers/messages';
import { jobListIn } from '@/core/record/job-list';

type Schema = {
  safeParse: (value: unknown) => {
    error?: { issues: readonly { path: PropertyKey[]; message: string }[] } | undefined;
  };
};
/** Each field's first sentence. */
const problems = (schema: Schema, value: unknown): Record<string, string> =>
  Object.fromEntries(
    (schema.safeParse(value).error?.issues ?? [])
      .toReversed()
      .map(({ path, message }) => [path.join('.'), message]),
  );

const SCHEMA = inspectSchema('EUR');
const seenOf = (inspection: Inspection | null) =>
  inspectEntryOf({ inspection, extra: null }, 'EUR');
const extraOf = (extra: ExtraWork | null) => inspectEntryOf({ inspection: null, extra }, 'EUR');

describe('an inspection', () => {
  const entry = {
    ...seenOf(null),
    flaws: ['crack' as const, 'dent' as const],
    where: 'at the throat',
    grommets: [{ hole: '7H left', state: 'split' as const }],
    bumper: 'worn' as const,
    broke: 'at a knot' as const,
    tied: 'two hitches',
    word: 'I know.',
  };

  it('goes there and back', () => {
    const read = SCHEMA.parse(entry);
    const kept = inspectionFrom(read, null, '2026-02-03', 'Nell');
    expect(kept.frame).toEqual([
      { what: 'crack', where: 'at the throat' },
      { what: 'dent', where: 'at the throat' },
    ]);
    expect(kept.ownersWord).toEqual({ text: 'I know.', day: '2026-02-03', takenBy: 'Nell' });
    expect(seenOf(kept)).toEqual(entry);
    expect(seenOf(NOT_LOOKED_AT)).toEqual(seenOf(null));
  });

  it('keeps the day and the taker of a word that stood there before, and takes a new one anew', () => {
    const first = inspectionFrom(SCHEMA.parse(entry), null, '2026-02-03', 'Nell');
    const again = (word: string) =>
      inspectionFrom(SCHEMA.parse({ ...entry, word }), first, '2026-02-09', 'Orrin').ownersWord;
    expect(again('I know.')).toEqual(first.ownersWord);
    expect(again('I know, really.')).toMatchObject({ day: '2026-02-09', takenBy: 'Orrin' });
    expect(again('')).toBeNull();
  });

  it('takes nothing that no racket shows', () => {
    expect(problems(SCHEMA, { ...entry, bumper: 'blue' })).toHaveProperty('bumper');
    expect(problems(SCHEMA, { ...entry, word: 'x'.repeat(4001) }).word).toContain('4000');
  });
});

describe('extra work', () => {
  const line = { kind: 'grip' as const, name: 'Grip', quantity: '2', unit: '6.50', taxBp: 2300 };

  it('goes there and back, in the decimals of its currency', () => {
    const read = SCHEMA.parse({ ...seenOf(null), lines: [line], how: ' at the counter ' });
    const lines = extraLinesFrom(read);
    expect(lines).toEqual([
      { kind: 'grip', name: 'Grip', quantity: 2, unitMinor: 650, taxBp: 2300 },
    ]);
    expect(read.how).toBe('at the counter');
    const kept = { lines: [...lines], agreed: { how: 'yes', day: '2026-02-03', by: 'Nell' } };
    expect(extraOf(kept)).toMatchObject({ lines: [line], how: 'yes' });
    expect(extraOf(null)).toMatchObject({ lines: [], how: '' });
  });

  it.each([
    ['quantity', '0'],
    ['quantity', '1.5'],
    ['quantity', '100'],
    ['unit', 'dear'],
    ['unit', '1.234'],
    ['name', ' '],
  ])('answers a %s of “%s” at its field', (field, value) => {
    const spoilt = { ...seenOf(null), lines: [{ ...line, [field]: value }], how: '' };
    expect(problems(SCHEMA, spoilt)).toHaveProperty(`lines.0.${field}`);
  });

  it('of a currency without smaller coins takes whole amounts', () => {
    const yen = { ...seenOf(null), lines: [{ ...line, unit: '650' }], how: '' };
    expect(extraLinesFrom(inspectSchema('JPY').parse(yen))[0]?.unitMinor).toBe(650);
    expect(problems(inspectSchema('JPY'), { ...yen, lines: [line] })['lines.0.unit']).toContain(
      'JPY has no smaller coin',
    );
  });
});

describe('a payment', () => {
  const entry = {
    amount: '16.50',
    way: 'cash',
    day: '2026-02-03',
    kind: 'paid',
    over: '',
    note: '',
  };

  it('is read in its currency', () => {
    expect(paymentSchema('EUR').parse(entry)).toMatchObject({ amount: 1650, way: 'cash' });
    expect(paymentSchema('KWD').parse(entry).amount).toBe(16_500);
  });

  it.each([
    ['amount', '0'],
    ['amount', '-5'],
    ['amount', ''],
    ['way', 'promise'],
    ['day', '2026-02-30'],
    ['day', 'today'],
  ])('answers a %s of “%s” at its field', (field, value) => {
    expect(problems(paymentSchema('EUR'), { ...entry, [field]: value })).toHaveProperty(field);
  });
});

describe('papers and prices', () => {
  const facts = {
    locale: 'de-AT',
    address: 'A\nB',
    country: 'AT',
    taxNumber: 'X',
    taxIncluded: false,
    labourTaxBp: 2000,
    stringTaxBp: 550,
  };

  it('go there and back', () => {
    expect(papersSchema.parse(papersEntryOf(facts))).toEqual(facts);
    const item = { name: 'Grip', kind: 'grip' as const, unitMinor: 650, taxBp: 550 };
    expect(itemSchema('EUR').parse(itemEntryOf(item, 'EUR'))).toEqual(item);
    expect(templatesEntrySchema.parse(USUAL_TEMPLATES)).toEqual(USUAL_TEMPLATES);
  });

  it.each([
    ['country', 'Austria', 'two letters'],
    ['locale', 'klingon spoken', 'en-GB'],
    ['labourTax', '101', 'percentage'],
    ['stringTax', 'some', 'percentage'],
    ['address', 'x'.repeat(401), '400'],
  ])('answer a %s of “%s” with what would be right', (field, value, part) => {
    const entry = { ...papersEntryOf(facts), [field]: value };
    expect(problems(papersSchema, entry)[field]).toContain(part);
  });

  it('take no message that asks for what it does not have, nor one without words', () => {
    const spoilt = { ...USUAL_TEMPLATES, due: { subject: ' ', text: 'Dear {money}' } };
    const found = problems(templatesEntrySchema, spoilt);
    expect(found['due.subject']).toContain('needs words');
    expect(found['due.text']).toContain('money');
  });

  it('a credit note needs its reason', () => {
    const credit = creditSchema('EUR');
    expect(problems(credit, { amount: '', why: '  ' }).why).toContain('credit note');
    expect(credit.parse({ amount: '10', why: 'a scratch' })).toEqual({
      amount: 1000,
      why: 'a scratch',
    });
    expect(credit.parse({ amount: '', why: 'all' }).amount).toBeNull();
    expect(problems(credit, { amount: '0', why: 'x' })).toHaveProperty('amount');
  });
});

describe('several rackets at once', () => {
  const racket = (i: number) => ({
    requestKey: `00000000-0000-4000-8000-00000000000${i}`,
    racketId: '',
    frameId: '',
    frameLabel: `Frame ${i}`,
    mark: '',
    wish: '',
  });
  const entry: TakeInEntry = {
    ...racket(0),
    clientId: '',
    clientName: 'Ada',
    newClient: true,
    contact: '',
    promised: '+2d',
    condition: '',
    more: [racket(1), racket(2)],
    alike: true,
    again: '',
  };
  const schema = takeInSchema('2026-02-03T09:00');

  it('are taken as they are', () => {
    expect(schema.parse(entry).more).toHaveLength(2);
  });

  it('answer each at its own line', () => {
    const found = problems(schema, {
      ...entry,
      more: [racket(1), { ...racket(2), frameLabel: ' ' }],
    });
    expect(found).toEqual({
      'more.1.frameLabel': 'Which frame is it? Or take this racket off again.',
    });
  });

  it('cannot be the same racket twice', () => {
    const same = '00000000-0000-4000-8000-0000000000aa';
    expect(
      problems(schema, {
        ...entry,
        racketId: same,
        more: [{ ...racket(1), racketId: same }],
      })['more.0.racketId'],
    ).toContain('twice');
  });

  it('are twenty at most', () => {
    const many = Array.from({ length: 20 }, () => racket(1));
    expect(problems(schema, { ...entry, more: many }).more).toContain('20');
  });
});

describe('a list of jobs', () => {
  const job = {
    id: 'i',
    number: 12,
    closedAt: new Date('2026-02-03T23:30:00Z'),
    client: 'Ada',
    sport: 'tennis',
    frame: 'Threllan 100',
    mark: 'A1',
    mainN: newtons(24, 'kg'),
    crossN: newtons(23, 'kg'),
    strung: null,
    unit: 'kg' as const,
    mains: 'Lull',
    mainGaugeMm: 1.25,
    crosses: 'Lull',
    crossGaugeMm: 1.25,
    by: null,
    machine: null,
    priceMinor: 2150,
    currency: 'EUR',
    toPayMinor: 2150,
    paidMinor: 0,
    collectedAt: null,
  };
  const shop = { timeZone: 'Europe/Athens', currency: 'EUR', locale: 'en-GB' };

  it('reads on the clock of the workshop, and says what is open', () => {
    expect(jobRow(job, shop)).toMatchObject({
      day: '4 Feb 2026',
      racket: 'Threllan 100, A1',
      mains: 'Lull 1.25',
      crosses: '',
      price: '€21.50',
      open: 'to pay, not collected',
    });
    const done = { ...job, paidMinor: 2150, collectedAt: new Date(), crosses: 'Soft' };
    expect(jobRow(done, shop)).toMatchObject({ open: '', crosses: 'Soft 1.25' });
    // It was priced before the workshop changed its currency.
    expect(jobRow({ ...job, currency: 'JPY' }, shop).price).toBe('JP¥2,150');
    // Of before payments were kept nobody says that it is to be paid.
    expect(jobRow({ ...job, toPayMinor: null, collectedAt: new Date() }, shop).open).toBe('');
  });

  it('asks the records for what its address says', () => {
    const asked = jobsAsked({ least: '10', most: 'dear', find: 'ada' }, shop);
    expect(asked).toMatchObject({
      leastMinor: 1000,
      mostMinor: undefined,
      question: { words: ['ada'] },
    });
    expect(jobsAsked({}, shop)).toEqual({
      list: jobListIn({}),
      question: undefined,
      leastMinor: undefined,
      mostMinor: undefined,
    });
  });
});

describe('the days of the money', () => {
  const today = '2026-02-03';

  it('are today, one day, or from one to another, whichever way round', () => {
    expect(daysAsked({}, today)).toEqual({ from: today, to: today });
    expect(daysAsked({ day: '2026-01-05' }, today)).toEqual({
      from: '2026-01-05',
      to: '2026-01-05',
    });
    expect(daysAsked({ from: '2026-02-01', to: '2026-01-01' }, today)).toEqual({
      from: '2026-01-01',
      to: '2026-02-01',
    });
    expect(daysAsked({ from: 'soon', to: ['2026-01-01'] }, today)).toEqual({
      from: today,
      to: today,
    });
  });
});
