'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, answerToAdded, misread, refused, said } from '@/app/answers';
import { dayAt } from '@/core/measure/promised-time';
import { checkSchema, type CheckEntry } from './check-entry';
import { machineSchema, type MachineEntry } from './machine-entry';

const entry = entryOf<MachineEntry>();

export const addMachine = action(
  'change machines',
  refused,
  [rowId, entry],
  async ({ machines }, newId, typed) => {
    const read = machineSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    await machines.add(read.data, newId);
    return answerToAdded(await machines.get(newId), read.data, `/workshop/machines/${newId}`);
  },
);

export const changeMachine = action(
  'change machines',
  refused,
  [rowId, rowVersion, entry],
  async ({ machines }, machineId, version, typed) => {
    const read = machineSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await machines.change(machineId, version, read.data), 'machine');
  },
);

export const removeMachine = action(
  'change machines',
  said,
  [rowId],
  async ({ machines }, machineId) => {
    await machines.setRemoved(machineId, true);
  },
);

export const restoreMachine = action(
  'change machines',
  said,
  [rowId],
  async ({ machines }, machineId) => {
    await machines.setRemoved(machineId, false);
  },
);

/** Writes a check of today down; the same form sent twice writes one. */
export const addCheck = action(
  'check machines',
  refused,
  [rowId, rowId, entryOf<CheckEntry>()],
  async ({ workshop, machines }, machineId, newId, typed) => {
    const read = checkSchema(workshop.tensionUnit).safeParse(typed);
    if (!read.success) return misread(read.error);
    const day = dayAt(new Date(), workshop.timeZone);
    await machines.addCheck(machineId, { ...read.data, day, id: newId });
    return { ok: true };
  },
);

export const removeCheck = action(
  'check machines',
  said,
  [rowId],
  async ({ machines }, checkId) => {
    await machines.setCheckRemoved(checkId, true);
  },
);

export const restoreCheck = action(
  'check machines',
  said,
  [rowId],
  async ({ machines }, checkId) => {
    await machines.setCheckRemoved(checkId, false);
  },
);
