import { drawingAnswer } from '@/app/drawing-answer';
import { openFor } from '@/app/identity/at-work';
import { routeNumber } from '@/app/route-id';
import { bedFile } from '@/ui/bed/bed-file';
import { drawingOf } from '../drawing';

/** The bed of a closed job as it was strung, in true millimetres. */
export async function GET(_: Request, { params }: RouteContext<'/jobs/[number]/bed'>) {
  const { tickets } = await openFor('see records');
  const ticket = await tickets.get(routeNumber((await params).number));
  const drawing = ticket?.record && drawingOf(ticket.record, await tickets.drawn(ticket.number));
  if (!ticket?.record || !drawing)
    return new Response('There is no closed job of this number that can be drawn.', {
      status: 404,
    });
  const { bed, path } = drawing;
  const title = `Job ${ticket.number}, ${ticket.record.racket.frameName}`;
  return drawingAnswer(bedFile(bed, path, title), `bed-${ticket.number}`);
}
