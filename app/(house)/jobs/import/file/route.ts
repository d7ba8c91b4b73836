import { isDeepStrictEqual } from 'node:util';
import { z } from 'zod';
import { longRoute } from '@/app/action';
import { readOrUndone, refused, Undone, wholly } from '@/app/answers';
import { parseApart } from '@/app/parse-apart';
import { dayAt } from '@/core/measure/promised-time';
import { DAY_ORDERS } from '@/core/record/earlier-job';
import type { OpenWorkshop } from '@/db/workshop';
import { JOB_FIELDS, sameJob } from '@/formats/job-import';
import { mappingSchema } from '@/formats/mapped-table';
import type { FormAnswer } from '@/ui/form/result';

type GoOn = (done: number) => Promise<void>;

const tableSchema = z.object({
  text: z.string(),
  mapping: mappingSchema(JOB_FIELDS),
  dayOrder: z.enum(DAY_ORDERS),
});
const documentsSchema = z.object({ documents: z.string() });

/** Brings jobs in, all of them or none; the same file sent twice adds nothing twice. */
export const POST = longRoute(
  'bring records in',
  z.union([tableSchema, documentsSchema]),
  async (open, message, goOn): Promise<FormAnswer> =>
    'documents' in message
      ? bringDocuments(open, message.documents, goOn)
      : bringTable(open, message, goOn),
);

async function bringTable(
  { together, workshop }: OpenWorkshop,
  { text, mapping, dayOrder }: z.output<typeof tableSchema>,
  goOn: GoOn,
): Promise<FormAnswer> {
  const asked = {
    dayOrder,
    unit: workshop.tensionUnit,
    currency: workshop.currency,
    today: dayAt(new Date(), workshop.timeZone),
  };
  return wholly(() =>
    together(async ({ brought }): Promise<FormAnswer> => {
      const known = (await brought.knownEarlier()).map(sameJob);
      const read = readOrUndone(
        readOrUndone(await parseApart('jobs', text, mapping, asked, known)),
      );
      const rows = read.flatMap((each) => (each.state === 'new' ? [each.row] : []));
      await brought.bringEarlier(rows, goOn);
      return { ok: true, go: '/rackets' };
    }),
  );
}

async function bringDocuments(
  { together }: OpenWorkshop,
  text: string,
  goOn: GoOn,
): Promise<FormAnswer> {
  return wholly(async () => {
    const read = readOrUndone(readOrUndone(await parseApart('jobDocuments', text)));
    await together(async ({ brought }) => {
      const here = await brought.recordsAt(read.map(({ number }) => number));
      const fresh = read.filter(({ number, record }) => {
        if (!here.has(number)) return true;
        if (isDeepStrictEqual(here.get(number), record)) return false;
        throw new Undone(
          refused(
            `Number ${number} is another job here. Nothing was brought in: these documents belong in a workshop of their own.`,
          ),
        );
      });
      if (fresh.length > 0)
        await brought.bringRecords(
          fresh.map(({ number, handedOver, record, books }) => ({
            number,
            closedAt: new Date(handedOver),
            record,
            ...(books && { books }),
          })),
          goOn,
        );
    });
    return { ok: true, go: '/jobs' };
  });
}
