import { openFor } from '@/app/identity/at-work';
import { racketTable } from '@/formats/people-tables';

/** More than any workshop has. */
const MOST = 1_000_000;

/** All rackets as a table. */
export async function GET() {
  const { rackets } = await openFor('take records out');
  return new Response(racketTable(await rackets.find('', MOST)), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="rackets.csv"',
    },
  });
}
