/** Closed jobs as a table (RFC 4180), a job a row; the columns of docs/formats/jobs.md. */
import { moneyFigure } from '@/core/measure/money';
import { formatTicket, inTensionUnit, type TensionUnit } from '@/core/measure/units';
import { tableRows } from './table-cells';

export interface TableJob {
  readonly number: number;
  /** On the workshop's clock. */
  readonly day: string;
  readonly client: string;
  readonly sport: string;
  readonly frame: string;
  readonly mark: string;
  readonly mainN: number;
  readonly crossN: number;
  readonly unit: TensionUnit;
  readonly mains: string;
  readonly mainGaugeMm: number;
  readonly crosses: string;
  readonly crossGaugeMm: number;
  readonly by: string | null;
  readonly machine: string | null;
  readonly priceMinor: number;
  readonly toPayMinor: number | null;
  readonly paidMinor: number;
  readonly collected: string | null;
  readonly currency: string;
}

type Cell = string | number | null;

const COLUMNS: readonly (readonly [name: string, cell: (job: TableJob) => Cell])[] = [
  ['number', ({ number }) => number],
  ['handed_over', ({ day }) => day],
  ['client', ({ client }) => client],
  ['sport', ({ sport }) => sport],
  ['frame', ({ frame }) => frame],
  ['mark', ({ mark }) => mark],
  ['tension', (job) => formatTicket(job)],
  ['mains_n', ({ mainN }) => Math.round(mainN * 100) / 100],
  ['crosses_n', ({ crossN }) => Math.round(crossN * 100) / 100],
  ['mains_pull', ({ mainN, unit }) => inTensionUnit(mainN, unit)],
  ['crosses_pull', ({ crossN, unit }) => inTensionUnit(crossN, unit)],
  ['unit', ({ unit }) => unit],
  ['mains', ({ mains }) => mains],
  ['mains_mm', ({ mainGaugeMm }) => mainGaugeMm.toFixed(2)],
  ['crosses', ({ crosses }) => crosses],
  ['crosses_mm', ({ crossGaugeMm }) => crossGaugeMm.toFixed(2)],
  ['strung_by', ({ by }) => by],
  ['machine', ({ machine }) => machine],
  ['price', ({ priceMinor, currency }) => Number(moneyFigure(priceMinor, currency))],
  [
    'paid',
    ({ toPayMinor, paidMinor, currency }) =>
      toPayMinor === null ? null : Number(moneyFigure(paidMinor, currency)),
  ],
  ['currency', ({ currency }) => currency],
  ['collected', ({ collected }) => collected],
];

export const jobTableHead = (): string => tableRows([COLUMNS.map(([name]) => name)]);

export const jobTableRows = (jobs: readonly TableJob[]): string =>
  tableRows(jobs.map((job) => COLUMNS.map(([, cell]) => cell(job))));
