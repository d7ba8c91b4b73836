/** Work behind the walls of one workshop: the database shows it no row of another (`doors-schema.ts`). */
import { sql } from 'drizzle-orm';
import type { Connection, Database } from './connection';

/** Who works, and where; outside of every workshop where none is named. */
export interface At {
  readonly workshopId?: string;
  readonly personId?: string;
}

/** One transaction in which the database knows who works and where. */
export const behindWalls = <T>(
  db: Database,
  { workshopId = '', personId = '' }: At,
  work: (transaction: Connection) => Promise<T>,
): Promise<T> =>
  db.transaction(async (transaction) => {
    await transaction.execute(
      sql`select set_config('orthotens.workshop', ${workshopId}, true), set_config('orthotens.person', ${personId}, true)`,
    );
    return work(transaction);
  });
