import { openFor } from '@/app/identity/at-work';
import { notFound } from 'next/navigation';
import { routeId } from '@/app/route-id';
import { frameDownload } from '../../frame-download';

/** One frame as an open document. */
export async function GET(_: Request, { params }: RouteContext<'/frames/[id]/document'>) {
  const { frames } = await openFor('see frames');
  const frame = await frames.get(routeId((await params).id));
  if (!frame) notFound();
  return frameDownload([frame], `${frame.name}.json`);
}
