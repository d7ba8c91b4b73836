interface Answered {
  readonly error: { readonly message?: string | undefined; readonly status: number } | null;
}

export const NO_ANSWER = 'The workshop’s server does not answer. Nothing was done: try again.';

/** Why a door did not open, in words of this application; undefined where it did. */
export function refusalIn({ error }: Answered): string | undefined {
  if (!error) return undefined;
  if (error.status === 0 || error.status >= 500) return NO_ANSWER;
  if (error.status === 429)
    return error.message?.startsWith('Too many wrong')
      ? error.message
      : 'That was too often in a short time. Wait a minute and try again.';
  return error.message ?? 'That did not work.';
}

type OwnDoor =
  | '/hands/change'
  | '/hands/lock'
  | '/hands/watch'
  | '/hands/prove'
  | '/hands/here'
  | '/sign-in/demo';

/** Asks a door of this application's own; undefined where nobody answers. */
export const knock = (path: OwnDoor, body: object = {}): Promise<Response | undefined> =>
  fetch(`/doors${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
    // Who locks and opens another page at once has locked.
    keepalive: true,
  }).catch(() => undefined);

/** The same, as the sentence that says why it did not open; undefined where it did. */
export async function askDoor(path: OwnDoor, body: object = {}): Promise<string | undefined> {
  const answer = await knock(path, body);
  if (!answer) return NO_ANSWER;
  if (answer.ok) return undefined;
  const said = (await answer.json().catch(() => ({}))) as { readonly message?: string };
  return refusalIn({ error: { message: said.message, status: answer.status } });
}

/** Makes the whole page anew, so that nothing of who was here before is left in it. */
export const startOver = (path: string): void =>
  window.location.assign(new URL(path, window.location.origin).href);
