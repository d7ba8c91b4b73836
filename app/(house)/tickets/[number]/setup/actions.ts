'use server';

import { z } from 'zod';
import { answerTo, misread, refused } from '@/app/answers';
import { NO_CUT } from '@/db/tickets';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { setupSchema, type SetupEntry } from './setup-entry';

export async function saveSetup(
  number: number,
  version: number,
  entry: SetupEntry,
): Promise<FormAnswer> {
  const { workshop, tickets, clients, frames, strings } = await openWorkshop();
  const ticket = await tickets.get(z.number().int().parse(number));
  const frame = ticket?.frameId ? await frames.get(ticket.frameId) : undefined;
  if (!ticket || !frame)
    return refused('This ticket has no frame any more. Go back to the Frame station.');
  const client = await clients.get(ticket.clientId);
  const unit = client?.tensionUnit ?? workshop.tensionUnit;
  const read = setupSchema(frame.sport, unit).safeParse(entry);
  if (!read.success) return misread(read.error);
  const { mainStringId, crossStringId } = read.data;
  for (const [field, id] of [
    ['mainStringId', mainStringId],
    ['crossStringId', crossStringId],
  ] as const) {
    const string = id ? await strings.get(id) : undefined;
    if (!string || string.removedAt)
      return {
        ok: false,
        problems: {
          [field]: 'This string was removed from the library in another tab. Choose another.',
        },
      };
    if (string.sport !== frame.sport)
      return {
        ok: false,
        problems: {
          [field]: `${string.name} is a ${string.sport} string and the racket is for ${frame.sport}.`,
        },
      };
  }
  // What it was cut from may not fit another string, so the cut is looked at again.
  const same = (['mainStringId', 'mainGaugeMm', 'crossStringId', 'crossGaugeMm'] as const).every(
    (name) => ticket[name] === read.data[name],
  );
  const changes = same ? read.data : { ...read.data, ...NO_CUT };
  return answerTo(
    await tickets.change(number, version, changes),
    'ticket',
    `/tickets/${number}/cut`,
  );
}
