import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { formatMoney } from '@/core/measure/money';
import { formatDayIn } from '@/core/measure/promised-time';
import { invoiceTotals, rateWords, takenBackWords } from '@/core/papers/invoice';
import { Link } from '@/ui/link';
import { PrintButton } from '../../print-button';
import { creditInvoice } from '../actions';
import { CreditForm } from '@/app/(print)/when-used';
import { invoiceAt } from '../invoice-at';

export const metadata: Metadata = { title: 'Invoice' };

/** An invoice or a credit note as it was issued, to print or to take back. */
export default async function InvoicePage({ params }: PageProps<'/invoices/[number]'>) {
  await openFor('issue invoices');
  const { open, issued, jobs, words } = await invoiceAt(params);
  const { paper, number, kind, takenBackBy } = issued;
  const { currency, locale, from, to, lines } = paper;
  const totals = invoiceTotals(paper);
  const money = (minor: number) => formatMoney(minor, currency, locale);
  const title = kind === 'invoice' ? 'Invoice' : 'Credit note';
  return (
    <>
      <style>{`@page { size: A4; margin: 20mm; }`}</style>
      <p className="no-print mb-6 flex flex-wrap items-baseline gap-x-6">
        <PrintButton />
        <a href={`/invoices/${number}/pdf`} className="underline">
          As PDF
        </a>
        <a href={`/invoices/${number}/xml`} className="underline">
          For programs (UBL)
        </a>
        {jobs.map((job) => (
          <Link key={job.number} href={`/jobs/${job.number}`} className="underline">
            Job {job.number}
          </Link>
        ))}
      </p>
      <article>
        <header className="mb-10 flex justify-between gap-8">
          <div>
            <p className="figure text-2xl font-semibold">{from.name}</p>
            <p className="whitespace-pre-line">{from.address}</p>
            {from.taxNumber && <p>Tax number {from.taxNumber}</p>}
          </div>
          <div className="text-right">
            <h1 className="figure text-4xl font-semibold">
              {title} {number}
            </h1>
            <p>{formatDayIn(paper.day, locale)}</p>
          </div>
        </header>
        <p className="label">To</p>
        <p className="font-semibold">{to.name}</p>
        <p className="mb-8 whitespace-pre-line">{to.address}</p>
        {paper.reverses !== null && (
          <p className="mb-5">
            <Link href={`/invoices/${paper.reverses}`} className="underline">
              {takenBackWords(paper)}
            </Link>
          </p>
        )}
        <table className="w-full text-left">
          <thead>
            <tr className="border-ink border-b">
              {['Job', 'Work and goods', 'Tax', 'Count', 'Each', 'Amount'].map((name, i) => (
                <th
                  key={name}
                  scope="col"
                  className={`label py-1 font-normal ${i > 1 ? 'pl-4 text-right' : 'pr-4'}`}
                >
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.map(({ job, text, taxBp, quantity, unitMinor }, i) => (
              <tr key={i} className="border-hair border-b align-baseline">
                <td className="py-1 pr-4">{job}</td>
                <td className="pr-4">{text}</td>
                <td className="pl-4 text-right whitespace-nowrap">{rateWords(taxBp)}</td>
                <td className="pl-4 text-right">{quantity}</td>
                <td className="figure pl-4 text-right">{money(unitMinor)}</td>
                <td className="figure pl-4 text-right">{money(quantity * unitMinor)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <dl className="mt-5 ml-auto grid max-w-md grid-cols-[1fr_auto] gap-x-6">
          {totals.byRate.map(({ taxBp, netMinor, taxMinor }) => (
            <div key={taxBp} className="contents">
              <dt>
                Without tax {money(netMinor)}, tax at {rateWords(taxBp)}
              </dt>
              <dd className="figure text-right">{money(taxMinor)}</dd>
            </div>
          ))}
          <dt className="border-ink mt-1 border-t pt-1 font-semibold">
            {kind === 'invoice' ? 'In all' : 'Credited in all'}
          </dt>
          <dd className="border-ink figure mt-1 border-t pt-1 text-right text-2xl font-semibold">
            {money(totals.grossMinor)}
          </dd>
        </dl>
        <p className="label mt-1 text-right">
          {paper.taxIncluded
            ? 'The amounts of the lines hold their tax.'
            : 'The lines are without tax.'}
        </p>
        {words && <p className="mt-6 font-semibold">{words}</p>}
      </article>
      {kind === 'invoice' && takenBackBy === null && (
        <div className="no-print">
          <CreditForm
            name={`credit ${issued.id}`}
            currency={issued.paper.currency}
            left={formatMoney(
              issued.totalMinor - issued.creditedMinor,
              issued.paper.currency,
              issued.paper.locale,
            )}
            save={creditInvoice.bind(null, open.workshop.id, randomUUID(), number)}
          />
        </div>
      )}
    </>
  );
}
