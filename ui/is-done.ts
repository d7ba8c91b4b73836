import { sayRefusal } from './say';

/** Does something at the server; where it refuses or does not answer, a notice says why and this is false. */
export async function isDone(deed: () => Promise<string | void>, otherwise = ''): Promise<boolean> {
  const refusal = await deed().catch(() =>
    `The workshop’s server does not answer. ${otherwise}`.trim(),
  );
  if (refusal) sayRefusal(refusal);
  return !refusal;
}
