import { z } from 'zod';
import { fileRoute, rowId, ticketNumber } from '@/app/action';
import { refused } from '@/app/answers';
import { lineText } from '@/core/measure/reading';
import { makePhotograph, MOST_BYTES } from '@/formats/photograph';
import type { FormAnswer } from '@/ui/form/result';

const MOST_PHOTOS = 24;

/** Keeps a photograph of a ticket's racket, made anew by the server; sent twice, it is kept once. */
export const POST = fileRoute(
  'take in',
  refused,
  z.object({
    id: rowId,
    number: ticketNumber,
    caption: lineText('what it shows'),
    /** Base64. */
    data: z.string().max(Math.ceil((MOST_BYTES * 4) / 3) + 4),
  }),
  async ({ tickets, photos, person }, { id, number, caption, data }): Promise<FormAnswer> => {
    const ticket = await tickets.get(number);
    if (!ticket) return refused('This ticket is not there any more.');
    if ((await photos.count(ticket.id)) >= MOST_PHOTOS)
      return refused(`A ticket holds ${MOST_PHOTOS} photographs: take one off first.`);
    const made = await makePhotograph(Buffer.from(data, 'base64'));
    if (!made.ok) return refused(made.problem);
    await photos.add(id, ticket.id, person.id, { ...made.value, caption });
    return { ok: true };
  },
);
