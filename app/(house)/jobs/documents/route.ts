import { openFor } from '@/app/identity/at-work';
import { jobDocument } from '@/formats/job-document';
import { jobDocumentLines } from '@/formats/job-import';

const A_PIECE = 500;

/** Every closed job as a document, one a line, written out piece by piece; another workshop can bring them in. */
export async function GET() {
  const { brought } = await openFor('take records out');
  let last = 0;
  const body = new ReadableStream<Uint8Array>({
    async pull(stream) {
      const piece = await brought.recordsAfter(last, A_PIECE);
      last = piece.at(-1)?.number ?? last;
      if (piece.length > 0)
        stream.enqueue(
          Buffer.from(
            jobDocumentLines(
              piece.map(({ number, closedAt, record, books }) =>
                jobDocument(number, closedAt, record, books),
              ),
            ),
          ),
        );
      if (piece.length < A_PIECE) stream.close();
    },
  });
  return new Response(body, {
    headers: {
      'Content-Type': 'application/x-ndjson',
      'Content-Disposition': 'attachment; filename="jobs.jsonl"',
    },
  });
}
