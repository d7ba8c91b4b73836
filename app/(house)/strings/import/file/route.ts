import { z } from 'zod';
import { fileRoute } from '@/app/action';
import { refused, Undone, wholly } from '@/app/answers';
import { textIn } from '@/core/measure/reading';
import { MOST_LETTERS, readStringTable } from '@/formats/string-table';
import type { FormAnswer } from '@/ui/form/result';

/** Brings a table of strings in, all of it or nothing; sent twice it changes nothing more. */
export const POST = fileRoute(
  'change strings',
  refused,
  z.object({ text: z.string().max(MOST_LETTERS).pipe(textIn) }),
  ({ together, workshop }, { text }) =>
    wholly(() =>
      together(async ({ strings }): Promise<FormAnswer> => {
        for (const row of readStringTable(text, workshop.currency, await strings.find(''))) {
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
