'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, misread, refused, said } from '@/app/answers';
import { clientEntrySchema, type ClientEntry } from './client-entry';

const entry = entryOf<ClientEntry>();

export const addClient = action(refused, [rowId, entry], async ({ clients }, newId, typed) => {
  const read = clientEntrySchema.safeParse(typed);
  if (!read.success) return misread(read.error);
  await clients.add(read.data, newId);
  return { ok: true, go: `/clients/${newId}` };
});

export const changeClient = action(
  refused,
  [rowId, rowVersion, entry],
  async ({ clients }, clientId, version, typed) => {
    const read = clientEntrySchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await clients.change(clientId, version, read.data), 'client');
  },
);

export const removeClient = action(said, [rowId], async ({ clients }, clientId) => {
  const open = await clients.openTickets(clientId);
  if (open > 0) return 'A racket of this client is still on the bench. Hand it over first.';
  await clients.setRemoved(clientId, true);
});

export const restoreClient = action(said, [rowId], async ({ clients }, clientId) => {
  await clients.setRemoved(clientId, false);
});
