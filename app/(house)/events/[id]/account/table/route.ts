import type { NextRequest } from 'next/server';
import { openFor } from '@/app/identity/at-work';
import { moneyFigure } from '@/core/measure/money';
import { tableRows } from '@/formats/table-cells';
import { dayAccount } from '../day-account';

const HEAD = ['day', 'player', 'rackets', 'in_time', 'to_pay', 'paid', 'open', 'currency'];

/** The account of a day by player, as a table (RFC 4180). */
export async function GET(
  request: NextRequest,
  { params }: RouteContext<'/events/[id]/account/table'>,
) {
  const open = await openFor('see the money');
  const { currency } = open.workshop;
  const asked = request.nextUrl.searchParams.get('day') ?? undefined;
  const { day, lines } = await dayAccount(open, (await params).id, asked);
  const figure = (minor: number) => Number(moneyFigure(minor, currency));
  const rows = lines.map(({ player, rackets, kept, toPayMinor, paidMinor, owedMinor }) => [
    day,
    player,
    rackets,
    kept,
    figure(toPayMinor),
    figure(paidMinor),
    figure(owedMinor),
    currency,
  ]);
  return new Response(tableRows([HEAD, ...rows]), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="account-${day}.csv"`,
    },
  });
}
