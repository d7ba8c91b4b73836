import { openFor } from '@/app/identity/at-work';
import { tableRows } from '@/formats/table-cells';
import { orderLines, WEEKS_LOOKED_AT } from '../cuts-of-day';

/** What to order now, as a table (RFC 4180), a string a row. */
export async function GET() {
  const { shelf, strings } = await openFor('see strings');
  const [lengths, known, used] = await Promise.all([
    shelf.there(),
    strings.find(''),
    shelf.usedByWeek(WEEKS_LOOKED_AT),
  ]);
  const rows = orderLines(known, lengths, used)
    .filter(({ toOrder }) => toOrder > 0)
    .map(({ name, gaugeMm, toOrder, there, level }) => [
      name,
      gaugeMm.toFixed(2),
      toOrder,
      Math.round(there * 10) / 10,
      level,
    ]);
  return new Response(
    tableRows([['string', 'gauge_mm', 'order_sets', 'there_sets', 'level_sets'], ...rows]),
    {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="order.csv"',
      },
    },
  );
}
