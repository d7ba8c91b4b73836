import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;
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
  },
  command: {},
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

const holder = globalThis as { orthotensDatabase?: OpenDatabase };

/** The application's one pool. */
export function database(): Database {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: start the application with npm start.');
  holder.orthotensDatabase ??= openDatabase(url);
  return holder.orthotensDatabase.db;
}
