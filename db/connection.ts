import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as day from './day-schema';
import * as doors from './doors-schema';
import * as earlier from './earlier-schema';
import * as papers from './papers-schema';
import * as shelf from './shelf-schema';
import * as records from './schema';

const schema = { ...records, ...papers, ...earlier, ...day, ...shelf, ...doors };

export type Database = NodePgDatabase<typeof schema> & { readonly $client: Pool };
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
    lock_timeout: 4000,
    idle_in_transaction_session_timeout: 15_000,
    query_timeout: 12_000,
    // Questions of a page are short: to compile one takes longer than to answer it.
    options: '-c jit=off',
  },
  // It works on all workshops at once; where the owner of the tables is bound by the walls too, it says so.
  command: { options: '-c orthotens.everything=on' },
} as const;

/** Opens a pool: for pages, which give up in time, or for a command, which takes the time it needs. */
export function openDatabase(url: string, use: keyof typeof PATIENCE = 'page'): OpenDatabase {
  const pool = new Pool({
    connectionString: url,
    max: 10,
    connectionTimeoutMillis: 5000,
    ...PATIENCE[use],
  });
  // A connection that dies with its server, idle or in the middle of a transaction, must not take the
  // process with it: the query that waits fails with a sentence, the next one opens another.
  const lost = ({ message }: Error) => console.error(`Lost a database connection: ${message}`);
  pool.on('error', lost);
  pool.on('connect', (client) => client.on('error', lost));
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), close: () => pool.end() };
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
