'use server';

import { z } from 'zod';
import { action, entryOf, rowId, ticketNumber } from '@/app/action';
import { misread, refused, said } from '@/app/answers';
import { ageingOf } from '@/app/ageing-of';
import type { OpenHouse } from '@/app/identity/at-work';
import { amissWith } from '@/core/ageing/readings';
import type { ReadingFacts } from '@/db/readings';
import type { ListedTicket } from '@/db/tickets';
import { dayAt, wallTime } from '@/core/measure/promised-time';
import { textIn } from '@/core/measure/typed';
import type { FormAnswer } from '@/ui/form/result';
import { heatSchema } from '@/core/ageing/loss';
import { readingSchema, type ReadingEntry } from './reading-entry';

/** Keeps what was measured of the bed that a job strung. */
export const addReading = action(
  'take in',
  refused,
  [rowId, ticketNumber, entryOf<ReadingEntry>()],
  async (open, id, number, typed): Promise<FormAnswer> => {
    const { tickets, readings, workshop, person } = open;
    const ticket = await tickets.get(number);
    if (!ticket?.closedAt)
      return refused('That job is not closed: there is no bed of it to be measured.');
    const { timeZone } = workshop;
    const read = readingSchema(
      // As its bed was written.
      ticket.record?.setup.unit ?? workshop.tensionUnit,
      dayAt(ticket.closedAt, timeZone),
      wallTime(new Date(), timeZone),
    ).safeParse(typed);
    if (!read.success) return misread(read.error);
    const problem = await problemWith(open, ticket, read.data);
    if (problem) return { ok: false, problems: problem };
    await readings.add(id, ticket.id, person.id, read.data);
    return { ok: true };
  },
);

/** Why a reading cannot be one of this bed, at its field. */
async function problemWith(
  open: OpenHouse,
  { racketId, number }: Pick<ListedTicket, 'racketId' | 'number'>,
  facts: ReadingFacts,
): Promise<Record<string, string> | undefined> {
  const racket = await open.rackets.get(racketId);
  const today = dayAt(new Date(), open.workshop.timeZone);
  const ageing = racket && (await ageingOf(open, open.workshop, racket, today));
  if (ageing?.number !== number) return undefined;
  const { setHz, chart } = ageing;
  const amiss = amissWith(facts, ageing.readings, { setHz, setN: chart.setN });
  if (!amiss) return undefined;
  if (amiss.is === 'another unit')
    return {
      unit: `The reading before was in ${amiss.unit || 'no unit'}, and nobody can convert that: measure in the same unit, or write kg, lb or N at both.`,
    };
  const share = `${Math.round(amiss.share * 100)} % of what was there`;
  return {
    value:
      amiss.is === 'too high'
        ? `That would be ${share}, and strings gain nothing by being played${facts.kind === 'tap' ? ': it may be an overtone. Tap the very middle again' : ': look at the unit, and at the racket'}.`
        : `That would be ${share}: look at the unit and the figure, or whether it is this racket at all.`,
  };
}

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
