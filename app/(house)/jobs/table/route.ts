import type { NextRequest } from 'next/server';
import { openFor } from '@/app/identity/at-work';
import { dayAt } from '@/core/measure/promised-time';
import type { ListedJob } from '@/db/jobs';
import { jobTableHead, jobTableRows, type TableJob } from '@/formats/job-table';
import { jobsAsked } from '../asked';

const A_PIECE = 2000;

/** What the list of jobs shows, all pages of it, as a table that is written out piece by piece. */
export async function GET(request: NextRequest) {
  const { jobs, workshop } = await openFor('take records out');
  const asked = jobsAsked(Object.fromEntries(request.nextUrl.searchParams), workshop);
  const plain = (job: ListedJob): TableJob => ({
    ...job,
    day: dayAt(job.closedAt, workshop.timeZone),
    collected: job.collectedAt && dayAt(job.collectedAt, workshop.timeZone),
  });
  let last = 0;
  const body = new ReadableStream<Uint8Array>({
    start(stream) {
      stream.enqueue(Buffer.from(jobTableHead()));
    },
    async pull(stream) {
      const piece = await jobs.after(asked, last, A_PIECE);
      last = piece.at(-1)?.number ?? last;
      if (piece.length > 0) stream.enqueue(Buffer.from(jobTableRows(piece.map(plain))));
      if (piece.length < A_PIECE) stream.close();
    },
  });
  return new Response(body, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="jobs.csv"',
    },
  });
}
