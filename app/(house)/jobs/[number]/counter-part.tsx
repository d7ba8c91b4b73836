import { randomUUID } from 'node:crypto';
import { openWorkshop } from '@/app/identity/at-work';
import { issueInvoice } from '@/app/(print)/invoices/actions';
import { LineForm, PhotoPanel, PaymentForm } from '@/app/(house)/when-used';
import { may } from '@/core/house/role-rights';
import { formatMoney, moneyFigure } from '@/core/measure/money';
import { dayAt, formatDay, wallTime } from '@/core/measure/promised-time';
import { PAPERS } from '@/core/papers/paper';
import { payWords, type PaymentKind } from '@/core/papers/payment';
import type { Letter } from '@/db/outbox';
import type { ListedTicket } from '@/db/tickets';
import { Link } from '@/ui/link';
import { Press } from '@/ui/press';
import { addLine, collect, takePayment, withdrawLink, writeToClient } from './actions';
import { IssueButton } from './issue-button';

const letterWords = ({ kind, toAddress, sentAt, failure, given }: Letter, day: string): string =>
  sentAt
    ? `${kind}, sent to ${toAddress} on ${day}`
    : failure
      ? `${kind} to ${toAddress}: ${given ? 'not sent. ' : 'waits. '}${failure}`
      : `${kind} to ${toAddress}, on its way`;

const PAID_WORDS: Record<Exclude<PaymentKind, 'paid'>, string> = {
  'given back': 'given back',
  slip: 'a slip, taken off',
  tip: 'a tip',
  credit: 'left for the next job',
};

/** What is done with a strung racket over the counter: papers, money, messages, photographs. */
export async function CounterPart({ ticket }: { readonly ticket: ListedTicket }) {
  const { workshop, payments, invoices, photos, outbox, clientLinks, clients, role } =
    await openWorkshop();
  const { id, number, toPayMinor, paidMinor, collectedAt, record } = ticket;
  const [creditMinor, paid, issued, pictures, letters, link, client, openJobs] = await Promise.all([
    payments.creditOf(id),
    payments.ofTicket(id),
    invoices.ofTicket(id),
    photos.ofTicket(id),
    outbox.ofTicket(id),
    clientLinks.current(ticket.racketId),
    clients.get(ticket.clientId),
    invoices.openJobs(ticket.clientId),
  ]);
  // In the currency that it was priced in, whatever the workshop's is by now.
  const currency = record?.price?.currency ?? workshop.currency;
  const money = (minor: number) => formatMoney(minor, currency, workshop.locale);
  const dayOf = (at: Date) => formatDay(wallTime(at, workshop.timeZone));
  const today = dayAt(new Date(), workshop.timeZone);
  const open = toPayMinor === null ? 0 : toPayMinor - paidMinor;
  const voided = ticket.wasClosedAt !== null;
  const together = openJobs.filter((each) => each !== number);
  const canInvoice = record?.price && openJobs.includes(number);
  return (
    <div className="mt-10 grid gap-x-12 gap-y-8 lg:grid-cols-2">
      <section aria-label="Papers" className="flex flex-col gap-2">
        <h2 className="figure text-2xl">Papers</h2>
        {!collectedAt && !voided && (
          <p className="bg-sheet flex flex-wrap items-baseline gap-x-4 px-3 py-2">
            <span className="font-semibold">It waits to be collected.</span>
            {may(role, 'hand over') && (
              <Press main action="Collected" press={collect.bind(null, workshop.id, number)} />
            )}
          </p>
        )}
        <ul className="flex flex-wrap gap-x-6 gap-y-1">
          {(['slip', 'label', ...(record?.advice ? (['letter'] as const) : [])] as const).map(
            (kind) => (
              <li key={kind}>
                <Link href={`/papers/${number}/${kind}`} className="underline">
                  {PAPERS[kind].name}
                </Link>{' '}
                <a href={`/papers/${number}/${kind}/pdf`} className="label underline">
                  PDF
                </a>
              </li>
            ),
          )}
        </ul>
        <p>
          <a href={`/jobs/${number}/document`} download className="label underline">
            The whole job as a file
          </a>{' '}
          <a href={`/jobs/${number}/bed`} download className="label underline">
            Its bed as a drawing
          </a>
        </p>
        {issued.map((invoice) => (
          <p key={invoice.id}>
            <Link href={`/invoices/${invoice.number}`} className="underline">
              {invoice.kind === 'invoice' ? 'Invoice' : 'Credit note'} {invoice.number}
            </Link>{' '}
            <span className="label">
              {money(invoice.totalMinor)}
              {invoice.takenBackBy !== null
                ? `, taken back by credit note ${invoice.takenBackBy}`
                : invoice.creditedMinor > 0 && `, ${money(invoice.creditedMinor)} of it taken back`}
            </span>
          </p>
        ))}
        {canInvoice && (
          <p className="flex flex-wrap gap-x-6">
            <IssueButton
              text="Issue an invoice"
              issue={issueInvoice.bind(null, workshop.id, randomUUID(), [number])}
            />
            {together.length > 0 && (
              <IssueButton
                text={`One invoice for jobs ${[number, ...together].sort((a, b) => a - b).join(', ')}`}
                issue={issueInvoice.bind(
                  null,
                  workshop.id,
                  randomUUID(),
                  [number, ...together].sort((a, b) => a - b),
                )}
              />
            )}
          </p>
        )}
        {canInvoice && workshop.address === '' && (
          <p className="text-warn">
            No address of the workshop would stand on it: write it under Workshop, Papers and
            prices.
          </p>
        )}
        {link && (
          <p className="flex flex-wrap items-baseline gap-x-5">
            <a href={`/c/${link}`} target="_blank" rel="noreferrer" className="underline">
              The client’s page
            </a>
            <Press
              action="Withdraw its address"
              press={withdrawLink.bind(null, workshop.id, number)}
            />
          </p>
        )}
      </section>

      <section aria-label="Payment" className="flex flex-col gap-2">
        <h2 className="figure text-2xl">Payment</h2>
        {toPayMinor === null ? (
          <p className="text-soft">Payment was not kept yet when this job was closed.</p>
        ) : (
          <>
            <p className="figure text-3xl">
              {payWords(toPayMinor, paidMinor, currency, workshop.locale)}
            </p>
            {paid.length > 0 && (
              <table className="max-w-xl text-left">
                <tbody>
                  {paid.map(({ id: key, day, way, kind, amountMinor, note, who }) => (
                    <tr key={key} className="border-hair border-b align-baseline">
                      <td className="figure py-1 pr-5">{money(amountMinor)}</td>
                      <td className="pr-5">
                        {kind === 'paid' ? way : `${PAID_WORDS[kind]}, ${way}`}
                      </td>
                      <td className="pr-5">{formatDay(day)}</td>
                      <td className="label">{[note, who].filter(Boolean).join(', ')}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            {may(role, 'take payments') && (
              <details open={open > 0 && paid.length === 0}>
                <summary className="cursor-pointer py-1 underline">
                  {open > 0 ? 'Take a payment' : 'Another payment, or money given back'}
                </summary>
                <PaymentForm
                  key={paid.length}
                  name={`pay ${id} ${paid.length}`}
                  currency={currency}
                  locale={workshop.locale}
                  owedMinor={Math.max(0, open)}
                  creditMinor={creditMinor}
                  initial={{
                    amount: open > 0 ? moneyFigure(open, currency) : '',
                    way: 'cash',
                    day: today,
                    kind: 'paid',
                    over: '',
                    note: '',
                  }}
                  save={takePayment.bind(null, workshop.id, number, randomUUID())}
                />
              </details>
            )}
            {creditMinor > 0 && (
              <p className="label">They have {money(creditMinor)} left here for a next job.</p>
            )}
            {record?.price && !voided && may(role, 'correct a record') && (
              <LineForm
                name={`line ${id}`}
                version={ticket.version}
                currency={currency}
                rates={[...new Set([workshop.stringTaxBp, workshop.labourTaxBp])]}
                save={addLine.bind(null, workshop.id, number, ticket.version)}
              />
            )}
          </>
        )}
      </section>

      {!voided && may(role, 'write to clients') && (
        <section aria-label="Messages" className="flex flex-col gap-2">
          <h2 className="figure text-2xl">Messages</h2>
          {client?.mayWrite !== 'yes' ? (
            <p className="text-soft">
              {client?.name} {client?.mayWrite === 'no' ? 'does not want' : 'was not asked about'}{' '}
              messages:{' '}
              <Link href={`/clients/${ticket.clientId}`} className="underline">
                mark it under the client
              </Link>
              .
            </p>
          ) : (
            <p className="flex flex-wrap gap-x-6">
              {!collectedAt && (
                <Press
                  action="Write that it is ready"
                  press={writeToClient.bind(null, workshop.id, number, 'ready')}
                />
              )}
              <Press
                action="Write that it is due"
                press={writeToClient.bind(null, workshop.id, number, 'due')}
              />
            </p>
          )}
          {letters.map((letter) => (
            <p key={letter.id} className={letter.failure ? 'text-warn' : undefined}>
              {letterWords(letter, letter.sentAt ? dayOf(letter.sentAt) : '')}
            </p>
          ))}
        </section>
      )}
      {pictures.length > 0 && (
        <PhotoPanel
          workshopId={workshop.id}
          number={number}
          photos={pictures.map((photo) => ({ id: photo.id, caption: photo.caption }))}
        />
      )}
    </div>
  );
}
