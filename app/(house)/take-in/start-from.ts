import { z } from 'zod';
import { strungWords } from '@/core/record/as-strung';
import type { OpenWorkshop } from '@/db/workshop';
import type { TakeInEntry } from './take-in-entry';

type Start = Partial<Pick<TakeInEntry, 'clientId' | 'clientName' | 'racketId' | 'again' | 'wish'>>;

/** Who and what an address of the counter names: a job to do again, a racket, or a client. */
export async function startFrom(
  { clients, rackets, tickets }: OpenWorkshop,
  { again, racket, client }: Record<string, string | string[] | undefined>,
): Promise<Start> {
  const idIn = (text: unknown): string | undefined => z.uuid().safeParse(text).data;
  const before =
    typeof again === 'string' && /^\d{1,9}$/.test(again)
      ? await tickets.get(Number(again))
      : undefined;
  const racketId = before?.racketId ?? idIn(racket);
  const known = racketId ? await rackets.get(racketId) : undefined;
  if (known && !known.removedAt)
    return {
      clientId: known.clientId,
      clientName: known.clientName,
      racketId: known.id,
      ...(before?.record && {
        again: String(before.number),
        wish: `The same again as ticket ${before.number}: ${strungWords(before.record)}`,
      }),
    };
  const clientId = idIn(client);
  const person = clientId ? await clients.get(clientId) : undefined;
  return person && !person.removedAt ? { clientId: person.id, clientName: person.name } : {};
}
