import { sql } from 'drizzle-orm';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import { FairPool, noteRefusals } from './fair-pool';
import { keepPlans } from './kept-plans';

export type Database = NodePgDatabase & { readonly $client: Pool };
/** Either the database or a transaction of it. */
export type Connection = Database | Parameters<Parameters<Database['transaction']>[0]>[0];

export interface OpenDatabase {
  readonly db: Database;
  readonly close: () => Promise<void>;
}

/** Nobody waits longer than this for a page; a command may. */
const PATIENCE = {
  page: {
    statement_timeout: 10_000,
    lock_timeout: 2500,
    idle_in_transaction_session_timeout: 15_000,
    query_timeout: 12_000,
    // Questions of a page are short: to compile one takes longer than to answer it.
    options: '-c jit=off',
  },
  // It works on all workshops at once; where the owner of the tables is bound by the walls too, it says so.
  command: { options: '-c orthotens.everything=on' },
} as const;

/** How long a page waits until its part of the application may have another connection; only its own part waits. */
const TURN_MS = 9000;

/** Opens a pool: for pages, which give up in time, or for a command, which takes the time it needs. */
export function openDatabase(url: string, use: keyof typeof PATIENCE = 'page'): OpenDatabase {
  const config = { connectionString: url, connectionTimeoutMillis: 5000, ...PATIENCE[use] };
  const pool = use === 'page' ? new FairPool(config, TURN_MS) : new Pool({ ...config, max: 10 });
  // A connection that dies with its server, idle or in the middle of a transaction, must not take the
  // process with it: the query that waits fails with a sentence, the next one opens another.
  const lost = ({ message }: Error) => console.error(`Lost a database connection: ${message}`);
  pool.on('error', lost);
  pool.on('connect', (client) => {
    client.on('error', lost);
    if (use === 'page') {
      keepPlans(client);
      noteRefusals(client);
    }
  });
  return { db: drizzle(pool, { casing: 'snake_case' }), close: () => pool.end() };
}

type Entrance = 'DATABASE_URL' | 'ORTHOTENS_DOORS_URL';
const holder = globalThis as { orthotensPools?: Partial<Record<Entrance, OpenDatabase>> };

function pool(entrance: Entrance): Database {
  const url = process.env[entrance];
  if (!url) throw new Error(`${entrance} is not set: start the application with npm start.`);
  holder.orthotensPools ??= {};
  const open = (holder.orthotensPools[entrance] ??= openDatabase(url));
  return open.db;
}

/** The application's pool for records: it sees a workshop only inside of its walls (`db/walls.ts`). */
export const database = (): Database => pool('DATABASE_URL');
/** Its pool for the doors: who somebody is. */
export const doorsDatabase = (): Database => pool('ORTHOTENS_DOORS_URL');

/** Whether the database answers both of the application's ways to it. */
export async function doesAnswer(): Promise<boolean> {
  try {
    await Promise.all([database(), doorsDatabase()].map((each) => each.execute(sql`select 1`)));
    return true;
  } catch {
    return false;
  }
}
