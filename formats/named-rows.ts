/** Rows of a table that are somebody each: a name that is known, or stood in the table before, is left out. */
import type { z } from 'zod';
import { sameName } from '@/core/measure/typed';
import { fieldsIn, tooManyCells, type AnsweredRow, type Mapping, type Sheet } from './mapped-table';

/**
 * Each row with what would become of it, so that a table that is brought in twice changes nothing.
 *
 * @param joined what stands between columns that hold the same
 * @param known names as `sameName` has them
 */
export function answerNamed<Field extends string, Row>(
  sheet: Sheet,
  mapping: Mapping<Field | 'name'>,
  joined: Readonly<Record<Field | 'name', string>>,
  schema: z.ZodType<Row>,
  known: ReadonlySet<string>,
): readonly AnsweredRow<Row>[] {
  const seen = new Set(known);
  return sheet.rows.map((cells, i): AnsweredRow<Row> => {
    const line = sheet.lines[i] ?? i + 2;
    const fields = fieldsIn(cells, mapping, joined);
    const read = schema.safeParse(fields);
    const { name } = fields;
    const beyond = tooManyCells(cells, sheet);
    if (beyond) return { line, state: 'wrong', name, why: beyond };
    if (!read.success)
      return { line, state: 'wrong', name, why: read.error.issues[0]?.message ?? '' };
    const same = sameName(name);
    if (seen.has(same)) return { line, state: 'here already', name };
    seen.add(same);
    return { line, state: 'new', row: read.data };
  });
}
