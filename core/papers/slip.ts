/** The slip that is wrapped round the handle: what a player, or the next stringer, wants to know. */
import { formatDay } from '../measure/promised-time';
import { formatGauge } from '../measure/gauge';
import { formatTicket, formatTicketConverted, type TensionUnit } from '../measure/units';
import { strungParts } from '../record/as-strung';
import type { JobRecord } from '../record/record';
import { isHybrid, type JobString } from '../strings/job-string';
import { METHOD_WORDS } from '../terms/method';
import { bedToday, type KnownOfBed } from '../ageing/bed-today';

export interface Slip {
  readonly workshop: string;
  readonly number: number;
  readonly client: string;
  readonly racket: string;
  readonly mark: string;
  readonly tension: string;
  /** The same without its unit, and the unit. */
  readonly figure: string;
  readonly unit: TensionUnit;
  readonly converted: string;
  /** From which string on it was pulled otherwise; empty for nearly all. */
  readonly changed: string;
  /** What was set on the machine for it; empty where the aim itself was. */
  readonly dial: string;
  readonly layout: 'full bed' | 'hybrid';
  readonly method: string;
  /** One string, or mains and crosses. */
  readonly strings: readonly { readonly where: string; readonly string: string }[];
  readonly strung: string;
  /** Empty where nobody signed in. */
  readonly by: string;
  readonly judge: string;
  readonly due: string;
}

const stringWords = ({ name, gaugeMm, suppliedByClient }: JobString): string =>
  `${name} ${formatGauge(gaugeMm)}${suppliedByClient ? ' (yours)' : ''}`;

/**
 * The slip of a closed job, every figure from its record.
 *
 * @param day on which it was handed over, `2026-01-05`
 * @param unit the client's
 *
 * @example
 * slipOf({ workshop: 'W', number: 12, day: '2026-01-05', unit: 'kg', record: usual.record }).judge // 'Judge it after an hour of play.'
 */
export function slipOf({
  workshop,
  number,
  day,
  unit,
  record,
  known = {},
}: {
  readonly workshop: string;
  readonly number: number;
  readonly day: string;
  readonly unit: TensionUnit;
  readonly record: JobRecord;
  /** What else says how its bed ages. */
  readonly known?: KnownOfBed;
}): Slip {
  const { client, racket, setup, plan, hands } = record;
  const { ticket, changed } = strungParts(record, unit);
  const hybrid = isHybrid(setup);
  return {
    workshop,
    number,
    client,
    racket: racket.frameName,
    mark: racket.mark,
    tension: formatTicket(ticket),
    figure: formatTicket(ticket).replace(` ${unit}`, ''),
    unit,
    converted: formatTicketConverted(ticket),
    changed,
    dial: record.dial
      ? `${formatTicket({ ...record.dial, unit })}${record.machine ? ` on ${record.machine}` : ''}`
      : '',
    layout: hybrid ? 'hybrid' : 'full bed',
    method: METHOD_WORDS[plan.method],
    strings: hybrid
      ? [
          { where: 'Mains', string: stringWords(setup.mains) },
          { where: 'Crosses', string: stringWords(setup.crosses) },
        ]
      : [{ where: 'Mains and crosses', string: stringWords(setup.mains) }],
    strung: formatDay(day),
    by: hands?.strungBy.map(({ name }) => name).join(', ') ?? '',
    judge: 'Judge it after an hour of play.',
    due: formatDay(bedToday(record, day, day, known).due.day),
  };
}
