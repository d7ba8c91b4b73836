'use server';

import { action, entryOf, rowId, rowVersion, wayOn } from '@/app/action';
import { answerTo, answerToAdded, misread, refused, said } from '@/app/answers';
import { stringEntrySchema, type StringEntry } from '@/core/strings/string-facts';

const entry = entryOf<StringEntry>();

export const addString = action(
  'change strings',
  refused,
  [rowId, wayOn, entry],
  async ({ strings, workshop }, newId, go, typed) => {
    const read = stringEntrySchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    await strings.add(read.data, newId);
    return answerToAdded(await strings.get(newId), read.data, go);
  },
);

export const changeString = action(
  'change strings',
  refused,
  [rowId, rowVersion, entry],
  async ({ strings, workshop }, stringId, version, typed) => {
    const read = stringEntrySchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await strings.change(stringId, version, read.data), 'string');
  },
);

export const removeString = action(
  'change strings',
  said,
  [rowId],
  async ({ strings }, stringId) => {
    await strings.setRemoved(stringId, true);
  },
);

export const restoreString = action(
  'change strings',
  said,
  [rowId],
  async ({ strings }, stringId) => {
    await strings.setRemoved(stringId, false);
  },
);
