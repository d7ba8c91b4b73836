import type { NextRequest } from 'next/server';
import { openFor } from '@/app/identity/at-work';
import { dayAt } from '@/core/measure/promised-time';
import { paymentTable } from '@/formats/books-table';
import { daysAsked } from '../days';

/** Payments between two days, for the books. */
export async function GET(request: NextRequest) {
  const { payments, workshop } = await openFor('see the money');
  const today = dayAt(new Date(), workshop.timeZone);
  const { from, to } = daysAsked(Object.fromEntries(request.nextUrl.searchParams), today);
  return new Response(paymentTable(await payments.between(from, to)), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="payments-${from}-${to}.csv"`,
    },
  });
}
