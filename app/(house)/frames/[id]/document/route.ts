import { notFound } from 'next/navigation';
import { routeId } from '@/app/route-id';
import { openWorkshop } from '@/db/workshop';
import { frameDownload } from '../../frame-download';

/** One frame as an open document. */
export async function GET(_: Request, { params }: RouteContext<'/frames/[id]/document'>) {
  const { frames } = await openWorkshop();
  const frame = await frames.get(routeId((await params).id));
  if (!frame) notFound();
  return frameDownload([frame], `${frame.name}.json`);
}
