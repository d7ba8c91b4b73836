import { openFor } from '@/app/identity/at-work';
import { clientTable } from '@/formats/people-tables';

/** All clients as a table. */
export async function GET() {
  const { clients } = await openFor('take records out');
  return new Response(clientTable(await clients.all()), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="clients.csv"',
    },
  });
}
