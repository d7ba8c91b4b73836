import { openFor } from '@/app/identity/at-work';
import { invoicePdf } from '@/formats/papers/pdf';
import { invoiceAt } from '../../invoice-at';

/** An invoice or a credit note as PDF. */
export async function GET(_: Request, { params }: RouteContext<'/invoices/[number]/pdf'>) {
  await openFor('issue invoices');
  const { issued, words } = await invoiceAt(params);
  return new Response(new Uint8Array(await invoicePdf(issued.paper, words)), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="${issued.kind === 'invoice' ? 'invoice' : 'credit-note'}-${issued.number}.pdf"`,
      'Cache-Control': 'private, no-store',
    },
  });
}
