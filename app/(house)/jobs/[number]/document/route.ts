import { openFor } from '@/app/identity/at-work';
import { routeNumber } from '@/app/route-id';
import { jobDocument } from '@/formats/job-document';

/** A closed job as one JSON document, which the command line reads and plans anew. */
export async function GET(_: Request, { params }: RouteContext<'/jobs/[number]/document'>) {
  const { tickets } = await openFor('see records');
  const ticket = await tickets.get(routeNumber((await params).number));
  if (!ticket?.record || !ticket.closedAt)
    return new Response('There is no closed job of this number.', { status: 404 });
  return Response.json(jobDocument(ticket.number, ticket.closedAt, ticket.record), {
    headers: { 'Content-Disposition': `attachment; filename="job-${ticket.number}.json"` },
  });
}
