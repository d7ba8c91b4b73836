import { z } from 'zod';
import { longRoute } from '@/app/action';
import { readOrUndone, wholly } from '@/app/answers';
import { parseApart } from '@/app/parse-apart';
import { sameName } from '@/core/measure/typed';
import { CLIENT_FIELDS } from '@/formats/client-import';
import { mappingSchema } from '@/formats/mapped-table';
import type { FormAnswer } from '@/ui/form/result';

/** Brings clients in, all of them or none; the same table sent twice adds nobody twice. */
export const POST = longRoute(
  'bring records in',
  z.object({ text: z.string(), mapping: mappingSchema(CLIENT_FIELDS) }),
  async ({ together }, { text, mapping }, goOn) =>
    wholly(() =>
      together(async ({ clients }): Promise<FormAnswer> => {
        const known = (await clients.namedForMany()).map(({ name }) => sameName(name));
        const read = readOrUndone(readOrUndone(await parseApart('clients', text, mapping, known)));
        const rows = read.flatMap((each) => (each.state === 'new' ? [each.row] : []));
        await clients.bring(rows, goOn);
        return { ok: true, go: '/clients' };
      }),
    ),
);
