import { openWorkshop } from '@/db/workshop';
import { writeStringTable } from '@/formats/string-table';

/** The whole string library as a table. */
export async function GET() {
  const { strings } = await openWorkshop();
  return new Response(writeStringTable(await strings.find('')), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="strings.csv"',
    },
  });
}
