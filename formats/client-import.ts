/** Clients out of any table: its columns are mapped by hand once, and each row is answered before anything is kept. */
import Papa from 'papaparse';
import { z } from 'zod';
import { lineText, nameText, noteText, textIn } from '@/core/measure/reading';
import { failure, success, type Result } from '@/core/terms/result';
import { unguarded } from './table-cells';

export const CLIENT_FIELDS = ['name', 'contact', 'address', 'notes'] as const;
export type ClientField = (typeof CLIENT_FIELDS)[number];

/** The column that each field is read from; nothing where the table has none. Several columns are joined. */
export type Mapping = Readonly<Record<ClientField, readonly number[]>>;

export const clientRowSchema = z.object({
  name: nameText('the client’s name'),
  contact: lineText('the contact'),
  address: textIn.trim().max(400, 'Keep the address under 400 letters.'),
  notes: noteText,
});
type ClientRow = z.output<typeof clientRowSchema>;

export interface Sheet {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** More than any workshop has. */
export const MOST_CLIENTS = 100_000;
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
  if (rows.length > MOST_CLIENTS) return failure('sheet.too many', { most: '100,000' });
  return success({ head: head.map((name) => name.trim()), rows });
}

const HINTS: Readonly<Record<ClientField, RegExp>> = {
  name: /name|client|customer|player|kunde|nom\b|nome/i,
  contact: /mail|phone|tel|mobile|contact/i,
  address: /address|street|town|city|zip|post/i,
  notes: /note|remark|comment/i,
};

/** What the columns are likely to hold, by their names; the hand decides. */
export function guessMapping(head: readonly string[]): Mapping {
  const taken = new Set<number>();
  const of = (field: ClientField) =>
    head.flatMap((name, i) => {
      if (taken.has(i) || !HINTS[field].test(name)) return [];
      taken.add(i);
      return [i];
    });
  return { contact: of('contact'), address: of('address'), notes: of('notes'), name: of('name') };
}

export type AnsweredRow =
  | { readonly line: number; readonly state: 'new'; readonly client: ClientRow }
  | { readonly line: number; readonly state: 'here already'; readonly name: string }
  | { readonly line: number; readonly state: 'wrong'; readonly name: string; readonly why: string };

/** How names are told apart: without case and doubled spaces. */
export const sameName = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase();

const JOINED: Readonly<Record<ClientField, string>> = {
  name: ' ',
  contact: ', ',
  address: '\n',
  notes: '\n',
};

/**
 * Each row with what would become of it. A name that is known, or that stood in the table before, is left out, so
 * that a table that is brought in twice changes nothing.
 *
 * @param known names as `sameName` has them
 */
export function answerRows(
  { rows }: Sheet,
  mapping: Mapping,
  known: ReadonlySet<string>,
): readonly AnsweredRow[] {
  const seen = new Set(known);
  return rows.map((cells, i): AnsweredRow => {
    const line = i + 2;
    const cell = (field: ClientField) =>
      mapping[field]
        .map((column) => unguarded(cells[column] ?? '').trim())
        .filter(Boolean)
        .join(JOINED[field]);
    const read = clientRowSchema.safeParse(
      Object.fromEntries(CLIENT_FIELDS.map((field) => [field, cell(field)])),
    );
    const name = cell('name');
    if (!read.success)
      return { line, state: 'wrong', name, why: read.error.issues[0]?.message ?? '' };
    const same = sameName(name);
    if (seen.has(same)) return { line, state: 'here already', name };
    seen.add(same);
    return { line, state: 'new', client: read.data };
  });
}
