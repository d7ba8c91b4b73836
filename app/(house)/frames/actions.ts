'use server';

import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { answerTo, misread, refused, Undone, wholly } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { frameEntrySchema, type FrameEntry } from './frame-entry';

const id = z.uuid();

export async function addFrame(newId: string, entry: FrameEntry): Promise<FormAnswer> {
  const { workshop, frames } = await openWorkshop();
  const read = frameEntrySchema(workshop.tensionUnit).safeParse(entry);
  if (!read.success) return misread(read.error);
  await frames.add(read.data, id.parse(newId));
  return { ok: true, go: `/frames/${newId}` };
}

export async function changeFrame(
  frameId: string,
  version: number,
  go: string | undefined,
  entry: FrameEntry,
): Promise<FormAnswer> {
  const { workshop, frames } = await openWorkshop();
  const read = frameEntrySchema(workshop.tensionUnit).safeParse(entry);
  if (!read.success) return misread(read.error);
  return answerTo(await frames.change(id.parse(frameId), version, read.data), 'frame', go);
}

/** Enters the frame of a ticket's racket and puts it on the racket, both or neither. */
export async function enterFrameForRacket(
  racketId: string,
  racketVersion: number,
  go: string,
  entry: FrameEntry,
): Promise<FormAnswer> {
  const { workshop, together } = await openWorkshop();
  const read = frameEntrySchema(workshop.tensionUnit).safeParse(entry);
  if (!read.success) return misread(read.error);
  return wholly(() =>
    together(async ({ frames, rackets }) => {
      const frameId = randomUUID();
      await frames.add(read.data, frameId);
      const saved = await rackets.change(id.parse(racketId), racketVersion, { frameId });
      if (saved !== 'saved') throw new Undone(answerTo(saved, 'racket'));
      return { ok: true, go };
    }),
  );
}

export async function pickFrameForRacket(
  racketId: string,
  racketVersion: number,
  frameId: string,
): Promise<FormAnswer> {
  const { rackets, frames } = await openWorkshop();
  const frame = await frames.get(id.parse(frameId));
  if (!frame || frame.removedAt)
    return refused('That frame was removed from the library meanwhile.');
  return answerTo(
    await rackets.change(id.parse(racketId), racketVersion, { frameId: frame.id }),
    'racket',
  );
}

export async function removeFrame(frameId: string): Promise<void> {
  const { frames } = await openWorkshop();
  await frames.setRemoved(id.parse(frameId), true);
}

export async function restoreFrame(frameId: string): Promise<void> {
  const { frames } = await openWorkshop();
  await frames.setRemoved(id.parse(frameId), false);
}
