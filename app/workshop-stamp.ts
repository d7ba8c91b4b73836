/** Pages and benches carry the workshop that they were made for, and another one refuses them. */
import { may, type Right } from '@/core/house/role-rights';
import { lacksSecondStep, needsPassword, PROVE_FIRST, SECOND_STEP_FIRST } from './identity/proof';
import { logDoor } from './identity/door-log';
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

/** Why somebody at work may not do something now, in one sentence; undefined where they may. */
export function refusalFor(open: OpenHouse, right: Right): string | undefined {
  const { role, person } = open;
  if (!may(role, right)) {
    logDoor('may not', right, person.id);
    return NOT_YOURS;
  }
  if (lacksSecondStep(open)) return SECOND_STEP_FIRST;
  return needsPassword(person, right) ? PROVE_FIRST : undefined;
}

/** The workshop at work, if it is the one that the sender was made for and they may do it; or why not. */
export async function letIn(madeFor: unknown, right: Right): Promise<Let> {
  const work = await atWorkNow();
  if (typeof work === 'string') return { refused: SHUT[work], status: 401 };
  if (work.workshop.id !== madeFor) return { refused: MADE_FOR_ANOTHER, status: 409 };
  const refused = refusalFor(work, right);
  return refused ? { refused, status: 403 } : { open: work };
}
