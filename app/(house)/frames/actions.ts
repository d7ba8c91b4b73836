'use server';

import { randomUUID } from 'node:crypto';
import { action, entryOf, rowId, rowVersion, wayOn } from '@/app/action';
import { answerTo, answerToAdded, misread, refused, said, Undone, wholly } from '@/app/answers';
import type { OpenWorkshop } from '@/db/workshop';
import { frameEntrySchema, type FrameEntry } from './frame-entry';

const entry = entryOf<FrameEntry>();

const read = ({ workshop }: OpenWorkshop, typed: FrameEntry) =>
  frameEntrySchema(workshop.tensionUnit).safeParse(typed);

export const addFrame = action(
  'change frames',
  refused,
  [rowId, entry],
  async (open, newId, typed) => {
    const frame = read(open, typed);
    if (!frame.success) return misread(frame.error);
    await open.frames.add(frame.data, newId);
    return answerToAdded(await open.frames.get(newId), frame.data, `/frames/${newId}`);
  },
);

/** `go` leads on when it is saved; null stays on the page. */
export const changeFrame = action(
  'change frames',
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
  'set up',
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
  'set up',
  refused,
  [rowId, rowVersion, rowId],
  async ({ rackets, frames }, racketId, racketVersion, frameId) => {
    const frame = await frames.get(frameId);
    if (!frame || frame.removedAt)
      return refused('That frame was removed from the library meanwhile.');
    return answerTo(await rackets.change(racketId, racketVersion, { frameId: frame.id }), 'racket');
  },
);

export const removeFrame = action('change frames', said, [rowId], async ({ frames }, frameId) => {
  await frames.setRemoved(frameId, true);
});

export const restoreFrame = action('change frames', said, [rowId], async ({ frames }, frameId) => {
  await frames.setRemoved(frameId, false);
});
