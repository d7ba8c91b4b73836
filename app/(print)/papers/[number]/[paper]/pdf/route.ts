import { openFor } from '@/app/identity/at-work';
import { paperPdf } from '@/formats/papers/pdf';
import { pdfAnswer } from '../../../../pdf-answer';
import { paperOf } from '../../../paper-of';

/** A paper of a ticket as PDF. */
export async function GET(_: Request, { params }: RouteContext<'/papers/[number]/[paper]/pdf'>) {
  await openFor('print papers');
  const { number, paper } = await paperOf(params);
  if (!paper) return new Response('This ticket is not far enough for this paper.', { status: 404 });
  return pdfAnswer(`${paper.kind}-${number}`, () => paperPdf(paper));
}
