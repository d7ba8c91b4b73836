'use server';

import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { action, entryOf, rowId, rowVersion, wayOn } from '@/app/action';
import { answerTo, misread, refused, said, Undone, wholly } from '@/app/answers';
import { MOST_LETTERS, readFrameFile } from '@/formats/frame-file';
import type { OpenWorkshop } from '@/db/workshop';
import { frameEntrySchema, type FrameEntry } from './frame-entry';

const entry = entryOf<FrameEntry>();

const read = ({ workshop }: OpenWorkshop, typed: FrameEntry) =>
  frameEntrySchema(workshop.tensionUnit).safeParse(typed);

export const addFrame = action(refused, [rowId, entry], async (open, newId, typed) => {
  const frame = read(open, typed);
  if (!frame.success) return misread(frame.error);
  await open.frames.add(frame.data, newId);
  return { ok: true, go: `/frames/${newId}` };
});

/** `go` leads on when it is saved; null stays on the page. */
export const changeFrame = action(
  refused,
  [rowId, rowVersion, wayOn.nullable(), entry],
  async (open, frameId, version, go, typed) => {
    const frame = read(open, typed);
    if (!frame.success) return misread(frame.error);
    return answerTo(
      await open.frames.change(frameId, version, frame.data),
      'frame',
      go ?? undefined,
    );
  },
);

/** Enters the frame of a ticket's racket and puts it on the racket, both or neither. */
export const enterFrameForRacket = action(
  refused,
  [rowId, rowVersion, wayOn, entry],
  async (open, racketId, racketVersion, go, typed) => {
    const frame = read(open, typed);
    if (!frame.success) return misread(frame.error);
    return wholly(() =>
      open.together(async ({ frames, rackets }) => {
        const frameId = randomUUID();
        await frames.add(frame.data, frameId);
        const saved = await rackets.change(racketId, racketVersion, { frameId });
        if (saved !== 'saved') throw new Undone(answerTo(saved, 'racket'));
        return { ok: true, go };
      }),
    );
  },
);

export const pickFrameForRacket = action(
  refused,
  [rowId, rowVersion, rowId],
  async ({ rackets, frames }, racketId, racketVersion, frameId) => {
    const frame = await frames.get(frameId);
    if (!frame || frame.removedAt)
      return refused('That frame was removed from the library meanwhile.');
    return answerTo(await rackets.change(racketId, racketVersion, { frameId: frame.id }), 'racket');
  },
);

export const removeFrame = action(said, [rowId], async ({ frames }, frameId) => {
  await frames.setRemoved(frameId, true);
});

export const restoreFrame = action(said, [rowId], async ({ frames }, frameId) => {
  await frames.setRemoved(frameId, false);
});

export type ImportAnswer =
  { readonly ok: true; readonly kept: number } | { readonly ok: false; readonly notice: string };

const notKept = (notice: string): ImportAnswer => ({ ok: false, notice });

/**
 * Keeps the sound frames of one file, all of them or none; what is not sound was said before. The file
 * comes with a key, so that the same file sent twice keeps its frames once.
 */
export const importFrames = action(
  notKept,
  [rowId, z.string().max(MOST_LETTERS)],
  async ({ together }, key, text): Promise<ImportAnswer> => {
    const sound = readFrameFile(text).flatMap((each, i) =>
      each.ok ? [{ id: numbered(key, i), frame: each.frame }] : [],
    );
    await together(async ({ frames }) => {
      for (const { id, frame } of sound) await frames.add(frame, id);
    });
    return { ok: true, kept: sound.length };
  },
);

/** The id of the i-th frame of a file: its key with the last four digits counted up. */
const numbered = (key: string, i: number): string =>
  key.slice(0, -4) +
  ((Number.parseInt(key.slice(-4), 16) + i) % 0x10000).toString(16).padStart(4, '0');
