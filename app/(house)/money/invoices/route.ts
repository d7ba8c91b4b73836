import type { NextRequest } from 'next/server';
import { openFor } from '@/app/identity/at-work';
import { dayAt } from '@/core/measure/promised-time';
import { invoiceTable } from '@/formats/books-table';
import { daysAsked } from '../days';

/** More than any workshop issues. */
const MOST = 10_000_000;

/** Invoices and credit notes between two days, for the books. */
export async function GET(request: NextRequest) {
  const { invoices, workshop } = await openFor('see the money');
  const today = dayAt(new Date(), workshop.timeZone);
  const { from, to } = daysAsked(Object.fromEntries(request.nextUrl.searchParams), today);
  return new Response(invoiceTable((await invoices.between(from, to, MOST)).toReversed()), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="invoices-${from}-${to}.csv"`,
    },
  });
}
