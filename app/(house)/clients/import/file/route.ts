import { z } from 'zod';
import { fileRoute, rowId } from '@/app/action';
import { refused } from '@/app/answers';
import { clientRowSchema, MOST_CLIENTS } from '@/formats/client-import';
import type { FormAnswer } from '@/ui/form/result';

/** Brings clients in, all of them or none; the same table sent twice adds nobody twice. */
export const POST = fileRoute(
  'bring records in',
  refused,
  z.object({ key: rowId, clients: z.array(clientRowSchema).min(1).max(MOST_CLIENTS) }),
  async ({ together }, { clients: rows }): Promise<FormAnswer> => {
    await together(({ clients }) => clients.bring(rows));
    return { ok: true, go: '/clients' };
  },
);
