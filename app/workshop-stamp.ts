/** Pages and benches carry the workshop that they were made for, and another one refuses them. */
import { may, type Deed } from '@/core/house/policy';
import { atWorkNow, type OpenHouse, type Shut } from './identity/at-work';

const MADE_FOR_ANOTHER =
  'This page was made for another workshop, which answered at this address before. Nothing was saved: copy what you still need, and reload.';

const SHUT: Readonly<Record<Shut, string>> = {
  'signed out':
    'You are signed out. Nothing was saved, what you typed is here: sign in again in another tab, and press once more.',
  locked:
    'This device is locked. Nothing was saved, what you typed is here: give your code, and press once more.',
  'no workshop': 'You do not work in this workshop any more. Nothing was saved.',
};

const NOT_YOURS = 'This is not for your role in this workshop. Nothing was saved.';

export type Let =
  { readonly open: OpenHouse } | { readonly refused: string; readonly status: number };

/** The workshop at work, if it is the one that the sender was made for and they may do it; or why not. */
export async function letIn(madeFor: unknown, deed: Deed): Promise<Let> {
  const work = await atWorkNow();
  if (typeof work === 'string') return { refused: SHUT[work], status: 401 };
  if (work.workshop.id !== madeFor) return { refused: MADE_FOR_ANOTHER, status: 409 };
  if (!may(work.role, deed)) return { refused: NOT_YOURS, status: 403 };
  return { open: work };
}
