'use server';

import { answerTo, misread } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { houseEntrySchema, type HouseEntry } from './house-rules/house-entry';
import { workshopSchema, type WorkshopEntry } from './workshop-entry';

export async function saveWorkshop(version: number, entry: WorkshopEntry): Promise<FormAnswer> {
  const read = workshopSchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { changeWorkshop } = await openWorkshop();
  return answerTo(await changeWorkshop(version, read.data), 'workshop');
}

export async function saveHouseRules(version: number, entry: HouseEntry): Promise<FormAnswer> {
  const { workshop, changeWorkshop } = await openWorkshop();
  const read = houseEntrySchema(workshop.tensionUnit).safeParse(entry);
  if (!read.success) return misread(read.error);
  return answerTo(await changeWorkshop(version, { houseRules: read.data }), 'workshop');
}
