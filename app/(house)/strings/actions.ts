'use server';

import { z } from 'zod';
import { action, entryOf, rowId, rowVersion, wayOn } from '@/app/action';
import { answerTo, misread, refused, said, Undone, wholly } from '@/app/answers';
import { textIn } from '@/core/reading';
import { stringEntrySchema, type StringEntry } from '@/core/string-facts';
import { MOST_LETTERS, readStringTable } from '@/formats/string-table';

const entry = entryOf<StringEntry>();

export const addString = action(
  refused,
  [rowId, wayOn, entry],
  async ({ strings }, newId, go, typed) => {
    const read = stringEntrySchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    await strings.add(read.data, newId);
    return { ok: true, go };
  },
);

export const changeString = action(
  refused,
  [rowId, rowVersion, entry],
  async ({ strings }, stringId, version, typed) => {
    const read = stringEntrySchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await strings.change(stringId, version, read.data), 'string');
  },
);

export const removeString = action(said, [rowId], async ({ strings }, stringId) => {
  await strings.setRemoved(stringId, true);
});

export const restoreString = action(said, [rowId], async ({ strings }, stringId) => {
  await strings.setRemoved(stringId, false);
});

/** Brings a table of strings in, all of it or nothing; sent twice it changes nothing more. */
export const importStrings = action(
  refused,
  [z.string().max(MOST_LETTERS).pipe(textIn)],
  ({ together }, table) =>
    wholly(() =>
      together(async ({ strings }) => {
        for (const row of readStringTable(table, await strings.find(''))) {
          if (!row.ok)
            throw new Undone(
              refused('A row of the table is not right yet, so nothing was brought in.'),
            );
          await strings.bring(row.string);
        }
        return { ok: true, go: '/strings' };
      }),
    ),
);
