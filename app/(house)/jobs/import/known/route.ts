import { openFor } from '@/app/identity/at-work';
import { sameJob } from '@/formats/job-import';

/** What an import leaves out: every job of before that is here. */
export async function GET() {
  const { brought } = await openFor('bring records in');
  return Response.json((await brought.knownEarlier()).map(sameJob));
}
