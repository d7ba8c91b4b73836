/** Whether a machine pulls what it is set to: checks against a known weight or a spring scale. */
import type { Newtons } from '../measure/quantities';
import { inTensionUnit, newtons, type TensionUnit } from '../measure/units';
import { countWords } from '../terms/count-words';
import { differenceInCalendarDays, parseISO } from 'date-fns';

export interface MachineCheck {
  /** Day on the workshop's clock, `2026-11-27`. */
  readonly day: string;
  readonly askedN: Newtons;
  readonly measuredN: Newtons;
}

/** Beyond this a machine is mended, not corrected. From memory. */
export const MOST_OFF = 0.1;

/**
 * How far a check was off, as a fraction: above zero the machine pulls too hard.
 *
 * @example
 * offBy({ day: '2026-01-05', askedN: 245, measuredN: 240.1 }) // -0.02
 */
export const offBy = ({ askedN, measuredN }: MachineCheck): number => measuredN / askedN - 1;

/** The checks of the latest day on which any was made. */
function latest(checks: readonly MachineCheck[]): readonly MachineCheck[] {
  const day = checks
    .map((check) => check.day)
    .toSorted()
    .at(-1);
  return checks.filter((check) => check.day === day);
}

/**
 * What the machine pulls for one newton asked: a line through nothing and the checks of the latest day
 * (least squares). 1 without a check.
 *
 * @example
 * pullsFor([{ day: '2026-01-05', askedN: 245, measuredN: 240.1 }]) // 0.98
 */
export function pullsFor(checks: readonly MachineCheck[]): number {
  const of = latest(checks);
  const square = of.reduce((sum, { askedN }) => sum + askedN ** 2, 0);
  const product = of.reduce((sum, { askedN, measuredN }) => sum + askedN * measuredN, 0);
  return square === 0 ? 1 : product / square;
}

/**
 * The figure, N, to set so that `n` newtons are pulled; as it is when the machine is too far off to correct.
 *
 * @example
 * setFor(235.2, [{ day: '2026-01-05', askedN: 245, measuredN: 240.1 }]) // 240
 */
export function setFor(n: number, checks: readonly MachineCheck[]): number {
  const pulls = pullsFor(checks);
  return Math.abs(pulls - 1) > MOST_OFF ? n : n / pulls;
}

/** A dial is read to a tenth; what differs less from the aim is the aim. */
const DIAL_STEP = 0.1;

/**
 * What is set on the dial so that `n` newtons are pulled, to a tenth of its unit, N; undefined where the aim itself is set.
 *
 * @param pulls what the machine pulls for one newton asked
 *
 * @example
 * dialFor(newtons(23, 'kg'), 0.98, 'kg') / newtons(1, 'kg') // 23.5
 * dialFor(newtons(23, 'kg'), 1, 'kg') // undefined
 */
export function dialFor(n: Newtons, pulls: number, unit: TensionUnit): Newtons | undefined {
  if (Math.abs(pulls - 1) > MOST_OFF) return undefined;
  const dial = inTensionUnit(n / pulls, unit, DIAL_STEP);
  return Math.abs(dial - inTensionUnit(n, unit)) < DIAL_STEP - 1e-9
    ? undefined
    : newtons(dial, unit);
}

/** A check that is so far off was more likely misread than pulled. From memory. */
export const MISREAD = 0.2;

export interface CheckDue {
  readonly latest: string | undefined;
  /** Days until the next one; below zero late. Undefined where none was ever made. */
  readonly inDays: number | undefined;
}

/**
 * When the next check is due, `everyDays` after the latest.
 *
 * @example
 * checkDue([], 30, '2026-11-26') // { latest: undefined, inDays: undefined }
 */
export function checkDue(
  checks: readonly MachineCheck[],
  everyDays: number,
  today: string,
): CheckDue {
  const day = latest(checks)[0]?.day;
  return {
    latest: day,
    inDays:
      day === undefined
        ? undefined
        : everyDays - differenceInCalendarDays(parseISO(today), parseISO(day)),
  };
}

/**
 * What should be said of a machine before it pulls; nothing while it is checked in time and near its figure.
 *
 * @example
 * checkWords([], 30, '2026-11-26') // 'Its pull was never checked: hang a known weight on it, or a spring scale.'
 */
export function checkWords(
  checks: readonly MachineCheck[],
  everyDays: number,
  today: string,
): string | undefined {
  const { inDays } = checkDue(checks, everyDays, today);
  if (inDays === undefined)
    return 'Its pull was never checked: hang a known weight on it, or a spring scale.';
  const off = pullsFor(checks) - 1;
  if (Math.abs(off) > MOST_OFF)
    return `At its last check it was ${Math.round(100 * Math.abs(off))} % ${off > 0 ? 'too hard' : 'too soft'}: have it mended, it is not corrected.`;
  return inDays < 0 ? `Its check is ${countWords(-inDays, 'day')} overdue.` : undefined;
}
