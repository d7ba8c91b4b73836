/** What a form takes at its longest is kept by the database, and can be read again. */
import { describe, expect, it } from 'vitest';
import { SILENT } from '@/core/advice/talk';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { FLAWS } from '@/core/counter/inspection';
import { USUAL_TEMPLATES } from '@/core/papers/messages';
import { LOOKED } from '@/core/reading/last-look';
import { readDocument, writeDocument, type Shape } from '@/db/document';
import {
  BALANCE,
  BED_SEEN,
  BENCH_HOURS,
  CUT_ASSUMPTIONS,
  EVENT_DAYS,
  EXTRA_WORK,
  FRAME_SPEC,
  HOUSE_RULES,
  INSPECTION,
  LAST_LOOK,
  STANDING_ORDERS,
  TALK,
  TEMPLATES,
} from '@/db/shapes';
import { eventSchema, newEvent } from './(house)/events/event-entry';
import {
  NEW_PLAYER,
  playerEntryOf,
  playerSchema,
} from './(house)/events/[id]/players/player-entry';
import {
  emptyFrameEntry,
  frameEntryReading,
  frameEntrySchema,
  type FrameEntry,
} from './(house)/frames/frame-entry';
import { balanceSchema, NOT_WEIGHED } from './(house)/rackets/[id]/balance/balance-entry';
import { NOTHING_TYPED, seenSchema } from './(house)/rackets/[id]/reading/seen-entry';
import {
  extraLinesFrom,
  inspectEntryOf,
  inspectionFrom,
  inspectSchema,
} from './(house)/tickets/[number]/inspect/inspect-entry';
import { lookEntryOf, lookSchema } from './(house)/tickets/[number]/last-look/look-entry';
import { talkEntryOf, talkEntrySchema } from './(house)/tickets/[number]/setup/talk-entry';
import { benchSchema, NEW_BENCH } from './(house)/workshop/benches/bench-entry';
import { houseEntryOf, houseEntrySchema } from './(house)/workshop/house-rules/house-entry';
import { templatesEntrySchema } from './(house)/workshop/papers/papers-entry';
import { workshopSchema } from './(house)/workshop/workshop-entry';

const NOT_INSPECTED = inspectEntryOf({ inspection: null, extra: null }, 'EUR');
const NOTE = 'x'.repeat(4000);
const LINE = 'x'.repeat(200);
const NAME = 'x'.repeat(120);

/** Kept and read again: the same. */
function keeps<T extends object>(shape: Shape<T>, value: T): void {
  const stored = JSON.parse(JSON.stringify(writeDocument(shape, value))) as Record<string, unknown>;
  expect(readDocument(shape, stored)).toEqual(value);
}

/** Days of a year, one a line. */
const days = (count: number): string =>
  Array.from({ length: count }, (_, i) =>
    new Date(Date.UTC(2026, 0, 1 + i)).toISOString().slice(0, 10),
  )
    .map((day) => `${day} 8-10 11-12 13-14 15-16 17-18 19-20`)
    .join('\n');

describe('kept at its longest', () => {
  const frame = (changes: Partial<FrameEntry>): FrameEntry => ({
    ...emptyFrameEntry('tennis', NAME),
    ...changes,
  });

  it('a frame with all that is to be remembered at the bench', () => {
    keeps(FRAME_SPEC, frameEntrySchema('kg').parse(frame({ benchNotes: NOTE })).spec);
  });

  it('a head measured every few millimetres, and no closer', () => {
    // An ellipse of 336 × 248 mm.
    const widthAt = (d: number) => 248 * Math.sqrt(1 - ((168 - d) / 168) ** 2);
    const measured = (count: number) => {
      const at = Array.from({ length: count }, (_, i) => 20 + Math.round((i * 280) / count));
      return frame({
        outline: 'measured',
        widths: at.map((d) => `${d}:${widthAt(d).toFixed(2)}`).join(' '),
      });
    };
    keeps(FRAME_SPEC, frameEntrySchema('kg').parse(measured(60)).spec);
    expect(frameEntrySchema('kg').safeParse(measured(61)).error?.issues[0]).toMatchObject({
      path: ['widths'],
      message: 'Up to 60 widths are read: every centimetre is enough.',
    });
  });

  it('holes that are ruled end where no head has more', () => {
    const ruled = (count: number) =>
      frameEntryReading('kg').safeParse(
        frame({ headMm: Array.from({ length: count }, (_, i) => 2 * i + 1).join(' ') }),
      );
    expect(ruled(60).success).toBe(true);
    expect(ruled(61).error?.issues[0]).toMatchObject({ path: ['headMm'] });
  });

  it('an inspection with the word of an owner who has much to say', () => {
    const entry = inspectSchema('EUR').parse({
      ...NOT_INSPECTED,
      flaws: [...FLAWS],
      where: LINE,
      tied: LINE,
      word: NOTE,
      grommets: Array.from({ length: 120 }, (_, i) => ({ hole: `${i}H left`, state: 'split' })),
    });
    keeps(INSPECTION, inspectionFrom(entry, null, '2026-02-03', NAME));
  });

  it('extra work of thirty lines, and how the client agreed to it', () => {
    const line = { kind: 'other', name: NAME, quantity: '99', unit: '999999999.99', taxBp: 10_000 };
    const lines = Array.from({ length: 30 }, () => line);
    const read = inspectSchema('EUR').parse({ ...NOT_INSPECTED, lines, how: 'x'.repeat(400) });
    keeps(EXTRA_WORK, {
      lines: [...extraLinesFrom(read)],
      agreed: { how: read.how, day: '2026-02-03', by: NAME },
    });
  });

  it('the hours of a bench and the days of an event', () => {
    const others = days(400);
    keeps(BENCH_HOURS, benchSchema.parse({ ...NEW_BENCH, name: NAME, others }).hours);
    const event = { ...newEvent([], 0, 'EUR'), name: NAME, days: others };
    keeps(EVENT_DAYS, eventSchema('EUR').parse(event).days);
  });

  it('what a player always wants, line by line', () => {
    const orders = Array.from({ length: 12 }, () => '2 at 24/23 kg, every match').join('\n');
    const player = { ...playerEntryOf(NEW_PLAYER), orders };
    keeps(STANDING_ORDERS, playerSchema('tennis', 'kg').parse(player).orders);
  });

  it('a racket with twenty parts of long names, none of them cut short', () => {
    const parts = (name: string) =>
      Array.from({ length: 20 }, () => `1 g 60-180 ${name}`).join('\n');
    const weighed = { ...NOT_WEIGHED, mass: '305.125', balance: '320.5', swing: '290', grip: LINE };
    keeps(BALANCE, balanceSchema.parse({ ...weighed, parts: parts('x'.repeat(60)) }));
    expect(
      balanceSchema.safeParse({ ...weighed, parts: parts('x'.repeat(61)) }).error?.issues[0],
    ).toMatchObject({ path: ['parts'], message: 'Keep the name of a part under 60 letters.' });
  });

  it('a bed that was gone over everywhere, and a last look', () => {
    const seen = seenSchema.parse({
      ...NOTHING_TYPED,
      crossTowards: 'head',
      crossMm: '40',
      mainTowards: 'neither',
      looked: ['gaps', 'knots', 'mains', 'weave'],
      gaps: Array.from({ length: 60 }, (_, i) => ({
        end: 'head' as const,
        main: `M${1 + (i % 15)}L`,
        is: 'wide' as const,
      })),
      mains: '30',
      pairs: Array.from({ length: 15 }, () => '612.25 598').join('\n'),
      hz: '3000',
      setHz: '100',
    });
    keeps(BED_SEEN, seen);
    for (const answer of LOOKED) {
      const { hz, ...looks } = lookEntryOf(null);
      expect(hz).toBe('');
      const all = Object.fromEntries(Object.keys(looks).map((look) => [look, answer]));
      keeps(LAST_LOOK, lookSchema.parse({ ...all, hz: '3000' }));
    }
  });

  it('a talk, the rules of a house and the words to clients', () => {
    const ends = { playsAWeek: '14', altitudeM: '-400', weightG: '450', leadHeadG: '60' };
    keeps(TALK, talkEntrySchema('tennis', 'kg').parse({ ...talkEntryOf(SILENT), ...ends }));
    const farthest = { monofilamentShare: '20 %', lockOutShare: '0', crossesByN: '-4.5 kg' };
    keeps(HOUSE_RULES, {
      ...USUAL_HOUSE,
      ...houseEntrySchema('kg').parse({ ...houseEntryOf(USUAL_HOUSE, 'kg'), ...farthest }),
    });
    const long = { subject: 'x'.repeat(150), text: 'x'.repeat(3000) };
    keeps(TEMPLATES, templatesEntrySchema.parse({ ...USUAL_TEMPLATES, due: long }));
  });

  it('what a cut assumes, at its ends', () => {
    for (const [gripperMm, knotMm, tailMm, marginMm, armSpanMm] of [
      ['90', '20', '30', '50', '250'],
      ['10', '2', '2', '0', ''],
    ] as const)
      keeps(
        CUT_ASSUMPTIONS,
        workshopSchema.parse({
          name: NAME,
          tensionUnit: 'kg',
          lengthSystem: 'metric',
          currency: 'EUR',
          timeZone: 'Europe/Lisbon',
          labour: '0',
          methodPreference: 'least string',
          hand: 'practised',
          ...{ gripperMm, knotMm, tailMm, marginMm, armSpanMm },
        }).cutAssumptions,
      );
  });
});
