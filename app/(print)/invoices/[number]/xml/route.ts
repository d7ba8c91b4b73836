import { openFor } from '@/app/identity/at-work';
import { invoiceXml } from '@/formats/invoice-xml';
import { invoiceAt } from '../../invoice-at';

/** The structured twin of an invoice, for programs that keep books. */
export async function GET(_: Request, { params }: RouteContext<'/invoices/[number]/xml'>) {
  await openFor('issue invoices');
  const { issued, paidMinor } = await invoiceAt(params);
  const prepaid =
    issued.kind === 'invoice' ? Math.min(Math.max(0, paidMinor), issued.totalMinor) : 0;
  return new Response(invoiceXml(issued.paper, prepaid), {
    headers: {
      'Content-Type': 'application/xml; charset=utf-8',
      'Content-Disposition': `attachment; filename="${issued.kind === 'invoice' ? 'invoice' : 'credit-note'}-${issued.number}.xml"`,
    },
  });
}
