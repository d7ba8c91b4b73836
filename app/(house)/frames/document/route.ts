import { openWorkshop } from '@/db/workshop';
import { frameDownload } from '../frame-download';

/** The whole library as open documents in one list. */
export async function GET() {
  const { frames } = await openWorkshop();
  return frameDownload(await frames.find('', 10_000), 'frames.json');
}
