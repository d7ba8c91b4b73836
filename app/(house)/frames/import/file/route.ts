import { z } from 'zod';
import { fileRoute, rowId } from '@/app/action';
import { parseApart } from '@/app/parse-apart';
import { frameKey, MOST_LETTERS } from '@/formats/frame-file';
import type { ImportAnswer } from '../import-answer';

const notKept = (notice: string): ImportAnswer => ({ ok: false, notice });

/**
 * Keeps the sound frames of one file that are not here yet, all of them or none; what is not sound was said before. The
 * file comes with a key, so that the same file sent twice at once keeps its frames once.
 */
export const POST = fileRoute(
  'change frames',
  notKept,
  z.object({ key: rowId, text: z.string().max(MOST_LETTERS) }),
  ({ together }, { key, text }) =>
    together(async ({ frames }): Promise<ImportAnswer> => {
      const read = await parseApart('frames', text, (await frames.all()).map(frameKey));
      if (!read.ok) return notKept(read.problem);
      for (const [i, row] of read.value.entries())
        if (row.state === 'new') await frames.add(row.frame, numbered(key, i));
      return { ok: true };
    }),
);

/** The id of the i-th frame of a file: its key with the last four digits counted up. */
const numbered = (key: string, i: number): string =>
  key.slice(0, -4) +
  ((Number.parseInt(key.slice(-4), 16) + i) % 0x10000).toString(16).padStart(4, '0');
