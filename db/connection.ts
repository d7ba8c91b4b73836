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

export function openDatabase(url: string): OpenDatabase {
  const pool = new Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 5000 });
  // An idle connection that dies with its server must not take the process with it: the next
  // query opens a new one, or fails with a sentence.
  pool.on('error', (error) => console.error(`Lost an idle database connection: ${error.message}`));
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
