'use server';

import { z } from 'zod';
import { answerTo, misread, refused, Undone, wholly } from '@/app/answers';
import { openWorkshop } from '@/db/workshop';
import { readStringTable } from '@/formats/string-table';
import type { FormAnswer } from '@/ui/form/result';
import { stringEntrySchema, type StringEntry } from '@/core/string-facts';

const id = z.uuid();

export async function addString(
  newId: string,
  go: string,
  entry: StringEntry,
): Promise<FormAnswer> {
  const read = stringEntrySchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { strings } = await openWorkshop();
  await strings.add(read.data, id.parse(newId));
  return { ok: true, go };
}

export async function changeString(
  stringId: string,
  version: number,
  entry: StringEntry,
): Promise<FormAnswer> {
  const read = stringEntrySchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const { strings } = await openWorkshop();
  return answerTo(await strings.change(id.parse(stringId), version, read.data), 'string');
}

export async function removeString(stringId: string): Promise<void> {
  const { strings } = await openWorkshop();
  await strings.setRemoved(id.parse(stringId), true);
}

export async function restoreString(stringId: string): Promise<void> {
  const { strings } = await openWorkshop();
  await strings.setRemoved(id.parse(stringId), false);
}

const tableText = z.string().max(2_000_000);

/** Brings a table of strings in, all of it or nothing; sent twice it changes nothing more. */
export async function importStrings(text: string): Promise<FormAnswer> {
  const table = tableText.parse(text);
  const { together } = await openWorkshop();
  return wholly(() =>
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
  );
}
