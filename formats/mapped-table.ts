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
  /** Which row of the file each is, as a program for tables counts them: the headings are row 1, empty ones count. */
  readonly lines: readonly number[];
}

/** How files begin that are no table, read as text. */
const OTHERS: readonly (readonly [begin: string, what: string])[] = [
  ['%PDF', 'a PDF'],
  ['\u2030PNG', 'a picture'],
  ['\u00ff\u00d8\u00ff', 'a picture'],
  ['GIF8', 'a picture'],
  ['RIFF', 'a picture or a sound'],
  ['PK\u0003\u0004', 'a workbook: save it as CSV'],
];

/** More than any workshop has. */
const MOST_ROWS = 100_000;
/** Empty ones, and those within a cell, counted: so many are read before it is said that there are too many. */
const MOST_LINES = 5 * MOST_ROWS;
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

/** Whether a text has more lines than a number, without taking it apart. */
export function isLongerThan(lines: number, text: string): boolean {
  let at = -1;
  for (let count = 0; count < lines; count++) {
    at = text.indexOf('\n', at + 1);
    if (at < 0) return false;
  }
  return true;
}

/** A table with commas, semicolons or tabs; its first row names the columns. */
export function readSheet(text: string): Result<Sheet> {
  if (text.length > MOST_LETTERS) return failure('sheet.too long');
  const other = OTHERS.find(([begin]) => text.startsWith(begin));
  if (other) return failure('sheet.other file', { what: other[1] });
  if (isLongerThan(MOST_LINES, text)) return failure('sheet.too many', { most: '100,000' });
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''));
  if (errors.some(({ type }) => type === 'Quotes')) return failure('sheet.quote');
  const filled = data
    .map((cells, i) => ({ cells, line: i + 1 }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const [head = [], ...rows] = filled.map(({ cells }) => cells);
  if (rows.length === 0) return failure('sheet.no rows');
  if (rows.length > MOST_ROWS) return failure('sheet.too many', { most: '100,000' });
  const lines = filled.slice(1).map(({ line }) => line);
  return success({ head: head.map((name) => name.trim()), rows, lines });
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

/** Why a row cannot be read at all: it has more cells than there are headings. */
export const tooManyCells = (cells: readonly string[], { head }: Sheet): string | undefined => {
  const beyond = cells.slice(head.length).find((cell) => cell.trim() !== '');
  return beyond === undefined
    ? undefined
    : `It has more cells than there are headings: “${beyond.trim().slice(0, 30)}” stands beyond the last. Is a comma in it without quotes?`;
};

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
