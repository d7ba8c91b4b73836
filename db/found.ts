import { sql, type SQL } from 'drizzle-orm';
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

/** The question as the functions of the database take it. */
const asArguments = ({ words, days, tension }: Question): SQL => {
  const asked = sql.join(
    words.slice(0, 8).map((word) => sql`${word}::text`),
    sql`, `,
  );
  return sql`array[${asked}]::text[], ${days?.from ?? null}::date, ${days?.to ?? null}::date, ${tension?.mainN ?? null}::double precision, ${tension?.crossN ?? null}::double precision`;
};

/** The rows of one kind that go by a question, in the order of its list: jobs from the latest, the one of that number before them. Without `most`, all of them. */
export const rowsFor = (kind: FoundKind, question: Question, most?: number): SQL =>
  sql`(select * from rows_in_records(${kind}, ${asArguments(question)}, ${most ?? null}::integer) as row_id)`;

/** Shorter ones stand in most names: a list is walked until it has enough of them. */
const SHORTEST_LOOKED_UP = 3;

/** Some rows of one kind that have all words of a text, from `offset` on; nothing for a text that is too short to be looked up. */
export function rowsOfWords(
  kind: FoundKind,
  text: string,
  limit: number,
  offset: number,
): SQL | undefined {
  if (text.length < SHORTEST_LOOKED_UP) return undefined;
  const question = { words: text.split(/\s+/), days: undefined, tension: undefined };
  return sql`(select row_id from ${rowsFor(kind, question, offset + limit)} as found offset ${offset})`;
}

/** Everything of one workshop that goes by some words, in the order in which one wants it. */
/** Figures that may be kilograms or pounds are looked for as both. */
const eitherWay = ({ orTension, ...question }: Question): readonly Question[] =>
  orTension ? [question, { ...question, tension: orTension }] : [question];

export function foundOf(db: Connection) {
  return {
    /** The rows of the closed jobs among it. */
    async jobs(question: Question, most: number): Promise<string[]> {
      const ids = new Set<string>();
      for (const one of eitherWay(question)) {
        const { rows } = await db.execute<Pick<FoundRow, 'row_id'>>(rowsFor('job', one, most));
        for (const { row_id } of rows) ids.add(row_id);
      }
      return [...ids].slice(0, most);
    },

    /** Open tickets first, then jobs from the latest, then what they belong to; at most `most` of each. */
    async find(question: Question, most = 8): Promise<Found[]> {
      const rows: FoundRow[] = [];
      for (const one of eitherWay(question)) {
        const found = await db.execute<FoundRow>(
          sql`select * from find_in_records(${asArguments(one)}, ${most}::integer)`,
        );
        rows.push(
          ...found.rows.filter(({ row_id }) => !rows.some((known) => known.row_id === row_id)),
        );
      }
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
