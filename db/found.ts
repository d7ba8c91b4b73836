import { sql } from 'drizzle-orm';
import type { Question } from '@/core/record/question';
import type { TicketTension, TensionUnit } from '@/core/measure/units';
import type { Connection } from './connection';
import type { FoundKind } from './papers-schema';

/** What was found, with enough to tell it from its like. */
export interface Found {
  readonly kind: FoundKind;
  readonly rowId: string;
  /** Of a ticket or a job. */
  readonly number: number | null;
  readonly title: string;
  readonly detail: string;
  readonly tension: TicketTension | undefined;
  readonly at: Date | null;
}

interface FoundRow extends Record<string, unknown> {
  readonly kind: FoundKind;
  readonly row_id: string;
  readonly number: number | null;
  readonly title: string;
  readonly detail: string;
  readonly main_n: number | null;
  readonly cross_n: number | null;
  readonly unit: TensionUnit | null;
  readonly at: Date | string | null;
}

/** Everything of one workshop that goes by some words, in the order in which one wants it. */
export function foundOf(db: Connection) {
  return {
    /** Open tickets first, then jobs from the latest, then what they belong to; at most `most` of each. */
    async find({ words, days, tension }: Question, most = 8): Promise<Found[]> {
      const asked = sql`array[${sql.join(
        words.slice(0, 8).map((word) => sql`${word}::text`),
        sql`, `,
      )}]::text[]`;
      const { rows } = await db.execute<FoundRow>(
        sql`select * from find_in_records(${asked}, ${days?.from ?? null}::date, ${days?.to ?? null}::date, ${tension?.mainN ?? null}::double precision, ${tension?.crossN ?? null}::double precision, ${most}::integer)`,
      );
      return rows.map(({ kind, row_id, number, title, detail, main_n, cross_n, unit, at }) => ({
        kind,
        rowId: row_id,
        number,
        title,
        detail,
        tension: main_n && cross_n && unit ? { mainN: main_n, crossN: cross_n, unit } : undefined,
        at: at === null ? null : new Date(at),
      }));
    },
  };
}
