import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { formatMoney } from '@/core/measure/money';
import { dayAt, formatDay } from '@/core/measure/promised-time';
import { rateWords } from '@/core/papers/invoice';
import { closeOfDay } from '@/core/papers/payment';
import { RowLink, Table } from '@/ui/list-page';
import { daysAsked } from './days';

export const metadata: Metadata = { title: 'Money' };

const MOST = 200;
const BOX = 'border-edge bg-sheet border-b-2 px-2 py-1.5';

/** What came in on a day or between two, by way and by tax; what was invoiced, and what is owed. */
export default async function MoneyPage({ searchParams }: PageProps<'/money'>) {
  const { workshop, payments, invoices } = await openFor('see the money');
  const today = dayAt(new Date(), workshop.timeZone);
  const { from, to } = daysAsked(await searchParams, today);
  const [paid, issued, owed] = await Promise.all([
    payments.between(from, to),
    invoices.between(from, to, MOST),
    payments.owed(MOST),
  ]);
  const own = paid.filter(({ price }) => price.currency === workshop.currency);
  const close = closeOfDay(own);
  const money = (minor: number) => formatMoney(minor, workshop.currency, workshop.locale);
  const when = from === to ? formatDay(from) : `${formatDay(from)} to ${formatDay(to)}`;
  const query = `?from=${from}&to=${to}`;
  return (
    <main className="px-6 py-6">
      <div className="flex flex-wrap items-end gap-x-8 gap-y-3">
        <div className="grow">
          <h1 className="figure text-4xl">Money</h1>
          <p className="text-soft">{from === to ? `The close of ${when}` : when}</p>
        </div>
        <form action="/money" className="no-print flex flex-wrap items-end gap-x-4">
          <label>
            <span className="label block">From</span>
            <input type="date" name="from" defaultValue={from} className={BOX} />
          </label>
          <label>
            <span className="label block">To</span>
            <input type="date" name="to" defaultValue={to} className={BOX} />
          </label>
          <button className="bg-ink text-paper px-5 py-2 font-medium">Show</button>
        </form>
      </div>
      <div className="mt-6 grid gap-x-14 gap-y-8 lg:grid-cols-[1fr_1.6fr]">
        <section aria-label="The close">
          <p className="figure text-5xl">{money(close.minor)}</p>
          <p className="label mb-4">came in, {own.length} payments</p>
          {own.length < paid.length && (
            <p className="text-warn mb-4">
              {paid.length - own.length} payments in another currency are not in these sums; the
              table has them.
            </p>
          )}
          <Table
            head={['How', 'Payments', 'Sum']}
            empty="Nothing was marked as paid."
            rows={close.byWay.map(({ way, count, minor }) => ({
              key: way,
              cells: [
                way,
                count,
                <span key="sum" className="figure text-lg">
                  {money(minor)}
                </span>,
              ],
            }))}
          />
          {close.byRate.length > 0 && (
            <div className="mt-5">
              <Table
                head={['Tax', 'Without tax', 'Tax in it', 'Sum']}
                empty=""
                rows={close.byRate.map(({ taxBp, netMinor, taxMinor, grossMinor }) => ({
                  key: String(taxBp),
                  cells: [rateWords(taxBp), money(netMinor), money(taxMinor), money(grossMinor)],
                }))}
              />
            </div>
          )}
          <p className="no-print mt-5 flex flex-wrap gap-x-6">
            <a href={`/money/payments${query}`} download className="underline">
              Payments as a table
            </a>
            <a href={`/money/invoices${query}`} download className="underline">
              Invoices as a table
            </a>
          </p>
        </section>
        <section aria-label="Payments">
          <h2 className="figure mb-2 text-2xl">Payments</h2>
          <Table
            head={['Day', 'Job', 'Client', 'How', 'Amount', 'Note']}
            empty="None."
            rows={paid.map(({ id, day, job, clientName, way, amountMinor, note, price }) => ({
              key: id,
              cells: [
                formatDay(day),
                <RowLink key="job" href={`/jobs/${job}`}>
                  {job}
                </RowLink>,
                clientName,
                way,
                <span key="sum" className="figure text-lg">
                  {formatMoney(amountMinor, price.currency, workshop.locale)}
                </span>,
                note,
              ],
            }))}
          />
        </section>
        <section aria-label="Owed">
          <h2 className="figure mb-2 text-2xl">Still owed</h2>
          <Table
            head={['Client', 'Jobs', 'Owes']}
            empty="Nobody owes anything."
            rows={owed.map(({ clientId, clientName, jobs, owedMinor }) => ({
              key: clientId,
              cells: [
                <RowLink key="client" href={`/clients/${clientId}`}>
                  {clientName}
                </RowLink>,
                jobs,
                <span key="sum" className="figure text-lg">
                  {money(owedMinor)}
                </span>,
              ],
            }))}
          />
        </section>
        <section aria-label="Invoices">
          <h2 className="figure mb-2 text-2xl">Invoices</h2>
          <Table
            head={['Number', 'Day', 'Client', 'Sum', '']}
            empty="None was issued."
            rows={issued.map(({ number, day, clientName, kind, totalMinor, takenBackBy }) => ({
              key: String(number),
              cells: [
                <RowLink key="number" href={`/invoices/${number}`}>
                  {number}
                </RowLink>,
                formatDay(day),
                clientName,
                <span key="sum" className="figure text-lg">
                  {money(kind === 'invoice' ? totalMinor : -totalMinor)}
                </span>,
                kind === 'credit note'
                  ? 'credit note'
                  : takenBackBy !== null
                    ? `taken back by ${takenBackBy}`
                    : '',
              ],
            }))}
          />
        </section>
      </div>
    </main>
  );
}
