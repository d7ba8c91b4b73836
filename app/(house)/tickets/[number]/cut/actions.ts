'use server';

import { z } from 'zod';
import { answerTo, misread } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { cutSchema, type CutEntry } from './cut-entry';

export async function saveCut(
  number: number,
  version: number,
  entry: CutEntry,
): Promise<FormAnswer> {
  const read = cutSchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { tickets } = await openWorkshop();
  return answerTo(
    await tickets.change(z.number().int().parse(number), version, read.data),
    'ticket',
    `/tickets/${number}/hand-over`,
  );
}
