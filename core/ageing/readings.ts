/** Taps, testers and weights: what each says of the tension that is left. */
import { newtons } from '../measure/units';
import type { Measured } from './curve';

export const READING_KINDS = ['tap', 'tester', 'weight', 'spring scale'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

export interface Reading {
  readonly kind: ReadingKind;
  /** Hz of a tap; the figure of a tester; mm that the bed goes in under a mass; N at a spring scale. */
  readonly value: number;
  /** The mass, g, of a weight. */
  readonly massG: number | null;
  /** Of a tester: kg, lb and N are one with another, any other name only with itself. */
  readonly unit?: string | undefined;
}

/**
 * How far readings scatter, as a share of the tension. A tap to a hundredth of its pitch is two of the tension; the others
 * from memory.
 */
const NOISE: Readonly<Record<ReadingKind, number>> = {
  tap: 0.02,
  tester: 0.03,
  weight: 0.05,
  'spring scale': 0.05,
};
/** Of a tap whose pitch just after stringing nobody took: the net is only as good as the masses and the rim. From memory. */
const ROUGH = 0.2;
/** The net rings a fifth to a third higher than rackets do: its frame stands still. An open question, from memory. */
const NET_ABOVE = 1.27;

/**
 * What a bed is likely to ring at where its net has a pitch, Hz.
 *
 * @example
 * ringsNear(635) // 500
 */
export const ringsNear = (netHz: number): number => netHz / NET_ABOVE;

/** The figure of a tester as a tension, N, where its unit is one; undefined where it has a scale of its own. */
function tensionOf({ value, unit = '' }: Reading): number | undefined {
  const name = unit.trim().toLowerCase();
  if (name === 'n') return value;
  const kilo = name === 'kg' || name === 'kp';
  if (kilo) return newtons(value, 'kg');
  return name === 'lb' || name === 'lbs' ? newtons(value, 'lb') : undefined;
}

/** Whether two readings of a kind can be held against each other. */
function areAlike(one: Reading, other: Reading): boolean {
  if (one.kind !== other.kind) return false;
  if (one.kind !== 'tester') return true;
  const named = ({ unit = '' }: Reading) => unit.trim().toLowerCase();
  return (
    named(one) === named(other) || (tensionOf(one) !== undefined && tensionOf(other) !== undefined)
  );
}

/**
 * The tension that a reading says is there, as a share of what it was at another reading of the same kind. A pitch goes by the root
 * of the tension, a tester and a spring scale by the tension itself, and a bed goes in the less the tighter it is.
 *
 * Source: Mersenne’s law for the pitch; f = 4T/L for a string pushed aside at its middle, and so for a bed of them.
 *
 * @example
 * ratioOf({ kind: 'tap', value: 500, massG: null }, { kind: 'tap', value: 1000, massG: null }) // 0.25
 */
export function ratioOf(now: Reading, then: Reading): number {
  switch (now.kind) {
    case 'tap':
      return (now.value / then.value) ** 2;
    case 'tester': {
      const [nowN, thenN] = [tensionOf(now), tensionOf(then)];
      return nowN !== undefined && thenN !== undefined ? nowN / thenN : now.value / then.value;
    }
    case 'spring scale':
      return now.value / then.value;
    case 'weight':
      return (then.value / now.value) * ((now.massG ?? 1) / (then.massG ?? 1));
  }
}

export interface DatedReading extends Reading {
  /** What the kind of bed would have lost by then, from `usualLoss`. */
  readonly usual: number;
}

/** What can be said without another reading. */
export interface Known {
  /** The pitch at the tension that was set, Hz, as the net has it; undefined where it has none. */
  readonly setHz: number | undefined;
  /** Mean of the tensions that were set, N. */
  readonly setN: number;
}

/**
 * The readings of one job as the curve takes them. The first of a kind is what the later ones of that kind are compared with;
 * where there is none before it, a tap is held against the net, roughly, and a spring scale against what was set. What
 * cannot be compared with anything says nothing yet.
 *
 * @param readings in the order in which they were taken
 *
 * @example
 * measuredOf([{ kind: 'tester', value: 40, massG: null, usual: 0.1 }, { kind: 'tester', value: 36, massG: null, usual: 0.2 }], { setHz: undefined, setN: 240 }) // [{ usual: 0.2, usualThen: 0.1, left: 0.9, noise: 0.03 }]
 */
export function measuredOf(
  readings: readonly DatedReading[],
  { setHz, setN }: Known,
): readonly Measured[] {
  return readings.flatMap((reading, i): readonly Measured[] => {
    const { kind, usual } = reading;
    const first = readings.findIndex((other) => areAlike(other, reading));
    const then = readings[first];
    if (then && first < i)
      return [{ usual, usualThen: then.usual, left: ratioOf(reading, then), noise: NOISE[kind] }];
    if (kind === 'tap' && setHz !== undefined)
      return [
        {
          usual,
          usualThen: 0,
          left: Math.min(1, (reading.value / ringsNear(setHz)) ** 2),
          noise: ROUGH,
        },
      ];
    if (kind === 'spring scale')
      return [{ usual, usualThen: 0, left: reading.value / setN, noise: NOISE[kind] }];
    return [];
  });
}

/** What of its tension a bed can have beside another reading or what was set: strings gain nothing by being played. From memory. */
const PLAUSIBLE = { least: 0.15, most: 1.2 } as const;
/** A tap above that share of the net's pitch is an overtone, or another racket. From memory. */
const MOST_OF_NET = 1.1;

/**
 * Why a reading cannot be one of this bed; undefined where it can.
 *
 * @param before what was read of the same job before it
 *
 * @example
 * amissWith({ kind: 'tap', value: 1200, massG: null }, [], { setHz: 763, setN: 230 })?.is // 'too high'
 */
export function amissWith(
  reading: Reading,
  before: readonly Reading[],
  { setHz, setN }: Known,
):
  | { readonly is: 'too high' | 'too low'; readonly share: number }
  | { readonly is: 'another unit'; readonly unit: string }
  | undefined {
  const ofKind = before.filter(({ kind }) => kind === reading.kind);
  const then = ofKind.find((each) => areAlike(each, reading));
  const other = ofKind.find((each) => !areAlike(each, reading));
  if (!then && other) return { is: 'another unit', unit: other.unit ?? '' };
  const judged = (share: number | undefined) => {
    if (share === undefined) return undefined;
    if (share > PLAUSIBLE.most) return { is: 'too high' as const, share };
    return share < PLAUSIBLE.least ? { is: 'too low' as const, share } : undefined;
  };
  if (then) return judged(ratioOf(reading, then));
  if (reading.kind === 'tap' && setHz !== undefined) {
    if (reading.value > MOST_OF_NET * setHz)
      return { is: 'too high', share: (reading.value / setHz) ** 2 };
    const share = (reading.value / ringsNear(setHz)) ** 2;
    return share < PLAUSIBLE.least ? { is: 'too low', share } : undefined;
  }
  if (reading.kind === 'spring scale') return judged(reading.value / setN);
  return reading.kind === 'tester' ? judged(testerShare(reading, setN)) : undefined;
}

const testerShare = (reading: Reading, setN: number): number | undefined => {
  const n = tensionOf(reading);
  return n === undefined ? undefined : n / setN;
};

/**
 * Whether the tension that is said rests on a tap that was never calibrated.
 *
 * @example
 * isRough([{ kind: 'tap', value: 500, massG: null }]) // true
 */
export const isRough = (readings: readonly Pick<Reading, 'kind'>[]): boolean =>
  readings.length > 0 && readings.every(({ kind }) => kind === 'tap') && readings.length < 2;
