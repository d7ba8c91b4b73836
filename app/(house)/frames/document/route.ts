import { openFor } from '@/app/identity/at-work';
import { frameDownload } from '../frame-download';

/** The whole library as open documents in one list. */
export async function GET() {
  const { frames } = await openFor('see frames');
  return frameDownload(await frames.all(), 'frames.json');
}
