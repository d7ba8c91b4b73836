import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { longRoute, rowId } from '@/app/action';
import { readOrUndone, refused, Undone, wholly } from '@/app/answers';
import { parseApart } from '@/app/parse-apart';
import { sameName } from '@/core/measure/typed';
import { mappingSchema } from '@/formats/mapped-table';
import { PLAYER_FIELDS } from '@/formats/player-import';
import { NEW_PLAYER } from '../../player-entry';

/** After so many it is said how far it is. */
const PIECE = 20;
/** The workshop waits for them: no draw is so large. */
const MOST_PLAYERS = 500;

/** Clients of a workshop by their names; of those who share one, all. */
function byName<C extends { readonly name: string }>(
  clients: readonly C[],
): ReadonlyMap<string, C[]> {
  const found = new Map<string, C[]>();
  for (const client of clients)
    found.set(sameName(client.name), [...(found.get(sameName(client.name)) ?? []), client]);
  return found;
}

/** Takes the players of a table in, all of them or none: who is a client is known by the name, and others are new clients. */
export const POST = longRoute(
  'take in',
  z.object({ eventId: rowId, text: z.string(), mapping: mappingSchema(PLAYER_FIELDS) }),
  async ({ together, workshop }, { eventId, text, mapping }, goOn) =>
    wholly(() =>
      together(async ({ events, clients }) => {
        const event = await events.get(eventId);
        if (!event || event.removedAt)
          return refused('This event was removed in another tab. Nobody was brought in.');
        const known = byName(await clients.namedForMany());
        const here = (await events.players(eventId)).map(({ name }) => sameName(name));
        const asked = { sport: event.sport, unit: workshop.tensionUnit };
        const read = readOrUndone(
          readOrUndone(await parseApart('players', text, mapping, asked, here)),
        );
        const rows = read.flatMap((each) => (each.state === 'new' ? [each.row] : []));
        if (rows.length > MOST_PLAYERS)
          return refused(
            `${rows.length} players are too many at once: at most ${MOST_PLAYERS} in one table. Nobody was brought in.`,
          );
        for (const [i, { name, contact, orders }] of rows.entries()) {
          const [client, ...others] = known.get(sameName(name)) ?? [];
          if (others.length > 0)
            throw new Undone(
              refused(
                `${others.length + 1} clients are called ${name}: add this one by hand, and take the row out. Nobody was brought in.`,
              ),
            );
          const clientId = client?.id ?? randomUUID();
          if (!client) await clients.add({ name, contact, tensionUnit: null, notes: '' }, clientId);
          await events.addPlayer(randomUUID(), eventId, clientId, {
            ...NEW_PLAYER,
            orders: { orders },
          });
          if ((i + 1) % PIECE === 0) await goOn(i + 1);
        }
        return { ok: true, go: `/events/${eventId}` };
      }),
    ),
);
