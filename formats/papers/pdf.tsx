/** Papers as PDF, with their title and language, in the application's own type. */
import { Document, renderToBuffer } from '@react-pdf/renderer';
import { PAPERS, type Paper } from '@/core/papers/paper';
import type { Invoice } from '@/core/papers/invoice';
import { InvoicePages } from './invoice-pages';
import { LetterPage, UnstrungPage } from './letters';
import { LabelPage, SlipPage, StubPage } from './small-papers';
import { setable } from './type';

function pageOf(paper: Paper) {
  switch (paper.kind) {
    case 'slip':
      return <SlipPage {...paper} />;
    case 'label':
      return <LabelPage {...paper} />;
    case 'stub':
      return <StubPage {...paper} />;
    case 'letter':
      return <LetterPage {...paper} />;
    case 'unstrung':
      return <UnstrungPage {...paper} />;
  }
}

/** One paper of a ticket, before it is set. */
export const paperDocument = (paper: Paper) => (
  <Document
    title={setable(`${PAPERS[paper.kind].name}, ticket ${paper.number}`)}
    author={setable(paper.workshop)}
    language={paper.language}
    creator="Orthotens"
    producer="Orthotens"
  >
    {pageOf(paper)}
  </Document>
);

/** An invoice or a credit note, before it is set. */
export const invoiceDocument = (invoice: Invoice, payment: string) => (
  <Document
    title={`${invoice.kind === 'invoice' ? 'Invoice' : 'Credit note'} ${invoice.number}`}
    author={setable(invoice.from.name)}
    language="en"
    creator="Orthotens"
    producer="Orthotens"
  >
    <InvoicePages invoice={invoice} payment={payment} />
  </Document>
);

export const paperPdf = (paper: Paper): Promise<Buffer> => renderToBuffer(paperDocument(paper));

export const invoicePdf = (invoice: Invoice, payment: string): Promise<Buffer> =>
  renderToBuffer(invoiceDocument(invoice, payment));
