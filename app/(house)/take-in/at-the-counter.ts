/** Who and what a form of the counter names, as rows: found where they are known, made where they are new. */
import { refused, Undone } from '@/app/answers';
import type { Records } from '@/db/workshop';
import { newClient } from './new-client';
import type { ReadTakeIn } from './take-in-entry';

type NamedClient = Pick<ReadTakeIn, 'clientId' | 'clientName' | 'contact'>;
type ChosenRacket = Pick<ReadTakeIn, 'racketId' | 'frameId' | 'frameLabel' | 'mark'>;

/** Whoever a form of the counter names: chosen, or new with it. */
export async function clientFor(
  { clients }: Pick<Records, 'clients'>,
  entry: NamedClient,
): Promise<string> {
  if (entry.clientId) {
    const client = await clients.get(entry.clientId);
    if (client && !client.removedAt) return client.id;
    throw new Undone({
      ok: false,
      problems: {
        clientName:
          'This client was removed in another tab. Choose again, or put them back under Clients.',
      },
    });
  }
  return newClient({ clients }, entry.clientName.trim(), entry.contact);
}

/** The racket of a line of the form, at which its sentences stand. */
export async function racketFor(
  { rackets, frames }: Pick<Records, 'rackets' | 'frames'>,
  entry: ChosenRacket,
  clientId: string,
  line = '',
): Promise<string> {
  if (entry.racketId) {
    const racket = await rackets.get(entry.racketId);
    if (racket && racket.openNumber !== null)
      throw new Undone(
        refused(
          `This racket is on ticket ${racket.openNumber} already, so it was not taken in twice. Open that ticket, or choose another racket.`,
        ),
      );
    if (racket && !racket.removedAt && racket.clientId === clientId) return racket.id;
    throw new Undone({
      ok: false,
      problems: { [`${line}frameLabel`]: 'This racket was removed in another tab. Choose again.' },
    });
  }
  const frame = entry.frameId ? await frames.get(entry.frameId) : undefined;
  if (entry.frameId && (!frame || frame.removedAt))
    throw new Undone({
      ok: false,
      problems: {
        [`${line}frameLabel`]:
          'This frame was removed from the library in another tab. Choose again.',
      },
    });
  const racket = await rackets.add({
    clientId,
    frameId: frame?.id ?? null,
    label: frame?.name ?? entry.frameLabel.trim(),
    mark: entry.mark,
    notes: '',
  });
  return racket.id;
}
