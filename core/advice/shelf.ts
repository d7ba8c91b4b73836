/** The strings of a workshop as advice chooses among them. */
import type { Mm } from '../measure/quantities';
import type { Family, Shape } from '../terms/family';
import type { Talk } from './talk';
import { GAUGE_STEP_MM } from './strung';
import type { Sport } from '../terms/sport';
import type { StringClass } from './rule';
import type { NotFor } from '../strings/not-for';

export interface ShelfString {
  readonly id: string;
  readonly name: string;
  readonly sport: Sport;
  readonly family: Family;
  readonly shape: Shape;
  readonly gaugesMm: readonly Mm[];
  readonly setPriceMinor: number;
  /** Hours of play it is good for, when somebody has measured it; null goes by its family. */
  readonly lifeHours: number | null;
  readonly notFor: readonly NotFor[];
}

/** A string on the shelf that makes one half of a setup, in the thickness that comes nearest. */
export interface Offer {
  readonly string: ShelfString;
  readonly gaugeMm: Mm;
  /** Why this client may not want it; empty for most. */
  readonly against: readonly NotFor[];
}

/** What a client has in common with those who may not want a string. */
function againstFor(string: Pick<ShelfString, 'notFor'>, talk: Talk): readonly NotFor[] {
  const holds: Record<NotFor, boolean> = {
    'arm trouble': talk.arm === 'now' || talk.arm === 'before',
    juniors: talk.age === 'junior',
    'slow swings': talk.swing === 'slow',
    'string breakers': talk.breaks === 'in weeks' || talk.breaks === 'in days',
    damp: talk.weather === 'damp',
  };
  return string.notFor.filter((each) => holds[each]);
}

/** Fewer points are better. A step of thickness weighs as much as what doubles the price. */
function awayFrom(wanted: StringClass, { string, gaugeMm, against }: Offer, talk: Talk): number {
  const steps = Math.abs(gaugeMm - wanted.gaugeMm) / GAUGE_STEP_MM[string.sport];
  const spin = talk.wants.includes('spin') || talk.style === 'spin';
  const shape = string.shape === 'round' ? (spin ? 0.75 : 0) : spin ? 0 : 0.6;
  const price = Math.log2(Math.max(1, string.setPriceMinor) / 1000);
  const thrift = { low: 1, middle: 0.35, open: 0 }[talk.budget ?? 'middle'];
  return steps + shape + thrift * price + 3 * against.length;
}

/** The strings that come nearest to what is wanted, the best first; none when the family is not on the shelf. */
export function offersFor(
  wanted: StringClass,
  shelf: readonly ShelfString[],
  sport: Sport,
  talk: Talk,
): readonly Offer[] {
  return shelf
    .filter((string) => string.sport === sport && string.family === wanted.family)
    .map((string): Offer => {
      const gaugeMm = string.gaugesMm.reduce(
        (best, mm) =>
          Math.abs(mm - wanted.gaugeMm) < Math.abs(best - wanted.gaugeMm) - 1e-9 ? mm : best,
        string.gaugesMm[0] ?? wanted.gaugeMm,
      );
      return { string, gaugeMm, against: againstFor(string, talk) };
    })
    .map((offer) => ({ offer, away: awayFrom(wanted, offer, talk) }))
    .toSorted((a, b) => a.away - b.away)
    .map(({ offer }) => offer);
}
