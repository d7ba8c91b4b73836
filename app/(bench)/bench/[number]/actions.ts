'use server';

import { z } from 'zod';
import { openWorkshop } from '@/db/workshop';

const eventsSchema = z
  .array(
    z.object({
      id: z.uuid(),
      done: z.number().int().min(0).max(1000),
      at: z.iso.datetime().transform((text) => new Date(text)),
    }),
  )
  .max(2000);

export type SentEvent = z.input<typeof eventsSchema>[number];

/** Keeps what was done at the bench, in its order and each once; a closed job takes no more. */
export async function keepBenchEvents(
  number: number,
  events: readonly SentEvent[],
): Promise<{ readonly kept: boolean }> {
  const read = eventsSchema.parse(events);
  const { together } = await openWorkshop();
  return together(async ({ tickets, bench }) => {
    const ticket = await tickets.get(z.number().int().parse(number));
    if (!ticket || ticket.closedAt) return { kept: false };
    await bench.keep(ticket.id, read);
    return { kept: true };
  });
}
