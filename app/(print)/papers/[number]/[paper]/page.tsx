import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { PAPERS } from '@/core/papers/paper';
import { Link } from '@/ui/link';
import { PaperSheet } from '@/ui/papers/paper-sheet';
import { qrPath } from '@/formats/qr';
import { PrintButton } from '../../../print-button';
import { PrintLabel } from '../../print-label';
import { printLabel } from '../../actions';
import { paperOf } from '../../paper-of';

export const metadata: Metadata = { title: 'Paper' };

/** A paper of a ticket as a page that prints on its own sheet. */
export default async function PaperPage({ params }: PageProps<'/papers/[number]/[paper]'>) {
  await openFor('print papers');
  const { open, number, paper } = await paperOf(params);
  const back = (
    <Link href={`/tickets/${number}`} className="underline">
      Back to the ticket
    </Link>
  );
  if (!paper)
    return <p>This ticket is not far enough for this paper: it is made from its record. {back}</p>;
  const {
    name,
    sheet: [width, height],
  } = PAPERS[paper.kind];
  const isSmall = width < 100;
  return (
    <>
      {/* Each paper has a sheet of its own. */}
      <style>{`@page { size: ${width}mm ${height}mm; margin: ${isSmall ? 4 : 20}mm; }`}</style>
      <p className="no-print mb-5 flex flex-wrap items-baseline gap-x-6">
        <span className="font-semibold">{name}</span>
        <span className="label">
          {width} × {height} mm
        </span>
        <PrintButton />
        <a href={`/papers/${number}/${paper.kind}/pdf`} className="underline">
          As PDF
        </a>
        {(paper.kind === 'label' || paper.kind === 'stub') && (
          <PrintLabel send={printLabel.bind(null, open.workshop.id, number, paper.kind)} />
        )}
        {back}
      </p>
      <PaperSheet paper={paper} code={paper.page ? qrPath(paper.page) : undefined} />
    </>
  );
}
