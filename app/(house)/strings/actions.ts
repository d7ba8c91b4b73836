'use server';

import { z } from 'zod';
import { answerTo, misread } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { stringEntrySchema, type StringEntry } from './string-entry';

const id = z.uuid();

export async function addString(
  newId: string,
  go: string,
  entry: StringEntry,
): Promise<FormAnswer> {
  const read = stringEntrySchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { strings } = await openWorkshop();
  await strings.add(read.data, id.parse(newId));
  return { ok: true, go };
}

export async function changeString(
  stringId: string,
  version: number,
  entry: StringEntry,
): Promise<FormAnswer> {
  const read = stringEntrySchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { strings } = await openWorkshop();
  return answerTo(await strings.change(id.parse(stringId), version, read.data), 'string');
}

export async function removeString(stringId: string): Promise<void> {
  const { strings } = await openWorkshop();
  await strings.setRemoved(id.parse(stringId), true);
}

export async function restoreString(stringId: string): Promise<void> {
  const { strings } = await openWorkshop();
  await strings.setRemoved(id.parse(stringId), false);
}
