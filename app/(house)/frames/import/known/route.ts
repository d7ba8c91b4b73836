import { openFor } from '@/app/identity/at-work';
import { frameKey } from '@/formats/frame-file';

/** What an import of frames leaves out: every frame that is here. */
export async function GET() {
  const { frames } = await openFor('change frames');
  return Response.json((await frames.all()).map(frameKey));
}
