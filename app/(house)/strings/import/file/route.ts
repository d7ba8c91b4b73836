import { z } from 'zod';
import { fileRoute } from '@/app/action';
import { readOrUndone, refused, Undone, wholly } from '@/app/answers';
import { parseApart } from '@/app/parse-apart';
import { textIn } from '@/core/measure/typed';
import { MOST_LETTERS } from '@/formats/string-table';
import type { FormAnswer } from '@/ui/form/result';

/** Brings a table of strings in, all of it or nothing; sent twice it changes nothing more. */
export const POST = fileRoute(
  'change strings',
  refused,
  z.object({ text: z.string().max(MOST_LETTERS).pipe(textIn) }),
  ({ together, workshop }, { text }) =>
    wholly(() =>
      together(async ({ strings }): Promise<FormAnswer> => {
        const library = await strings.find('');
        for (const row of readOrUndone(
          await parseApart('strings', text, workshop.currency, library),
        )) {
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
