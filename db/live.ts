/**
 * Tells of changes in a workshop's day as they happen, whichever server made them: triggers notify (PostgreSQL's NOTIFY),
 * and one connection of each server listens for all who want to hear.
 */
import type { PoolClient } from 'pg';
import type { Database } from './connection';

type Heard = () => void;

const CHANNEL = 'orthotens_day';
/** Until it is listened again after the database was away. */
const AGAIN_MS = 2000;

interface Listening {
  readonly hearers: Map<string, Set<Heard>>;
  client: PoolClient | undefined;
  starting: Promise<void> | undefined;
  /** Whether changes may have passed that nobody heard, since the database was away. */
  hasMissed: boolean;
}

// Each part of a server is a bundle of its own; one connection is enough for all of them.
const holder = globalThis as { orthotensListening?: Listening };
const listening = (): Listening =>
  (holder.orthotensListening ??= {
    hearers: new Map(),
    client: undefined,
    starting: undefined,
    hasMissed: false,
  });

async function start(db: Database): Promise<void> {
  const state = listening();
  const client = await db.$client.connect();
  const lost = () => {
    if (state.client !== client) return;
    state.client = undefined;
    state.hasMissed = true;
    client.release(true);
    if (state.hearers.size > 0) setTimeout(() => void ensure(db), AGAIN_MS).unref();
  };
  client.on('error', lost);
  client.on('end', lost);
  client.on('notification', ({ payload = '' }) => {
    for (const heard of state.hearers.get(payload) ?? []) heard();
  });
  try {
    await client.query(`listen ${CHANNEL}`);
  } catch (error) {
    client.release(true);
    throw error;
  }
  state.client = client;
  if (!state.hasMissed) return;
  state.hasMissed = false;
  for (const hearers of state.hearers.values()) for (const heard of hearers) heard();
}

async function ensure(db: Database): Promise<void> {
  const state = listening();
  if (state.client) return;
  state.starting ??= start(db).finally(() => {
    state.starting = undefined;
  });
  // What is not heard now is heard again in a moment; a page shows what is there when it is asked for.
  await state.starting.catch(() => {
    state.hasMissed = true;
    if (state.hearers.size > 0) setTimeout(() => void ensure(db), AGAIN_MS).unref();
  });
}

/** Hears of each change in the day of a workshop, until what it answers is called. */
export async function hearDay(db: Database, workshopId: string, heard: Heard): Promise<() => void> {
  const { hearers } = listening();
  const mine = hearers.get(workshopId) ?? new Set<Heard>();
  hearers.set(workshopId, mine.add(heard));
  await ensure(db);
  return () => {
    mine.delete(heard);
    if (mine.size === 0 && hearers.get(workshopId) === mine) hearers.delete(workshopId);
    const state = listening();
    // Nobody hears any more: the connection goes back, and a server can end.
    if (state.hearers.size === 0 && state.client) {
      const { client } = state;
      state.client = undefined;
      client.release(true);
    }
  };
}
