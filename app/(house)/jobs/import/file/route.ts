import { isDeepStrictEqual } from 'node:util';
import { z } from 'zod';
import { longRoute } from '@/app/action';
import { refused, Undone, wholly } from '@/app/answers';
import { dayAt } from '@/core/measure/promised-time';
import { DAY_ORDERS } from '@/core/record/earlier-job';
import type { OpenWorkshop } from '@/db/workshop';
import { answerJobs, JOB_FIELDS, readJobDocuments, sameJob } from '@/formats/job-import';
import { mappingSchema, readSheet } from '@/formats/mapped-table';
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
  const sheet = readSheet(text);
  if (!sheet.ok) return refused(sheet.problem);
  const asked = {
    dayOrder,
    unit: workshop.tensionUnit,
    currency: workshop.currency,
    today: dayAt(new Date(), workshop.timeZone),
  };
  await together(async ({ brought }) => {
    const known = new Set((await brought.knownEarlier()).map(sameJob));
    const rows = answerJobs(sheet.value, mapping, asked, known).flatMap((each) =>
      each.state === 'new' ? [each.row] : [],
    );
    await brought.bringEarlier(rows, goOn);
  });
  return { ok: true, go: '/rackets' };
}

async function bringDocuments(
  { together }: OpenWorkshop,
  text: string,
  goOn: GoOn,
): Promise<FormAnswer> {
  const read = readJobDocuments(text);
  if (!read.ok) return refused(read.problem);
  return wholly(async () => {
    await together(async ({ brought }) => {
      const here = await brought.recordsAt(read.value.map(({ number }) => number));
      const fresh = read.value.filter(({ number, record }) => {
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
