/** A running server with rows to be hostile to. */
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { openDatabase } from '@/db/connection';
import { clients, frames, machines, rackets, strings, tickets, workshops } from '@/db/schema';
import type { Target } from './hostile';
import { ROOT } from './house';

export async function targetAt(
  origin: string,
  databaseUrl: string,
  build: string,
): Promise<Target> {
  const { db, close } = openDatabase(databaseUrl, 'command');
  try {
    const [workshop] = await db.select({ id: workshops.id }).from(workshops).limit(1);
    const some = await Promise.all(
      [clients, rackets, frames, strings, machines].map((table) =>
        db.select({ id: table.id }).from(table).limit(6),
      ),
    );
    const numbers = await db
      .select({ number: tickets.number })
      .from(tickets)
      .orderBy(sql`${tickets.closedAt} desc nulls first`)
      .limit(10);
    return {
      origin,
      build: join(ROOT, build),
      workshopId: workshop?.id ?? '',
      ids: some.flat().map(({ id }) => id),
      tickets: numbers.map(({ number }) => number),
    };
  } finally {
    await close();
  }
}
