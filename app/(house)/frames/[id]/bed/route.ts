import { drawingAnswer } from '@/app/drawing-answer';
import { openFor } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';
import { studied } from '@/app/studied';
import { bedFile } from '@/ui/bed/bed-file';

/** The bed of a frame with its holes, in true millimetres. */
export async function GET(_: Request, { params }: RouteContext<'/frames/[id]/bed'>) {
  const { frames } = await openFor('see frames');
  const frame = await frames.get(routeId((await params).id));
  const bed = frame && studied(frame.spec).bed;
  if (!frame || !bed)
    return new Response('There is no such frame that makes a bed.', { status: 404 });
  return drawingAnswer(bedFile(bed, undefined, frame.name), 'bed');
}
