/**
 * The string library as a table, comma separated values (RFC 4180): one row a string, the columns
 * of docs/formats/strings.md. The table is read by the same sentences as the form.
 */
import Papa from 'papaparse';
import {
  stringEntryOf,
  stringEntrySchema,
  type StringEntry,
  type StringFacts,
} from '@/core/strings/string-facts';
import { isLongerThan } from './mapped-table';
import { tableRows, unguarded } from './table-cells';

/** Column by field of the entry, in the order in which they are written. */
const COLUMNS = {
  name: 'name',
  sport: 'sport',
  family: 'family',
  subKind: 'kind',
  shape: 'shape',
  colour: 'colour',
  gauges: 'gauges_mm',
  set: 'set_m',
  price: 'set_price',
  reel: 'reel_m',
  reelPrice: 'reel_price',
  mass: 'mass_g_per_m',
  stretch: 'stretch_percent',
  life: 'life_hours',
  holding: 'holding_percent',
  notFor: 'not_for',
  notes: 'notes',
} as const satisfies Record<keyof StringEntry, string>;

const FIELDS = Object.keys(COLUMNS) as (keyof StringEntry)[];
/** Without these there is no string. */
const NEEDED: readonly (keyof StringEntry)[] = [
  'name',
  'sport',
  'family',
  'gauges',
  'set',
  'price',
];

interface TableProblem {
  /** The column as it is written; empty for the row as a whole. */
  readonly column: string;
  readonly reason: string;
}

export interface CellChange {
  readonly column: string;
  readonly from: string;
  readonly to: string;
}

export type TableRow =
  | {
      readonly ok: true;
      readonly line: number;
      readonly string: StringFacts;
      /** Against the string of that name and sport in the library; nothing when there is none. */
      readonly changes: readonly CellChange[] | undefined;
    }
  | {
      readonly ok: false;
      readonly line: number;
      readonly name: string;
      readonly problems: readonly TableProblem[];
    };

const NOTHING_WRITTEN = Object.fromEntries(FIELDS.map((field) => [field, ''])) as StringEntry;

/** Larger tables are no string libraries. */
export const MOST_LETTERS = 2_000_000;
const MOST_ROWS = 2000;
/** Empty ones and those within a cell counted. */
const MOST_LINES = 10 * MOST_ROWS;

const columnOf = (field: PropertyKey | undefined): string =>
  COLUMNS[field as keyof StringEntry] ?? '';

const nameIn = (name: string, sport: string): string =>
  `${sport.trim().toLowerCase()} ${name.trim().toLowerCase()}`;

function changesOf(before: StringEntry, after: StringEntry): readonly CellChange[] {
  return FIELDS.filter((field) => before[field] !== after[field]).map((field) => ({
    column: COLUMNS[field],
    from: before[field],
    to: after[field],
  }));
}

/**
 * Reads a table with its prices in `currency`; every row is a sound string or says column and reason. A column that the table does
 * not have is taken from the string in the library that the row names. Never throws.
 */
export function readStringTable(
  text: string,
  currency: string,
  library: readonly StringFacts[] = [],
): readonly TableRow[] {
  const whole = (reason: string, line = 1): readonly TableRow[] => [
    { ok: false, line, name: '', problems: [{ column: '', reason }] },
  ];
  if (text.trim() === '') return whole('There is nothing in it.');
  if (text.length > MOST_LETTERS) return whole('Too long for a table of strings.');
  if (isLongerThan(MOST_LINES, text)) return whole(`At most ${MOST_ROWS} strings at a time.`);
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
  });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) return whole('A double quote is opened and not closed.', (quotes.row ?? 0) + 1);
  const [head = [], ...rows] = data;
  const named = head.map((column) => column.trim().toLowerCase());
  const stray = named.find(
    (column) => column !== '' && !FIELDS.some((field) => columnOf(field) === column),
  );
  if (stray !== undefined)
    return whole(
      `There is no column “${stray.slice(0, 40)}”: the first row names ${FIELDS.map(columnOf).join(', ')}.`,
    );
  const missing = NEEDED.find((field) => !named.includes(columnOf(field)));
  if (missing)
    return whole(`The first row names the columns, and ${columnOf(missing)} is missing.`);
  const twice = named.find((column, i) => column !== '' && named.indexOf(column) !== i);
  if (twice) return whole(`The column ${twice} stands there twice.`);
  if (rows.length === 0) return whole('There is a head and no row below it.');
  if (rows.length > MOST_ROWS) return whole(`At most ${MOST_ROWS} strings at a time.`);

  const given = FIELDS.filter((field) => named.includes(COLUMNS[field]));
  const known = new Map(library.map((string) => [nameIn(string.name, string.sport), string]));
  const seen = new Map<string, number>();
  return rows.map((cells, i): TableRow => {
    const line = i + 2;
    const cell = (field: keyof StringEntry) =>
      unguarded(cells[named.indexOf(COLUMNS[field])] ?? '').trim();
    const name = nameIn(cell('name'), cell('sport'));
    const found = known.get(name);
    const before = found && stringEntryOf(found, currency);
    const entry: StringEntry = {
      ...(before ?? NOTHING_WRITTEN),
      ...Object.fromEntries(given.map((field) => [field, cell(field)])),
    };
    const problems: TableProblem[] =
      cells.length > named.length
        ? [
            {
              column: '',
              reason: 'It has more cells than the first row has names: is a comma not in quotes?',
            },
          ]
        : [];
    const read = stringEntrySchema(currency).safeParse({ ...entry, shape: entry.shape || 'round' });
    for (const { path, message } of read.error?.issues ?? [])
      problems.push({ column: columnOf(path[0]), reason: message });
    const twin = seen.get(name);
    if (twin !== undefined)
      problems.push({ column: 'name', reason: `The same string stands in row ${twin} already.` });
    else seen.set(name, line);
    return read.success && problems.length === 0
      ? {
          ok: true,
          line,
          string: read.data,
          changes: before && changesOf(before, stringEntryOf(read.data, currency)),
        }
      : { ok: false, line, name: entry.name, problems };
  });
}

/** Strings as a table that reads back as it is. */
export function writeStringTable(strings: readonly StringFacts[], currency: string): string {
  const rows = strings.map((string) => {
    const entry = stringEntryOf(string, currency);
    return FIELDS.map((field) => entry[field]);
  });
  return tableRows([FIELDS.map(columnOf), ...rows]);
}
