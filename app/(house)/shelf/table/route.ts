import { openFor } from '@/app/identity/at-work';
import { moneyFigure } from '@/core/measure/money';
import { tableRows } from '@/formats/table-cells';

const HEAD = [
  'string',
  'gauge_mm',
  'kind',
  'bought_mm',
  'left_mm',
  'price',
  'currency',
  'supplier',
  'place',
  'bought_on',
];

/** Every length on the shelf as a table (RFC 4180). */
export async function GET() {
  const { shelf, workshop } = await openFor('see strings');
  const rows = (await shelf.there()).map((each) => [
    each.string,
    each.gaugeMm.toFixed(2),
    each.kind,
    Math.round(each.mm),
    Math.round(each.leftMm),
    Number(moneyFigure(each.priceMinor, workshop.currency)),
    workshop.currency,
    each.supplier,
    each.place,
    each.day,
  ]);
  return new Response(tableRows([HEAD, ...rows]), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="shelf.csv"',
    },
  });
}
