'use server';

import { z } from 'zod';
import { answerTo, misread, refused } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { isHybrid, openTicket } from '../ticket';
import { cutSchema, type CutEntry } from './cut-entry';

export async function saveCut(
  number: number,
  version: number,
  entry: CutEntry,
): Promise<FormAnswer> {
  const { study, setup } = await openTicket(String(z.number().int().parse(number)));
  if (!study?.bed || !setup)
    return refused('The frame or the setup of this ticket changed meanwhile: look at them first.');
  const read = cutSchema(study.bed, isHybrid(setup)).safeParse(entry);
  if (!read.success) return misread(read.error);
  const { tickets } = await openWorkshop();
  return answerTo(
    await tickets.change(number, version, read.data),
    'ticket',
    `/tickets/${number}/pull`,
  );
}
