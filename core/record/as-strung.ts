/** What is in a racket where its plan was changed in the middle of the job. */
import { z } from 'zod';
import type { KeptPull } from '../bench/kept-plan';
import {
  formatTicket,
  tensionFigure,
  type TensionUnit,
  type TicketTension,
} from '../measure/units';
import { isMain, stringNameSchema, type StringName } from '../terms/string-name';

const runsSchema = z.array(z.object({ from: stringNameSchema, n: z.number() })).min(1);

/** From which string on which figure, mains and crosses, N; and the mean of each. */
export const asStrungSchema = z.object({
  mains: runsSchema,
  crosses: runsSchema,
  mainN: z.number(),
  crossN: z.number(),
  /** In the unit of its ticket. */
  words: z.string(),
});
export type AsStrung = z.output<typeof asStrungSchema>;
type Runs = AsStrung['mains'];

const SAME_N = 0.01;
const number = (string: StringName): number => Number.parseInt(string.slice(1), 10);

/** From the centre outwards, left before right; from the head down. */
const inOrder = (a: StringName, b: StringName): number =>
  number(a) - number(b) || a.localeCompare(b);

function runsOf(strings: readonly StringName[], nOf: (string: StringName) => number): Runs {
  const runs: { from: StringName; n: number }[] = [];
  for (const string of strings) {
    const n = nOf(string);
    if (Math.abs(n - (runs.at(-1)?.n ?? NaN)) <= SAME_N) continue;
    runs.push({ from: string, n });
  }
  return runs;
}

function runWords(what: 'mains' | 'crosses', runs: Runs, unit: TensionUnit): string | undefined {
  const later = runs.slice(1).map(({ from, n }) => `from ${from} on ${tensionFigure(n, unit)}`);
  return later.length === 0 ? undefined : `${what} ${later.join(', ')}`;
}

const firstOf = (mains: Runs, crosses: Runs, unit: TensionUnit): TicketTension => ({
  mainN: mains[0]?.n ?? 0,
  crossN: crosses[0]?.n ?? 0,
  unit,
});

const laterOf = (mains: Runs, crosses: Runs, unit: TensionUnit): string =>
  [runWords('mains', mains, unit), runWords('crosses', crosses, unit)]
    .filter((part) => part !== undefined)
    .join(', ');

/**
 * What is in the racket, where strings were pulled at other figures than the ticket says in the end; null where all are
 * as it says. A string whose pull nobody kept counts as the ticket has it.
 *
 * @param strings of the whole bed
 *
 * @example
 * asStrung(['M1L', 'C1'], [], { mainN: 225, crossN: 215, unit: 'kg' }) // null
 */
export function asStrung(
  strings: readonly StringName[],
  pulls: readonly KeptPull[],
  ticket: TicketTension,
): AsStrung | null {
  const pulled = new Map(pulls.map(({ string, ticketN }) => [string, ticketN]));
  const nOf = (string: StringName): number =>
    pulled.get(string) ?? (isMain(string) ? ticket.mainN : ticket.crossN);
  const ordered = strings.toSorted(inOrder);
  const [mains, crosses] = [ordered.filter(isMain), ordered.filter((each) => !isMain(each))];
  if (
    ordered.every(
      (each) => Math.abs(nOf(each) - (isMain(each) ? ticket.mainN : ticket.crossN)) <= SAME_N,
    )
  )
    return null;
  const mean = (some: readonly StringName[]) =>
    some.reduce((sum, each) => sum + nOf(each), 0) / some.length;
  const [mainRuns, crossRuns] = [runsOf(mains, nOf), runsOf(crosses, nOf)];
  return {
    mains: mainRuns,
    crosses: crossRuns,
    mainN: mean(mains),
    crossN: mean(crosses),
    words: `${formatTicket(firstOf(mainRuns, crossRuns, ticket.unit))}, ${laterOf(mainRuns, crossRuns, ticket.unit)}`,
  };
}

/** A record, as far as its tension goes. */
export interface RecordedTension {
  readonly setup: TicketTension;
  readonly strung: AsStrung | null;
}

/**
 * The tension of a closed job as figures to reckon with: the mean of what was pulled.
 *
 * @example
 * inTheRacket(usual.record).mainN === usual.record.setup.mainN // true
 */
export const inTheRacket = ({ setup, strung }: RecordedTension): TicketTension => ({
  mainN: strung?.mainN ?? setup.mainN,
  crossN: strung?.crossN ?? setup.crossN,
  unit: setup.unit,
});

/**
 * The figures that a closed job was begun with, and from which string on it was another.
 *
 * @param unit of whoever reads it
 *
 * @example
 * strungParts({ ...usual.record, strung: null }, usual.record.setup.unit).changed // ''
 */
export function strungParts(
  { setup, strung }: RecordedTension,
  unit: TensionUnit,
): { readonly ticket: TicketTension; readonly changed: string } {
  if (!strung) return { ticket: { mainN: setup.mainN, crossN: setup.crossN, unit }, changed: '' };
  return {
    ticket: firstOf(strung.mains, strung.crosses, unit),
    changed: laterOf(strung.mains, strung.crosses, unit),
  };
}

/**
 * The tension of a closed job in words: `24/23 kg`, or `23/21 kg, crosses from C13 on 20`.
 *
 * @example
 * strungWords({ ...usual.record, strung: null }) // '24/23 kg'
 */
export function strungWords(record: RecordedTension, unit = record.setup.unit): string {
  const { ticket, changed } = strungParts(record, unit);
  return [formatTicket(ticket), changed].filter(Boolean).join(', ');
}
