import type { Metadata } from 'next';
import { countWords } from '@/core/terms/count-words';
import { openFor } from '@/app/identity/at-work';
import { formatMoney } from '@/core/measure/money';
import { formatDay } from '@/core/measure/promised-time';
import { Link } from '@/ui/link';
import { Table } from '@/ui/list-page';
import { dayAccount } from './day-account';

export const metadata: Metadata = { title: 'Account of the day' };

/** What a day of an event brought, by player. */
export default async function AccountPage({
  params,
  searchParams,
}: PageProps<'/events/[id]/account'>) {
  const open = await openFor('see the money');
  const asked = (await searchParams).day;
  const { event, day, days, lines } = await dayAccount(
    open,
    (await params).id,
    typeof asked === 'string' ? asked : undefined,
  );
  const money = (minor: number) => formatMoney(minor, open.workshop.currency, open.workshop.locale);
  const sum = (of: (line: (typeof lines)[number]) => number) =>
    lines.reduce((total, line) => total + of(line), 0);
  return (
    <main className="max-w-4xl px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">{formatDay(day)}</h1>
        <Link href={`/events/${event.id}`} className="underline">
          {event.name}
        </Link>
        <span className="grow" />
        <a
          href={`/events/${event.id}/account/table?day=${day}`}
          download
          className="no-print underline"
        >
          As a table
        </a>
      </div>
      <nav aria-label="Days" className="no-print mb-4 flex flex-wrap gap-x-5">
        {days.map((each) => (
          <Link
            key={each}
            href={`/events/${event.id}/account?day=${each}`}
            aria-current={each === day ? 'true' : undefined}
            className="underline aria-[current=true]:font-semibold aria-[current=true]:no-underline"
          >
            {formatDay(each)}
          </Link>
        ))}
      </nav>
      <Table
        head={['Player', 'Rackets', 'In time', 'To pay', 'Paid', 'Open']}
        empty="Nothing was handed over on this day."
        rows={lines.map(
          ({ playerId, player, rackets, kept, toPayMinor, paidMinor, owedMinor }) => ({
            key: playerId,
            cells: [
              player,
              rackets,
              kept,
              money(toPayMinor),
              money(paidMinor),
              owedMinor > 0 ? <strong key="open">{money(owedMinor)}</strong> : '',
            ],
          }),
        )}
      />
      {lines.length > 0 && (
        <p className="mt-4 font-medium">
          {countWords(
            sum(({ rackets }) => rackets),
            'racket',
          )}
          , {sum(({ kept }) => kept)} in time; {money(sum(({ toPayMinor }) => toPayMinor))} to pay,{' '}
          {money(sum(({ owedMinor }) => owedMinor))} of it open.
        </p>
      )}
    </main>
  );
}
