import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { formatMoney } from '@/core/measure/money';
import { dayAt, formatDay } from '@/core/measure/promised-time';
import { rateWords } from '@/core/papers/invoice';
import { closeOfDay, type DayPayment } from '@/core/papers/payment';
import { CutOff, RowLink, Table } from '@/ui/list-page';
import { countWords } from '@/core/terms/count-words';
import { daysAsked } from './days';

export const metadata: Metadata = { title: 'Money' };

const MOST = 200;
const BOX = 'border-edge bg-sheet border-b-2 px-2 py-1.5';

interface CloseProps {
  readonly payments: readonly DayPayment[];
  readonly money: (minor: number) => string;
}

/** What came in of one currency, by way and by rate of tax. */
function Close({ payments, money }: CloseProps) {
  const {
    minor: sum,
    byWay,
    byRate,
    tipsMinor,
    creditMinor,
    fromCreditMinor,
  } = closeOfDay(payments);
  const beside = [
    tipsMinor !== 0 && `${money(tipsMinor)} of it tips`,
    creditMinor !== 0 && `${money(creditMinor)} of it left for next jobs`,
    fromCreditMinor !== 0 && `${money(fromCreditMinor)} more paid from what was left before`,
  ].filter((each) => each !== false);
  return (
    <div className="mb-8">
      <p className="figure text-5xl">{money(sum)}</p>
      <p className="label mb-4">
        came in, {countWords(payments.length, 'payment')}
        {beside.map((each) => `; ${each}`)}
      </p>
      <Table
        head={['How', 'Payments', 'Sum']}
        empty="Nothing was marked as paid."
        rows={byWay.map(({ way, count, minor }) => ({
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
      {byRate.length > 0 && (
        <div className="mt-5">
          <Table
            head={['Tax', 'Without tax', 'Tax in it', 'Sum']}
            empty=""
            rows={byRate.map(({ taxBp, netMinor, taxMinor, grossMinor }) => ({
              key: String(taxBp),
              cells: [
                taxBp === null ? 'not known' : rateWords(taxBp),
                money(netMinor),
                money(taxMinor),
                money(grossMinor),
              ],
            }))}
          />
        </div>
      )}
    </div>
  );
}

/** What came in on a day or between two, by way and by tax; what was invoiced, and what is owed. */
export default async function MoneyPage({ searchParams }: PageProps<'/money'>) {
  const { workshop, payments, invoices } = await openFor('see the money');
  const today = dayAt(new Date(), workshop.timeZone);
  const { from, to } = daysAsked(await searchParams, today);
  const [paid, issued, owed] = await Promise.all([
    payments.between(from, to),
    invoices.between(from, to, MOST + 1),
    payments.owed(MOST + 1),
  ]);
  // The workshop's own currency first, also where nothing came in.
  const currencies = new Set([workshop.currency, ...paid.map(({ currency }) => currency)]);
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
          {[...currencies].map((currency) => (
            <Close
              key={currency}
              payments={paid.filter((each) => each.currency === currency)}
              money={(minor) => formatMoney(minor, currency, workshop.locale)}
            />
          ))}
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
            rows={paid
              .slice(-MOST)
              .map(({ id, day, job, clientName, way, kind, amountMinor, note, currency }) => ({
                key: id,
                cells: [
                  formatDay(day),
                  <RowLink key="job" href={`/jobs/${job}`}>
                    {job}
                  </RowLink>,
                  clientName,
                  kind === 'paid' ? way : `${kind}, ${way}`,
                  <span key="sum" className="figure text-lg">
                    {formatMoney(amountMinor, currency, workshop.locale)}
                  </span>,
                  note,
                ],
              }))}
          />
          <CutOff rows={paid} most={MOST}>
            The latest {MOST} of {paid.length}; the table has them all.
          </CutOff>
        </section>
        <section aria-label="Owed">
          <h2 className="figure mb-2 text-2xl">Still owed</h2>
          <Table
            head={['Client', 'Jobs', 'Owes']}
            empty="Nobody owes anything."
            rows={owed
              .slice(0, MOST)
              .map(({ clientId, clientName, jobs, owedMinor, currency }) => ({
                key: `${clientId} ${currency}`,
                cells: [
                  <RowLink key="client" href={`/clients/${clientId}`}>
                    {clientName}
                  </RowLink>,
                  jobs,
                  <span key="sum" className="figure text-lg">
                    {formatMoney(owedMinor, currency, workshop.locale)}
                  </span>,
                ],
              }))}
          />
          <CutOff rows={owed} most={MOST}>
            The {MOST} who owe most; the list of jobs has all that is not paid.
          </CutOff>
        </section>
        <section aria-label="Invoices">
          <h2 className="figure mb-2 text-2xl">Invoices</h2>
          <Table
            head={['Number', 'Day', 'Client', 'Sum', '']}
            empty="None was issued."
            rows={issued
              .slice(0, MOST)
              .map(({ number, day, clientName, kind, totalMinor, currency, takenBackBy }) => ({
                key: String(number),
                cells: [
                  <RowLink key="number" href={`/invoices/${number}`}>
                    {number}
                  </RowLink>,
                  formatDay(day),
                  clientName,
                  <span key="sum" className="figure text-lg">
                    {formatMoney(
                      kind === 'invoice' ? totalMinor : -totalMinor,
                      currency,
                      workshop.locale,
                    )}
                  </span>,
                  kind === 'credit note'
                    ? 'credit note'
                    : takenBackBy !== null
                      ? `taken back by ${takenBackBy}`
                      : '',
                ],
              }))}
          />
          <CutOff rows={issued} most={MOST}>
            The latest {MOST}; the table has them all.
          </CutOff>
        </section>
      </div>
    </main>
  );
}
