/** What an address without sign-in opens: one racket, and nothing of anybody else. */
import { notFound } from 'next/navigation';
import { database } from '@/db/connection';
import { linkAt, linkToken } from '@/db/client-links';
import { behindWalls } from '@/db/walls';
import { recordsOf, type Records } from '@/db/workshop';

interface OpenLink {
  readonly racketId: string;
  readonly workshopId: string;
  /** Works behind the walls of the workshop, as nobody who belongs to it. */
  readonly work: <T>(ask: (records: Records) => Promise<T>) => Promise<T>;
}

/** The racket of an address, or the not-found page for one that was withdrawn, mistyped or guessed. */
export async function openLink(token: string): Promise<OpenLink> {
  if (!linkToken.test(token)) notFound();
  const db = database();
  const link = await behindWalls(db, {}, (transaction) => linkAt(transaction, token));
  if (!link) notFound();
  const { workshopId, racketId } = link;
  return {
    racketId,
    workshopId,
    work: (ask) =>
      behindWalls(db, { workshopId }, (transaction) => ask(recordsOf(transaction, workshopId))),
  };
}
