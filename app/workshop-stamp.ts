/** Pages and benches carry the workshop that they were made for, and another one refuses them. */
import { openWorkshop, type OpenWorkshop } from '@/db/workshop';

export const MADE_FOR_ANOTHER =
  'This page was made for another workshop, which answered at this address before. Nothing was saved: copy what you still need, and reload.';

/** The workshop at work, if it is the one that the sender was made for. */
export async function openedFor(madeFor: unknown): Promise<OpenWorkshop | undefined> {
  const open = await openWorkshop();
  return open.workshop.id === madeFor ? open : undefined;
}
