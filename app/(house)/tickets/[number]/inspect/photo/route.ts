import { z } from 'zod';
import { fileRoute, rowId, ticketNumber } from '@/app/action';
import { refused } from '@/app/answers';
import { inTheQueue } from '@/app/in-the-queue';
import { MOST_PHOTOGRAPH_BYTES } from '@/core/counter/inspection';
import { lineText } from '@/core/measure/typed';
import { MOST_PHOTOS } from '@/db/photos';
import { makePhotograph } from '@/formats/photograph';
import type { FormAnswer } from '@/ui/form/result';

const FULL = `A ticket holds ${MOST_PHOTOS} photographs: take one off first.`;

/** Keeps a photograph of a ticket's racket, made anew by the server; sent twice, it is kept once. */
export const POST = fileRoute(
  'take in',
  refused,
  z.object({
    id: rowId,
    number: ticketNumber,
    caption: lineText('what it shows'),
    /** Base64. */
    data: z.string().max(Math.ceil((MOST_PHOTOGRAPH_BYTES * 4) / 3) + 4),
  }),
  async (
    { tickets, photos, person, together },
    { id, number, caption, data },
  ): Promise<FormAnswer> => {
    const ticket = await tickets.get(number);
    if (!ticket) return refused('This ticket is not there any more.');
    if (!(await photos.hasRoom(ticket.id))) return refused(FULL);
    const made = await inTheQueue('made', () => makePhotograph(Buffer.from(data, 'base64')));
    if (!made.ok) return refused(made.problem);
    const added = await together((all) =>
      all.photos.add(id, ticket.id, person.id, { ...made.value, caption }),
    );
    return added === 'full' ? refused(FULL) : { ok: true };
  },
);
