'use server';

import { z } from 'zod';
import { answerTo, misread } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { racketEntrySchema, type RacketEntry } from './racket-entry';

const id = z.uuid();

export async function changeRacket(
  racketId: string,
  version: number,
  entry: RacketEntry,
): Promise<FormAnswer> {
  const read = racketEntrySchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { rackets } = await openWorkshop();
  const { mark, notes, frameId } = read.data;
  return answerTo(
    await rackets.change(id.parse(racketId), version, { mark, notes, frameId: frameId || null }),
    'racket',
  );
}

export async function removeRacket(racketId: string): Promise<string | void> {
  const { rackets } = await openWorkshop();
  const open = await rackets.openTickets(id.parse(racketId));
  if (open > 0) return 'This racket is still on the bench. Hand it over first.';
  await rackets.setRemoved(racketId, true);
}

export async function restoreRacket(racketId: string): Promise<void> {
  const { rackets } = await openWorkshop();
  await rackets.setRemoved(id.parse(racketId), false);
}
