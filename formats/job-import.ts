/** Jobs of before out of any table, and closed jobs out of their documents. */
import { z } from 'zod';
import { parseMoney } from '@/core/measure/money';
import { parseTicketTension } from '@/core/measure/parsing';
import { lineText, nameText, noteText, optionalTyped, typed, sameName } from '@/core/measure/typed';
import type { TensionUnit } from '@/core/measure/units';
import { readDay, type DayOrder, type EarlierJob } from '@/core/record/earlier-job';
import { failure, success, type Result } from '@/core/terms/result';
import { sportSchema } from '@/core/terms/sport';
import { readJobDocument, type JobDocument } from './job-document';
import {
  fieldsIn,
  guessColumns,
  tooManyCells,
  type AnsweredRow,
  type Mapping,
  type Sheet,
} from './mapped-table';

/** Letters of a file of documents. */
const MOST_LETTERS = 12_000_000;

export const JOB_FIELDS = [
  'client',
  'racket',
  'mark',
  'day',
  'tension',
  'mains',
  'crosses',
  'price',
  'sport',
  'notes',
] as const;
export type JobField = (typeof JOB_FIELDS)[number];

const HINTS = [
  ['day', /date|day|strung on|handed|datum|\btag\b|fecha|jour|día/i],
  ['price', /price|amount|total|cost|paid|preis|betrag|prix|montant\b|precio|importe/i],
  ['sport', /sport|deporte/i],
  ['notes', /note|remark|comment|notiz|bemerkung|remarque|observaci/i],
  ['mark', /mark|serial|label|kennzeichen|marque\b|marca/i],
  ['racket', /racket|racquet|frame|model|schläger|rahmen|raquette|cadre|raqueta/i],
  ['client', /client|customer|player|name|kunde|spieler|joueur|cliente|jugador|nombre|nom\b/i],
  ['tension', /tension|kg|lbs?\b|pull|härte|spannung|tensión/i],
  ['crosses', /cross|quer|travers|horizontal/i],
  ['mains', /main|string|saite|längs|cordage|montants|cuerda|vertical/i],
] as const;

export const guessJobs = (head: readonly string[]): Mapping<JobField> =>
  guessColumns<JobField>(HINTS, head);

const JOINED: Readonly<Record<JobField, string>> = {
  client: ' ',
  racket: ' ',
  mark: ' ',
  day: ' ',
  // Mains and crosses in columns of their own make one figure.
  tension: '/',
  mains: ' ',
  crosses: ' ',
  price: ' ',
  sport: ' ',
  notes: '\n',
};

/** How the figures of a table are read. */
export interface JobReading {
  readonly dayOrder: DayOrder;
  /** A figure without a unit. */
  readonly unit: TensionUnit;
  readonly currency: string;
  readonly today: string;
}

/** Few days and tensions stand in many rows: each text is read once. */
function once<T>(parse: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    const before = known.get(text);
    if (before !== undefined) return before;
    const read = parse(text);
    known.set(text, read);
    return read;
  };
}

const rowSchema = ({ dayOrder, unit, currency, today }: JobReading) => {
  const day = once((text) => readDay(text, dayOrder, today));
  const price = once(parseMoney(currency));
  const ticket = once((text) => {
    const [sport = '', tension = ''] = text.split('|');
    const named = sportSchema.safeParse(sport.trim().toLowerCase());
    return parseTicketTension(tension, named.data ?? 'tennis', unit);
  });
  return z
    .object({
      client: nameText('the client’s name'),
      racket: nameText('the racket'),
      mark: lineText('the mark'),
      day: typed(day),
      tension: z.string(),
      mains: lineText('the string'),
      crosses: lineText('the string of the crosses'),
      price: optionalTyped(price),
      sport: z.string(),
      notes: noteText,
    })
    .transform(({ price: priceMinor, sport, tension, crosses, ...row }, context): EarlierJob => {
      const read = tension.trim() ? ticket(`${sport}|${tension}`) : success(null);
      if (!read.ok) {
        context.addIssue({ code: 'custom', message: read.problem });
        return z.NEVER;
      }
      return { ...row, crosses: crosses || row.mains, tension: read.value, priceMinor };
    });
};

/** What makes two rows the same job: whose racket, when, and with what. */
export const sameJob = ({
  client,
  racket,
  mark,
  day,
  mains,
}: Pick<EarlierJob, 'client' | 'racket' | 'mark' | 'day' | 'mains'>): string =>
  [client, racket, mark, day, mains].map(sameName).join('|');

/**
 * Each row with what would become of it. A job that is known, or that stood in the table before, is left out, so that
 * a table that is brought in twice changes nothing.
 *
 * @param known jobs as `sameJob` has them
 */
export function answerJobs(
  sheet: Sheet,
  mapping: Mapping<JobField>,
  asked: JobReading,
  known: ReadonlySet<string>,
): readonly AnsweredRow<EarlierJob>[] {
  const seen = new Set(known);
  const schema = rowSchema(asked);
  return sheet.rows.map((cells, i): AnsweredRow<EarlierJob> => {
    const line = sheet.lines[i] ?? i + 2;
    const fields = fieldsIn(cells, mapping, JOINED);
    const name = [fields.client, fields.racket, fields.day].filter(Boolean).join(', ');
    const beyond = tooManyCells(cells, sheet);
    if (beyond) return { line, state: 'wrong', name, why: beyond };
    const read = schema.safeParse(fields);
    if (!read.success)
      return { line, state: 'wrong', name, why: read.error.issues[0]?.message ?? '' };
    const same = sameJob(read.data);
    if (seen.has(same)) return { line, state: 'here already', name };
    seen.add(same);
    return { line, state: 'new', row: read.data };
  });
}

/** Whether a text is documents of jobs and no table. */
export const areDocuments = (text: string): boolean => text.trimStart().startsWith('{');

/** Documents of jobs, one a line, as they are taken out together; or one that goes over many lines. */
export function readJobDocuments(text: string): Result<readonly JobDocument[]> {
  if (text.length > MOST_LETTERS) return failure('job.too many');
  const whole = readJobDocument(text);
  if (whole.ok) return success([whole.value]);
  const documents: JobDocument[] = [];
  const numbers = new Set<number>();
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const read = readJobDocument(line);
    if (!read.ok) return failure('job.line', { line: i + 1, why: read.problem });
    if (numbers.has(read.value.number))
      return failure('job.twice', { number: read.value.number, line: i + 1 });
    numbers.add(read.value.number);
    documents.push(read.value);
  }
  return success(documents);
}

/** The documents of many jobs, one a line. */
export const jobDocumentLines = (documents: readonly JobDocument[]): string =>
  documents.map((document) => `${JSON.stringify(document)}\n`).join('');
