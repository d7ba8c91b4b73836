'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, answerToAdded, misread, refused, said } from '@/app/answers';
import { searchIn } from '@/app/search-text';
import { mergeChoicesSchema, mergeQuestions, type MergeQuestion } from '@/core/advice/one-client';
import type { Pick } from '@/ui/form/picker';
import { clientEntrySchema, type ClientEntry } from './client-entry';

const entry = entryOf<ClientEntry>();

export const addClient = action(
  'change clients',
  refused,
  [rowId, entry],
  async ({ clients }, newId, typed) => {
    const read = clientEntrySchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    await clients.add(read.data, newId);
    return answerToAdded(await clients.get(newId), read.data, `/clients/${newId}`);
  },
);

export const changeClient = action(
  'change clients',
  refused,
  [rowId, rowVersion, entry],
  async ({ clients }, clientId, version, typed) => {
    const read = clientEntrySchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await clients.change(clientId, version, read.data), 'client');
  },
);

export const removeClient = action(
  'change clients',
  said,
  [rowId],
  async ({ clients }, clientId) => {
    const open = await clients.openTickets(clientId);
    if (open > 0) return 'A racket of this client is still on the bench. Hand it over first.';
    await clients.setRemoved(clientId, true);
    return undefined;
  },
);

export const restoreClient = action(
  'change clients',
  said,
  [rowId],
  async ({ clients }, clientId) => {
    await clients.setRemoved(clientId, false);
  },
);

/** On what two clients differ who are one, so that somebody chooses; or why nobody is to know. */
export const compareClients = action(
  'change clients',
  (sentence): readonly MergeQuestion[] | string => sentence,
  [rowId, rowId],
  async ({ clients }, from, into) => {
    const [gone, kept] = [await clients.get(from), await clients.get(into)];
    return gone && kept ? mergeQuestions(kept, gone) : [];
  },
);

/** This client and `into` are one person; the rackets go over, and this one out of the lists. */
export const mergeClient = action(
  'change clients',
  said,
  [rowId, rowId, mergeChoicesSchema],
  async ({ together }, from, into, choices) => {
    const saved = await together(({ clients }) => clients.merge(from, into, choices));
    if (saved === 'gone') return 'One of the two was removed meanwhile. Nothing was merged.';
    return undefined;
  },
);

export const unmergeClient = action('change clients', said, [rowId], async ({ together }, from) => {
  const saved = await together(({ clients }) => clients.unmerge(from));
  if (saved === 'gone') return 'This was undone already.';
  return saved === 'merged on'
    ? 'The client that they went to was merged into another one since: part those two first.'
    : undefined;
});

/** Clients by a few letters, and those whose names are near. */
export const nearClients = action(
  'see clients',
  (): readonly Pick[] => [],
  [searchIn],
  async ({ clients }, text) =>
    text.length < 3
      ? []
      : (await clients.findNear(text, 6)).map(({ id, name, contact }) => ({
          id,
          text: name,
          detail: contact,
        })),
);
