'use server';

import { z } from 'zod';
import { action, entryOf, rowId } from '@/app/action';
import { misread, refused, said } from '@/app/answers';
import { idFrom } from '@/app/id-from';
import { dayAt } from '@/core/measure/promised-time';
import { boughtSchema, countedSchema, type BoughtEntry } from './shelf-entry';

const GONE = 'That length is not there any more. Look at the shelf as it is now.';

/** Puts what was bought on the shelf. */
export const buy = action(
  'keep the shelf',
  refused,
  [rowId, entryOf<BoughtEntry>()],
  async ({ together, strings, person, workshop }, newId, typed) => {
    const read = boughtSchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    const { stock, kind, count, length, price, supplier, place } = read.data;
    const [stringId = '', gauge = ''] = stock.split(' ');
    const string = await strings.get(stringId);
    if (!string || string.removedAt || !string.gaugesMm.some((mm) => mm.toFixed(2) === gauge))
      return {
        ok: false as const,
        problems: { stock: 'This string was removed or renamed in another tab. Choose again.' },
      };
    const ids = Array.from({ length: count }, (_, i) => idFrom(newId, i));
    const isThere = await together(({ shelf }) =>
      shelf.buy(
        person.id,
        ids,
        {
          stringId,
          gaugeMm: Number(gauge),
          kind,
          mm: length,
          priceMinor: price,
          supplier,
          place,
          day: dayAt(new Date(), workshop.timeZone),
        },
        idFrom(newId, count),
      ),
    );
    return isThere
      ? { ok: true as const }
      : refused(
          'The press before put something else on the shelf. This one put nothing there: reload, look at the shelf, and enter what is missing.',
        );
  },
);

/** What was counted or measured of a length is what is left of it. */
export const countLength = action(
  'keep the shelf',
  said,
  [rowId, rowId, z.string().max(40)],
  async ({ together, person }, lengthId, newId, typed) => {
    const read = countedSchema.safeParse({ left: typed });
    if (!read.success) return read.error.issues[0]?.message;
    const { left } = read.data;
    const done = await together(({ shelf }) => shelf.count(person.id, newId, lengthId, left));
    return done ? undefined : GONE;
  },
);

export const throwAway = action(
  'keep the shelf',
  said,
  [rowId, rowId],
  async ({ together, person }, lengthId, newId) => {
    const done = await together(({ shelf }) => shelf.throwAway(person.id, newId, lengthId));
    return done ? undefined : GONE;
  },
);

export const undoMove = action(
  'keep the shelf',
  said,
  [rowId],
  async ({ together, person }, moveId) => {
    const done = await together(({ shelf }) => shelf.undo(person.id, moveId));
    return done
      ? undefined
      : 'That was taken back already, or more has been cut since than would be left.';
  },
);
