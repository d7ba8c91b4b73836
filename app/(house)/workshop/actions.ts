'use server';

import { z } from 'zod';
import { answerTo, misread } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { houseEntrySchema, type HouseEntry } from './house-rules/house-entry';
import { machineSchema, type MachineEntry } from './machine-entry';
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

const id = z.uuid();

export async function addMachine(newId: string, entry: MachineEntry): Promise<FormAnswer> {
  const read = machineSchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { machines } = await openWorkshop();
  await machines.add(read.data, id.parse(newId));
  return { ok: true };
}

export async function changeMachine(
  machineId: string,
  version: number,
  entry: MachineEntry,
): Promise<FormAnswer> {
  const read = machineSchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { machines } = await openWorkshop();
  return answerTo(await machines.change(id.parse(machineId), version, read.data), 'machine');
}

export async function removeMachine(machineId: string): Promise<void> {
  const { machines } = await openWorkshop();
  await machines.setRemoved(id.parse(machineId), true);
}

export async function restoreMachine(machineId: string): Promise<void> {
  const { machines } = await openWorkshop();
  await machines.setRemoved(id.parse(machineId), false);
}
