'use server';

import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { answerTo, misread, refused, Undone, wholly } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { readFrameFile } from '@/formats/frame-file';
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

export type ImportAnswer =
  { readonly ok: true; readonly kept: number } | { readonly ok: false; readonly notice: string };

const importSchema = z.object({
  keys: z.array(id).max(200),
  texts: z.array(z.string().max(4_000_000)).max(200),
});

/**
 * Keeps the sound frames of some texts, all of them or none; what is not sound was said before.
 * Each text comes with a key, so that the same import sent twice keeps its frames once.
 */
export async function importFrames(
  keys: readonly string[],
  texts: readonly string[],
): Promise<ImportAnswer> {
  const read = importSchema.safeParse({ keys, texts });
  if (!read.success) return { ok: false, notice: 'Too much at once: bring in fewer files.' };
  const sound = read.data.texts.flatMap((text, file) =>
    readFrameFile(text).flatMap((entry, i) =>
      entry.ok
        ? [{ id: numbered(read.data.keys[file] ?? randomUUID(), i), frame: entry.frame }]
        : [],
    ),
  );
  if (sound.length === 0) return { ok: false, notice: 'There is no sound frame among them.' };
  const { together } = await openWorkshop();
  await together(async ({ frames }) => {
    for (const { id: newId, frame } of sound) await frames.add(frame, newId);
  });
  return { ok: true, kept: sound.length };
}

/** The id of the i-th frame of a file: its key with the last four digits counted up. */
const numbered = (key: string, i: number): string =>
  key.slice(0, -4) +
  ((Number.parseInt(key.slice(-4), 16) + i) % 0x10000).toString(16).padStart(4, '0');
