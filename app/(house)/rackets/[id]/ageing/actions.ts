'use server';

import { z } from 'zod';
import { action, entryOf, rowId, ticketNumber } from '@/app/action';
import { misread, refused, said } from '@/app/answers';
import { dayAt, wallTime } from '@/core/measure/promised-time';
import { textIn } from '@/core/measure/reading';
import type { FormAnswer } from '@/ui/form/result';
import { heatSchema } from '@/core/ageing/loss';
import { readingSchema, type ReadingEntry } from './reading-entry';

/** Keeps what was measured of the bed that a job strung. */
export const addReading = action(
  'take in',
  refused,
  [rowId, ticketNumber, entryOf<ReadingEntry>()],
  async ({ tickets, readings, workshop, person }, id, number, typed): Promise<FormAnswer> => {
    const ticket = await tickets.get(number);
    if (!ticket?.closedAt)
      return refused('That job is not closed: there is no bed of it to be measured.');
    const { timeZone, tensionUnit } = workshop;
    const read = readingSchema(
      tensionUnit,
      dayAt(ticket.closedAt, timeZone),
      wallTime(new Date(), timeZone),
    ).safeParse(typed);
    if (!read.success) return misread(read.error);
    await readings.add(id, ticket.id, person.id, read.data);
    return { ok: true };
  },
);

/** It was another racket, or a slip: the reading says nothing any more. */
export const removeReading = action('take in', said, [rowId], async ({ readings }, id) => {
  await readings.setRemoved(id, true);
});

/** Where it lies between plays: heat takes tension out of a bed. */
export const liesIn = action(
  'take in',
  said,
  [rowId, heatSchema],
  async ({ rackets }, racketId, heat): Promise<undefined> => {
    await rackets.liesIn(racketId, heat);
  },
);

/** Somebody else strung it on a day (`2026-02-04`), or nobody did after all. */
export const strungElsewhere = action(
  'take in',
  said,
  [rowId, textIn],
  async ({ rackets, workshop }, racketId, text) => {
    const day = text.trim();
    if (day !== '' && !z.iso.date().safeParse(day).success) return 'Write the day as 2026-02-04.';
    if (day > dayAt(new Date(), workshop.timeZone)) return 'That day is still to come.';
    await rackets.strungElsewhere(racketId, day || null);
    return undefined;
  },
);
