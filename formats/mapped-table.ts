/** Any table with a row of names: its columns are mapped to fields by hand, once. */
import Papa from 'papaparse';
import { z } from 'zod';
import { failure, success, type Result } from '@/core/terms/result';
import { unguarded } from './table-cells';

/** The columns that each field is read from, in their order; none where the table has no such thing. */
export type Mapping<Field extends string> = Readonly<Record<Field, readonly number[]>>;

export interface Sheet {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** More than any workshop has. */
const MOST_ROWS = 100_000;
/** Letters of a file. */
const MOST_LETTERS = 12_000_000;

/** The bytes of a file as text: UTF-8, or what older programs write where it is none. */
export function textOf(bytes: Uint8Array): string {
  const isWide = bytes[0] === 0xff && bytes[1] === 0xfe;
  try {
    return new TextDecoder(isWide ? 'utf-16le' : 'utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** A table with commas, semicolons or tabs; its first row names the columns. */
export function readSheet(text: string): Result<Sheet> {
  if (text.length > MOST_LETTERS) return failure('sheet.too long');
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
  });
  if (errors.some(({ type }) => type === 'Quotes')) return failure('sheet.quote');
  const [head = [], ...rows] = data;
  if (rows.length === 0) return failure('sheet.no rows');
  if (rows.length > MOST_ROWS) return failure('sheet.too many', { most: '100,000' });
  return success({ head: head.map((name) => name.trim()), rows });
}

/** What the columns are likely to hold, by their names, the surest field first; the hand decides. */
export function guessColumns<Field extends string>(
  hints: readonly (readonly [field: Field, hint: RegExp])[],
  head: readonly string[],
): Mapping<Field> {
  const taken = new Set<number>();
  const columns = hints.map(([field, hint]): readonly [Field, readonly number[]] => [
    field,
    head.flatMap((name, i) => {
      if (taken.has(i) || !hint.test(name)) return [];
      taken.add(i);
      return [i];
    }),
  ]);
  return Object.fromEntries(columns) as Record<Field, readonly number[]>;
}

/** The text of each field in one row; several columns of a field are joined as `joined` says. */
export const fieldsIn = <Field extends string>(
  cells: readonly string[],
  mapping: Mapping<Field>,
  joined: Readonly<Record<Field, string>>,
): Readonly<Record<Field, string>> =>
  Object.fromEntries(
    (Object.keys(joined) as Field[]).map((field) => [
      field,
      mapping[field]
        .map((column) => unguarded(cells[column] ?? '').trim())
        .filter(Boolean)
        .join(joined[field]),
    ]),
  ) as Record<Field, string>;

/** A row with what would become of it. */
export type AnsweredRow<Row> =
  | { readonly line: number; readonly state: 'new'; readonly row: Row }
  | { readonly line: number; readonly state: 'here already'; readonly name: string }
  | { readonly line: number; readonly state: 'wrong'; readonly name: string; readonly why: string };

/** A mapping as a browser sends it. */
export const mappingSchema = <Field extends string>(fields: readonly Field[]) =>
  z.object(
    Object.fromEntries(
      fields.map((field) => [field, z.array(z.number().int().min(0).max(500)).max(20)]),
    ) as Record<Field, z.ZodArray<z.ZodNumber>>,
  );
