/** What a form takes is kept, shown again, and taken again as the same: a form that is saved for one field changes no other. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { SILENT } from '@/core/advice/talk';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { emptyStringEntry, stringEntryOf, stringEntrySchema } from '@/core/strings/string-facts';
import { emptyFrameEntry, frameEntryOf, frameEntryReading } from './(house)/frames/frame-entry';
import { eventEntryOf, eventSchema, newEvent } from './(house)/events/event-entry';
import {
  NEW_PLAYER,
  playerEntryOf,
  playerSchema,
} from './(house)/events/[id]/players/player-entry';
import {
  balanceEntryOf,
  balanceSchema,
  NOT_WEIGHED,
} from './(house)/rackets/[id]/balance/balance-entry';
import { talkEntryOf, talkEntrySchema } from './(house)/tickets/[number]/setup/talk-entry';
import { houseEntryOf, houseEntrySchema } from './(house)/workshop/house-rules/house-entry';
import {
  machineEntryOf,
  machineSchema,
  NEW_MACHINE,
} from './(house)/workshop/machines/machine-entry';
import { papersEntryOf, papersSchema } from './(house)/workshop/papers/papers-entry';
import { workshopEntryOf, workshopSchema } from './(house)/workshop/workshop-entry';

const ID = '3ca4c98d-0802-4646-b8ea-951dc63098d7';

/** A number with some decimals, as it may be typed: with a point or a comma, plain or full-width. */
const typedNumber = (least: number, most: number, decimals: number) =>
  fc
    .tuple(
      fc.integer({ min: least * 10 ** decimals, max: most * 10 ** decimals }),
      fc.constantFrom('.', ','),
      fc.boolean(),
    )
    .map(([whole, point, wide]) => {
      const figure = (whole / 10 ** decimals).toFixed(decimals).replace('.', point);
      return wide
        ? figure.replace(/\d/g, (digit) => String.fromCharCode(0xfee0 + digit.charCodeAt(0)))
        : figure;
    });

/** A length of 30 to 40 cm in a unit that somebody has at hand. */
const typedLength = fc.oneof(
  typedNumber(300, 400, 1).map((mm) => `${mm} mm`),
  typedNumber(30, 40, 3).map((cm) => `${cm} cm`),
  typedNumber(12, 15, 3).map((inches) => `${inches} in`),
  typedNumber(1, 1, 3).map((feet) => `${feet} ft`),
  typedNumber(0, 3, 2).map((inches) => `1'${inches}"`),
);

/** Takes an entry, shows it, takes it again. */
function comesBack<In, Out>(
  schema: z.ZodType<Out, In>,
  entryOf: (facts: Out) => In,
  entries: fc.Arbitrary<In>,
): void {
  fc.assert(
    fc.property(entries, (entry) => {
      const facts = schema.parse(entry);
      expect(schema.parse(entryOf(facts))).toEqual(facts);
    }),
  );
}

describe('shown again, and taken as the same', () => {
  it('a machine, however its gripper was measured', () => {
    comesBack(
      machineSchema,
      machineEntryOf,
      fc
        .record({ gripperMm: typedLength, checkEveryDays: typedNumber(1, 365, 0) })
        .map((typed) => ({
          ...NEW_MACHINE,
          name: 'Window',
          headAddress: 'ws://127.0.0.1:3700',
          ...typed,
        })),
    );
  });

  it('the workshop, with its lengths and its money', () => {
    comesBack(
      workshopSchema,
      workshopEntryOf,
      fc
        .record({
          gripperMm: typedLength,
          knotMm: typedNumber(3, 9, 3),
          tailMm: typedNumber(3, 9, 2),
          marginMm: typedNumber(0, 9, 1),
          armSpanMm: fc.oneof(fc.constant(''), typedNumber(150, 200, 1)),
          labour: typedNumber(0, 99, 2),
        })
        .map((typed) => ({
          name: 'Bench',
          tensionUnit: 'kg' as const,
          lengthSystem: 'metric' as const,
          currency: 'EUR',
          timeZone: 'Europe/Lisbon',
          methodPreference: 'least string' as const,
          hand: 'practised' as const,
          ...typed,
        })),
    );
  });

  it('the rules of the house, to the hundredth', () => {
    for (const unit of ['kg', 'lb'] as const)
      comesBack(
        houseEntrySchema(unit),
        (house) => houseEntryOf(house, unit),
        fc
          .record({
            monofilamentShare: typedNumber(0, 20, 2),
            hybridShare: typedNumber(0, 20, 2),
            lockOutShare: typedNumber(0, 20, 2),
            mostOutOfShapeMm: typedNumber(1, 15, 2),
            crossesByN: fc.oneof(fc.constant(''), typedNumber(-4, 4, 2)),
          })
          .map((typed) => ({ ...houseEntryOf(USUAL_HOUSE, unit), ...typed })),
      );
  });

  it('a frame, whatever its head was measured with', () => {
    const schema = frameEntryReading('kg');
    comesBack(
      schema,
      ({ name, spec }) => frameEntryOf(name, spec),
      fc
        .record({
          lengthMm: typedLength,
          widthMm: typedLength,
          range: fc.oneof(
            fc.constant(''),
            typedNumber(20, 22, 2).map((low) => `${low}-26`),
            typedNumber(48, 50, 1).map((low) => `${low} to 58.5 lb`),
          ),
          stepDown: fc.oneof(
            fc.constant('none'),
            typedNumber(1, 9, 1).map((by) => `3 x ${by} lb`),
          ),
          headMm: fc.constantFrom('', '6 18,5 30.25'),
        })
        .map((typed) => ({ ...emptyFrameEntry('tennis', 'Frame'), ...typed })),
    );
  });

  it('what a racket weighs where, read or swung', () => {
    const parts = fc
      .array(
        fc.tuple(
          typedNumber(1, 99, 1),
          fc.integer({ min: 0, max: 500 }),
          fc.nat(200),
          fc.constantFrom('', 'tip', 'under the grip'),
        ),
        { maxLength: 4 },
      )
      .map((lines) =>
        lines
          .map(([grams, from, long, name]) => `${grams} g ${from}-${from + long} ${name}`)
          .join('\n'),
      );
    const weighed = fc.record({
      mass: typedNumber(250, 350, 3),
      balance: typedNumber(300, 350, 2),
      parts,
    });
    comesBack(
      balanceSchema,
      balanceEntryOf,
      fc.oneof(
        fc
          .tuple(weighed, typedNumber(250, 350, 3))
          .map(([typed, swing]) => ({ ...NOT_WEIGHED, ...typed, swing })),
        // About 1.3 s about a pivot at the butt.
        fc
          .tuple(weighed, typedNumber(1.3, 1.4, 3))
          .map(([typed, period]) => ({ ...NOT_WEIGHED, ...typed, period, pivot: '20' })),
      ),
    );
  });

  it('a string, as it is sold and as it was measured', () => {
    comesBack(
      stringEntrySchema('EUR'),
      (string) => stringEntryOf(string, 'EUR'),
      fc
        .record({
          gauges: fc
            .array(typedNumber(1.1, 1.3, 3), { minLength: 1, maxLength: 3 })
            .map((each) => each.join(' ')),
          set: fc.oneof(
            typedNumber(11, 13, 3),
            typedNumber(20, 45, 3).map((feet) => `${feet} ft`),
            typedNumber(0, 11, 2).map((inches) => `40'${inches}"`),
          ),
          price: typedNumber(0, 99, 2),
          reel: typedNumber(200, 660, 2).map((feet) => `${feet} ft`),
          reelPrice: typedNumber(50, 200, 2),
          mass: typedNumber(1, 2, 3),
          stretch: typedNumber(1, 20, 3).map((share) => `${share} %`),
          life: typedNumber(1, 50, 3),
          holding: typedNumber(50, 100, 2),
        })
        .map((typed) => ({ ...emptyStringEntry, name: 'S', ...typed })),
    );
  });

  it('an event, in coins of any size', () => {
    for (const [currency, decimals] of [
      ['EUR', 2],
      ['JPY', 0],
      ['KWD', 3],
    ] as const)
      comesBack(
        eventSchema(currency),
        (event) => eventEntryOf(event, [ID], currency),
        fc
          .record({
            labour: typedNumber(0, 99, decimals),
            ownString: typedNumber(0, 99, decimals),
            rush: typedNumber(0, 99, decimals),
            lead: typedNumber(0, 600, 0),
            days: fc.constantFrom(
              '2026-06-04 8-12 13:30-24',
              '2026-06-03 closed\n2026-06-05 8.15-20',
            ),
          })
          .map((typed) => ({ ...newEvent([ID], 0, currency), name: 'Cup', ...typed })),
      );
  });

  it('a player, with one string or two, and however thick', () => {
    comesBack(
      playerSchema('tennis', 'kg'),
      playerEntryOf,
      fc
        .record({
          orders: fc.constantFrom('', 'two at 24½/23, every morning\n1 at 52.25 lb'),
          mainStringId: fc.constant(ID),
          mainGauge: fc.oneof(typedNumber(1.1, 1.3, 3), fc.constant('16L')),
          crossGauge: fc.oneof(fc.constant(''), typedNumber(1.1, 1.3, 3)),
          supplied: fc.boolean(),
        })
        .map((typed) => ({
          ...playerEntryOf(NEW_PLAYER),
          ...typed,
          crossStringId: typed.crossGauge ? ID : '',
        })),
    );
  });

  it('a talk, and how the papers are written', () => {
    comesBack(
      talkEntrySchema('tennis', 'kg'),
      talkEntryOf,
      fc
        .record({
          playsAWeek: typedNumber(0, 14, 1),
          altitudeM: typedNumber(-400, 5000, 1),
          weightG: typedNumber(250, 350, 1),
          asks: fc.oneof(fc.constant(''), typedNumber(20, 26, 2), fc.constant('55/53')),
        })
        .map((typed) => ({ ...talkEntryOf(SILENT), ...typed })),
    );
    comesBack(
      papersSchema,
      papersEntryOf,
      fc
        .record({ labourTax: typedNumber(0, 100, 2), stringTax: typedNumber(0, 100, 2) })
        .map((typed) => ({
          address: 'A\nB',
          country: 'pt',
          taxNumber: '',
          locale: 'en-GB',
          prices: 'with' as const,
          ...typed,
        })),
    );
  });
});
