'use server';

import { isDeepStrictEqual } from 'node:util';
import type { z } from 'zod';
import { action, entryOf, rowId, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused, said } from '@/app/answers';
import { isSameWork, type ExtraWork } from '@/core/counter/extra-work';
import { NOT_LOOKED_AT, stopsTicket } from '@/core/counter/inspection';
import { may } from '@/core/house/role-rights';
import { dayAt } from '@/core/measure/promised-time';
import { extraLinesFrom, inspectionFrom, inspectSchema, type InspectEntry } from './inspect-entry';

/** The work beside the stringing with the client's yes; other work than they said yes to needs a yes of its own. */
function extraFrom(
  entry: z.output<ReturnType<typeof inspectSchema>>,
  before: ExtraWork | null,
  today: string,
  by: string,
): ExtraWork | null | { readonly problem: string } {
  const lines = extraLinesFrom(entry);
  if (lines.length === 0) return null;
  const { how } = entry;
  const known = before?.agreed?.how === how ? before.agreed : null;
  if (known && !isSameWork(before?.lines ?? [], lines))
    return {
      problem:
        'The work is not the same as what they said yes to: write how they agreed to this, or leave it empty until they do.',
    };
  const agreed = how === '' ? null : (known ?? { how, day: today, by });
  return { lines: [...lines], agreed };
}

/** Saves what was seen and agreed, both at once; from a whole racket one goes on to the frame. */
export const saveInspect = action(
  'take in',
  refused,
  [ticketNumber, rowVersion, entryOf<InspectEntry>()],
  async ({ tickets, workshop, person, role }, number, version, typed) => {
    const ticket = await tickets.get(number);
    if (!ticket) return refused('This ticket is not there any more.');
    const read = inspectSchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    const today = dayAt(new Date(), workshop.timeZone);
    const seen = inspectionFrom(read.data, ticket.inspection, today, person.name);
    // Nothing pressed is nothing looked at.
    const inspection =
      ticket.inspection === null && isDeepStrictEqual(seen, NOT_LOOKED_AT) ? null : seen;
    const extra = extraFrom(read.data, ticket.extra, today, person.name);
    if (extra && 'problem' in extra) return { ok: false, problems: { how: extra.problem } };
    const onwards = may(role, 'set up') ? `/tickets/${number}/frame` : '/';
    return answerTo(
      await tickets.change(number, version, { inspection, extra }),
      'ticket',
      stopsTicket(inspection) ? undefined : onwards,
    );
  },
);

export const removePhoto = action('take in', said, [rowId], async ({ photos }, id) => {
  await photos.setRemoved(id, true);
});

export const restorePhoto = action('take in', said, [rowId], async ({ photos }, id) => {
  await photos.setRemoved(id, false);
});
