'use server';

import { action, entryOf, rowId, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused, said } from '@/app/answers';
import { isSameWork } from '@/core/counter/extra-work';
import { stopsTicket } from '@/core/counter/inspection';
import { may } from '@/core/house/policy';
import { dayAt } from '@/core/measure/promised-time';
import {
  extraEntrySchema,
  extraLinesFrom,
  inspectionEntrySchema,
  inspectionFrom,
  type ExtraEntry,
  type InspectionEntry,
} from './inspect-entry';

const NO_TICKET = 'This ticket is not there any more.';

/** Keeps what was seen; from a whole racket one goes on to the frame. */
export const keepInspection = action(
  'take in',
  refused,
  [ticketNumber, rowVersion, entryOf<InspectionEntry>()],
  async ({ tickets, workshop, person, role }, number, version, typed) => {
    const ticket = await tickets.get(number);
    if (!ticket) return refused(NO_TICKET);
    const read = inspectionEntrySchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const today = dayAt(new Date(), workshop.timeZone);
    const inspection = inspectionFrom(read.data, ticket.inspection, today, person.name);
    const onwards = may(role, 'set up') ? `/tickets/${number}/frame` : '/';
    return answerTo(
      await tickets.change(number, version, { inspection }),
      'ticket',
      stopsTicket(inspection) ? undefined : onwards,
    );
  },
);

/** Keeps the work beside the stringing, with the client's yes. Other work needs a yes of its own. */
export const keepExtraWork = action(
  'take in',
  refused,
  [ticketNumber, rowVersion, entryOf<ExtraEntry>()],
  async ({ tickets, workshop, person }, number, version, typed) => {
    const ticket = await tickets.get(number);
    if (!ticket) return refused(NO_TICKET);
    const read = extraEntrySchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    const lines = extraLinesFrom(read.data);
    const before = ticket.extra;
    const { how } = read.data;
    const stands =
      before?.agreed && before.agreed.how === how && isSameWork(before.lines, lines)
        ? before.agreed
        : null;
    if (before?.agreed && !stands && before.agreed.how === how && lines.length > 0)
      return {
        ok: false,
        problems: {
          how: 'The work is not the same as what they said yes to: write how they agreed to this, or leave it empty until they do.',
        },
      };
    const today = dayAt(new Date(), workshop.timeZone);
    const agreed =
      lines.length === 0 || how === '' ? null : (stands ?? { how, day: today, by: person.name });
    return answerTo(
      await tickets.change(number, version, {
        extra: lines.length === 0 ? null : { lines: [...lines], agreed },
      }),
      'ticket',
    );
  },
);

export const removePhoto = action('take in', said, [rowId], async ({ photos }, id) => {
  await photos.setRemoved(id, true);
});

export const restorePhoto = action('take in', said, [rowId], async ({ photos }, id) => {
  await photos.setRemoved(id, false);
});
