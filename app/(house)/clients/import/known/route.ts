import { openFor } from '@/app/identity/at-work';
import { sameName } from '@/core/measure/typed';

/** Whom an import leaves out: every name that is here, without case and doubled spaces. */
export async function GET() {
  const { clients } = await openFor('bring records in');
  return Response.json((await clients.names()).map(sameName));
}
