import { randomUUID } from 'node:crypto';
import { Undone } from '@/app/answers';
import { sameName } from '@/core/measure/typed';
import type { Records } from '@/db/workshop';

/** As many near names are looked through. */
const LOOKED_AT = 8;

/** A client who is new by a name that nobody has yet; their id. */
export async function newClient(
  { clients }: Pick<Records, 'clients'>,
  name: string,
  contact: string,
): Promise<string> {
  const namesake = (await clients.find(name, LOOKED_AT)).find(
    (known) => sameName(known.name) === sameName(name),
  );
  if (namesake)
    throw new Undone({
      ok: false,
      problems: {
        clientName: `There is a ${namesake.name} already${namesake.contact && ` (${namesake.contact})`}: choose them from the list, or write what tells the two apart.`,
      },
    });
  const id = randomUUID();
  await clients.add({ name, contact, tensionUnit: null, notes: '' }, id);
  return id;
}
