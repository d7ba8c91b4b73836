/** Taps, testers and weights: what each says of the tension that is left. */
import type { Measured } from './curve';

export const READING_KINDS = ['tap', 'tester', 'weight', 'spring scale'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

export interface Reading {
  readonly kind: ReadingKind;
  /** Hz of a tap; the figure of a tester; mm that the bed goes in under a mass; N at a spring scale. */
  readonly value: number;
  /** The mass, g, of a weight; the name of a tester’s unit is beside the figure, it is only compared with itself. */
  readonly massG: number | null;
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
const ROUGH = 0.12;

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
    case 'tester':
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
    const first = readings.findIndex((other) => other.kind === kind);
    const then = readings[first];
    if (then && first < i)
      return [{ usual, usualThen: then.usual, left: ratioOf(reading, then), noise: NOISE[kind] }];
    if (kind === 'tap' && setHz !== undefined)
      return [{ usual, usualThen: 0, left: (reading.value / setHz) ** 2, noise: ROUGH }];
    if (kind === 'spring scale')
      return [{ usual, usualThen: 0, left: reading.value / setN, noise: NOISE[kind] }];
    return [];
  });
}

/**
 * Whether the tension that is said rests on a tap that was never calibrated.
 *
 * @example
 * isRough([{ kind: 'tap', value: 500, massG: null }]) // true
 */
export const isRough = (readings: readonly Pick<Reading, 'kind'>[]): boolean =>
  readings.length > 0 && readings.every(({ kind }) => kind === 'tap') && readings.length < 2;
