'use server';

import { z } from 'zod';
import { answerTo, misread } from '@/app/answers';
import { wallTime } from '@/core/promise';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { checkSchema, type CheckEntry } from './check-entry';
import { machineSchema, type MachineEntry } from './machine-entry';

const id = z.uuid();

export async function addMachine(newId: string, entry: MachineEntry): Promise<FormAnswer> {
  const read = machineSchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { machines } = await openWorkshop();
  await machines.add(read.data, id.parse(newId));
  return { ok: true, go: `/workshop/machines/${newId}` };
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

/** Writes a check of today down; the same form sent twice writes one. */
export async function addCheck(
  machineId: string,
  newId: string,
  entry: CheckEntry,
): Promise<FormAnswer> {
  const { workshop, machines } = await openWorkshop();
  const read = checkSchema(workshop.tensionUnit).safeParse(entry);
  if (!read.success) return misread(read.error);
  const day = wallTime(new Date(), workshop.timeZone).slice(0, 10);
  await machines.addCheck(id.parse(machineId), { ...read.data, day, id: id.parse(newId) });
  return { ok: true };
}

export async function removeCheck(checkId: string): Promise<void> {
  const { machines } = await openWorkshop();
  await machines.setCheckRemoved(id.parse(checkId), true);
}

export async function restoreCheck(checkId: string): Promise<void> {
  const { machines } = await openWorkshop();
  await machines.setCheckRemoved(id.parse(checkId), false);
}
