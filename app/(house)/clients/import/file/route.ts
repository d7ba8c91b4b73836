import { z } from 'zod';
import { longRoute } from '@/app/action';
import { refused } from '@/app/answers';
import { sameName } from '@/core/measure/reading';
import { answerClients, CLIENT_FIELDS } from '@/formats/client-import';
import { mappingSchema, readSheet } from '@/formats/mapped-table';

/** Brings clients in, all of them or none; the same table sent twice adds nobody twice. */
export const POST = longRoute(
  'bring records in',
  z.object({ text: z.string(), mapping: mappingSchema(CLIENT_FIELDS) }),
  async ({ together }, { text, mapping }, goOn) => {
    const sheet = readSheet(text);
    if (!sheet.ok) return refused(sheet.problem);
    await together(async ({ clients }) => {
      const known = new Set((await clients.namesForMany()).map(sameName));
      const rows = answerClients(sheet.value, mapping, known).flatMap((each) =>
        each.state === 'new' ? [each.row] : [],
      );
      await clients.bring(rows, goOn);
    });
    return { ok: true, go: '/clients' };
  },
);
