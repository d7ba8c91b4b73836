'use server';

import { action, entryOf, rowVersion } from '@/app/action';
import { answerTo, misread, refused } from '@/app/answers';
import { houseEntrySchema, type HouseEntry } from './house-rules/house-entry';
import { workshopSchema, type WorkshopEntry } from './workshop-entry';

export const saveWorkshop = action(
  'change the workshop',
  refused,
  [rowVersion, entryOf<WorkshopEntry>()],
  async ({ changeWorkshop }, version, typed) => {
    const read = workshopSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await changeWorkshop(version, read.data), 'workshop');
  },
);

export const saveHouseRules = action(
  'change house rules',
  refused,
  [rowVersion, entryOf<HouseEntry>()],
  async ({ workshop, changeWorkshop }, version, typed) => {
    const read = houseEntrySchema(workshop.tensionUnit).safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await changeWorkshop(version, { houseRules: read.data }), 'workshop');
  },
);
