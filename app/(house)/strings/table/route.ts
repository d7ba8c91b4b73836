import { openFor } from '@/app/identity/at-work';
import { writeStringTable } from '@/formats/string-table';

/** The whole string library as a table. */
export async function GET() {
  const { strings, workshop } = await openFor('see strings');
  return new Response(writeStringTable(await strings.find(''), workshop.currency), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="strings.csv"',
    },
  });
}
