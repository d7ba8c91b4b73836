/** Cells of tables of comma separated values (RFC 4180), safe in the programs that open them. */
import Papa from 'papaparse';

/**
 * Spreadsheets run what begins so as a formula, the full-width signs too; an apostrophe in front keeps it
 * a text. A text that begins with an apostrophe of its own gets a second one, so that all come back as
 * they were.
 */
const NEEDS_GUARD = /^\s*[=+\-@\t\r\n'＝＋－＠]/;
const guarded = (text: string): string => (NEEDS_GUARD.test(text) ? `'${text}` : text);
export const unguarded = (text: string): string =>
  text.startsWith("'") && NEEDS_GUARD.test(text.slice(1)) ? text.slice(1) : text;

/** Rows as they stand in a file, each ended. Figures are no texts: a price below zero stays a price. */
export const tableRows = (rows: readonly (readonly (string | number | null)[])[]): string =>
  rows.length === 0
    ? ''
    : `${Papa.unparse(
        rows.map((row) =>
          row.map((cell) => (typeof cell === 'string' ? guarded(cell) : (cell ?? ''))),
        ),
        { newline: '\r\n' },
      )}\r\n`;
