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
  /** What lies there of each thickness, mm, by its two decimals; left out where no shelf is kept. */
  readonly thereMm?: Readonly<Record<string, Mm>> | undefined;
}

/** A string on the shelf that makes one half of a setup, in the thickness that comes nearest. */
export interface Offer {
  readonly string: ShelfString;
  readonly gaugeMm: Mm;
  /** Why this client may not want it; empty for most. */
  readonly against: readonly NotFor[];
  /** Whether some of it lies there; undefined where no shelf is kept. */
  readonly isThere: boolean | undefined;
}

/**
 * Whether some of a string in a thickness lies there; undefined where no shelf is kept.
 *
 * @example
 * liesThere({ thereMm: { '1.25': 12200 } }, 1.25) // true
 */
export const liesThere = (
  { thereMm }: Pick<ShelfString, 'thereMm'>,
  gaugeMm: Mm,
): boolean | undefined => thereMm && (thereMm[gaugeMm.toFixed(2)] ?? 0) > 0;

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

/** Fewer points are better. A step of thickness weighs as much as what doubles the price, or as what has to be bought first. */
function awayFrom(
  wanted: StringClass,
  { string, gaugeMm, against, isThere }: Offer,
  talk: Talk,
): number {
  const steps = Math.abs(gaugeMm - wanted.gaugeMm) / GAUGE_STEP_MM[string.sport];
  const spin = talk.wants.includes('spin') || talk.style === 'spin';
  const shape = string.shape === 'round' ? (spin ? 0.75 : 0) : spin ? 0 : 0.6;
  const price = Math.log2(Math.max(1, string.setPriceMinor) / 1000);
  const thrift = { low: 1, middle: 0.35, open: 0 }[talk.budget ?? 'middle'];
  return steps + shape + thrift * price + 3 * against.length + (isThere === false ? 1 : 0);
}

/** The thickness that comes nearest; one that lies there goes before one that does not, by a step at most. */
function gaugeFor(string: ShelfString, wantedMm: Mm): Mm {
  const away = (mm: Mm) => Math.abs(mm - wantedMm);
  const nearest = (gauges: readonly Mm[]) =>
    gauges.toSorted((a, b) => away(a) - away(b)).slice(0, 1);
  const [best = wantedMm] = nearest(string.gaugesMm);
  const step = GAUGE_STEP_MM[string.sport] + 1e-9;
  const [there] = nearest(
    string.gaugesMm.filter((mm) => liesThere(string, mm) && away(mm) <= away(best) + step),
  );
  return there ?? best;
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
      const gaugeMm = gaugeFor(string, wanted.gaugeMm);
      return {
        string,
        gaugeMm,
        against: againstFor(string, talk),
        isThere: liesThere(string, gaugeMm),
      };
    })
    .map((offer) => ({ offer, away: awayFrom(wanted, offer, talk) }))
    .toSorted((a, b) => a.away - b.away)
    .map(({ offer }) => offer);
}
