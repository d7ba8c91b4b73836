'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, answerToAdded, misread, refused, said } from '@/app/answers';
import {
  itemSchema,
  papersSchema,
  templatesEntrySchema,
  type ItemEntry,
  type PapersEntry,
  type TemplatesEntry,
} from './papers-entry';

export const savePapers = action(
  'change the workshop',
  refused,
  [rowVersion, entryOf<PapersEntry>()],
  async ({ changeWorkshop }, version, typed) => {
    const read = papersSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await changeWorkshop(version, read.data), 'workshop');
  },
);

export const saveTemplates = action(
  'change the workshop',
  refused,
  [rowVersion, entryOf<TemplatesEntry>()],
  async ({ changeWorkshop }, version, typed) => {
    const read = templatesEntrySchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await changeWorkshop(version, { templates: read.data }), 'workshop');
  },
);

export const addItem = action(
  'change the workshop',
  refused,
  [rowId, entryOf<ItemEntry>()],
  async ({ priceList, workshop }, id, typed) => {
    const read = itemSchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    await priceList.add(id, read.data);
    return answerToAdded(await priceList.get(id), read.data);
  },
);

export const changeItem = action(
  'change the workshop',
  refused,
  [rowId, rowVersion, entryOf<ItemEntry>()],
  async ({ priceList, workshop }, id, version, typed) => {
    const read = itemSchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await priceList.change(id, version, read.data), 'price');
  },
);

export const removeItem = action(
  'change the workshop',
  said,
  [rowId],
  async ({ priceList }, id) => {
    await priceList.setRemoved(id, true);
  },
);
