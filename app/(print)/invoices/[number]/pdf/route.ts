import { openFor } from '@/app/identity/at-work';
import { invoicePdf } from '@/formats/papers/pdf';
import { pdfAnswer } from '../../../pdf-answer';
import { invoiceAt } from '../../invoice-at';

/** An invoice or a credit note as PDF. */
export async function GET(_: Request, { params }: RouteContext<'/invoices/[number]/pdf'>) {
  await openFor('issue invoices');
  const { issued, words } = await invoiceAt(params);
  return pdfAnswer(
    `${issued.kind === 'invoice' ? 'invoice' : 'credit-note'}-${issued.number}`,
    () => invoicePdf(issued.paper, words),
  );
}
