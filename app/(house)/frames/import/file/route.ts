import { z } from 'zod';
import { fileRoute, rowId } from '@/app/action';
import { MOST_LETTERS, readFrameFile } from '@/formats/frame-file';
import type { ImportAnswer } from '../import-answer';

const notKept = (notice: string): ImportAnswer => ({ ok: false, notice });

/**
 * Keeps the sound frames of one file, all of them or none; what is not sound was said before. The file
 * comes with a key, so that the same file sent twice keeps its frames once.
 */
export const POST = fileRoute(
  'change frames',
  notKept,
  z.object({ key: rowId, text: z.string().max(MOST_LETTERS) }),
  async ({ together }, { key, text }): Promise<ImportAnswer> => {
    const sound = readFrameFile(text).flatMap((each, i) =>
      each.ok ? [{ id: numbered(key, i), frame: each.frame }] : [],
    );
    await together(async ({ frames }) => {
      for (const { id, frame } of sound) await frames.add(frame, id);
    });
    return { ok: true };
  },
);

/** The id of the i-th frame of a file: its key with the last four digits counted up. */
const numbered = (key: string, i: number): string =>
  key.slice(0, -4) +
  ((Number.parseInt(key.slice(-4), 16) + i) % 0x10000).toString(16).padStart(4, '0');
