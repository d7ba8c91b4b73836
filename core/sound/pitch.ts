/** The pitch at which a tapped bed rings. */
import { failure, success, type Result } from '../terms/result';
import { middleOf, peaksOf, spectrumOf, type Peak } from './spectrum';
import { tapsIn, type Tap } from './taps';

export interface BedPitch {
  /** The median of the taps. */
  readonly hz: number;
  /** Each tap’s own, in their order; those in which nothing rang are left out. */
  readonly tapsHz: readonly number[];
  /** Whether it can be relied on. */
  readonly sure: boolean;
  /** What to know of it, in a sentence. */
  readonly note: string;
}

/**
 * Beds ring between these, Hz: a very loose tennis bed, a very tight badminton bed (up to 1.3 kHz). Below lie the handle, the frame and the
 * room. From memory, and from `lowestPitch` of beds at the extremes of the trade, 6 and 37 kg.
 */
const LOWEST_HZ = 240;
/** Overtones are heard up to there. */
const HIGHEST_HZ = 3000;
const HIGHEST_BED_HZ = 1500;
/** The knock itself is over after that, s. */
const KNOCK_S = 0.006;
/** What is this much softer than the loudest is a neighbour’s, not the bed’s lowest mode. */
const WITHIN_DB = 16;
/** A peak stands out of the middle of its spectrum by so much; where it is sure, by more. */
const OUT_DB = 12;
const SURE_DB = 18;
/** What rings dies away: by so much from the first to the second half of a tap. Hum and speech do not. */
const DIES_DB = 3;
/** Closer than that two peaks are one, the shoulder of a window. */
const CLOSE = 0.06;
/** Taps that agree lie within this share of their median. */
const AGREE = 0.01;
/** So many taps make a median. */
const ENOUGH = 3;

/** How loud a frequency is in some samples, dB (Goertzel). */
function loudAt(samples: Float32Array, rate: number, hz: number): number {
  const turn = 2 * Math.cos((2 * Math.PI * hz) / rate);
  let one = 0;
  let two = 0;
  for (let i = 0; i < samples.length; i++) {
    const next = (samples[i] as number) + turn * one - two;
    two = one;
    one = next;
  }
  const power = (one * one + two * two - turn * one * two) / samples.length ** 2;
  return 10 * Math.log10(Math.max(1e-30, power));
}

/** Both halves under a window each, so that no neighbour leaks into a pitch. */
function halves(ring: Float32Array): readonly [Float32Array, Float32Array] {
  const half = Math.floor(ring.length / 2);
  const windowed = (from: number) =>
    Float32Array.from(
      ring.subarray(from, from + half),
      (sample, i) => sample * 0.5 * (1 - Math.cos((2 * Math.PI * i) / Math.max(1, half - 1))),
    );
  return [windowed(0), windowed(half)];
}

/** Modes of a bed beside its lowest, as those of a round membrane: zeros of Bessel functions over 2.4048 (handbook values). */
const OVERTONES = [1.5933, 2.1355, 2.2954, 2.6531, 2.9173] as const;
/** A head is no circle: its modes lie so near these. From memory. */
const NEAR_OVERTONE = 0.05;
/**
 * A bed rings within this share of what the net of its strings rings at: it may have lost half of its tension and more, and
 * the model lies above what rackets ring at. From memory.
 */
const AS_EXPECTED = [0.45, 1.3] as const;
/** So many overtones more than any other candidate has leave no doubt which is the bed. */
const AHEAD = 2;

interface Rung {
  readonly hz: number;
  /** By how much it stands out, dB. */
  readonly out: number;
  /** Another that may be the bed as well. */
  readonly rivalHz: number | undefined;
}

const isNear = (hz: number, to: number): boolean => Math.abs(hz / to - 1) <= NEAR_OVERTONE;

/** How many of a bed's overtones ring above a candidate. */
const overtonesOf = (hz: number, rings: readonly Peak[]): number =>
  OVERTONES.filter((share) => rings.some((peak) => isNear(peak.hz, share * hz))).length;

/** Which of several modes is the lowest of the bed: the one whose overtones ring, among those that it can be at all. */
function lowestMode(
  modes: readonly Peak[],
  rings: readonly Peak[],
  expectedHz: number | undefined,
): { readonly mode: Peak; readonly rival: Peak | undefined } | undefined {
  const [least, most] = AS_EXPECTED.map((share) => share * (expectedHz ?? 0));
  const possible = modes.filter(
    ({ hz }) => expectedHz === undefined || (hz >= (least as number) && hz <= (most as number)),
  );
  // Where none can be, the likeliest of all is said, and that it is not expected.
  const ranked = (possible.length > 0 ? possible : modes)
    .map((mode) => ({ mode, overtones: overtonesOf(mode.hz, rings) }))
    .toSorted((x, y) => y.overtones - x.overtones || x.mode.hz - y.mode.hz);
  const [first, ...others] = ranked;
  if (!first) return undefined;
  // What is an overtone of it is no rival.
  const rival = others.find(
    ({ mode, overtones }) =>
      first.overtones - overtones < AHEAD &&
      !OVERTONES.some((share) => isNear(mode.hz, share * first.mode.hz)),
  );
  return { mode: first.mode, rival: rival?.mode };
}

/** The lowest mode of one tap; undefined where nothing rings in it. */
function rungIn(
  samples: Float32Array,
  rate: number,
  { from, to }: Tap,
  expectedHz: number | undefined,
): Rung | undefined {
  const ring = samples.subarray(from + Math.round(KNOCK_S * rate), to);
  const spectrum = spectrumOf(ring, rate);
  const middle = middleOf(spectrum, LOWEST_HZ, HIGHEST_HZ);
  const [first, second] = halves(ring);
  const dies = ({ hz }: Peak): boolean =>
    loudAt(first, rate, hz) - loudAt(second, rate, hz) >= DIES_DB;
  const rings = peaksOf(spectrum, LOWEST_HZ, HIGHEST_HZ)
    .filter(({ db }) => db - middle >= OUT_DB)
    .slice(0, 24)
    .filter(dies);
  const [loudest] = rings;
  if (!loudest) return undefined;
  const modes = rings
    .filter(({ db, hz }) => db >= loudest.db - WITHIN_DB && hz <= HIGHEST_BED_HZ)
    // A shoulder of a louder peak is no mode of its own.
    .filter(
      (peak) =>
        !rings.some((other) => other.db > peak.db + 6 && Math.abs(other.hz / peak.hz - 1) < CLOSE),
    );
  const found = lowestMode(modes, rings, expectedHz);
  return found && { hz: found.mode.hz, out: found.mode.db - middle, rivalHz: found.rival?.hz };
}

const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1
    ? (sorted[half] as number)
    : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2;
};

/**
 * The lowest pitch of a bed that was tapped in a recording of one channel: of the peaks that ring and die away and are
 * nearly as loud as the loudest, the one whose overtones ring above it as a bed's do. Sure where it stands out well, no
 * other may be the bed, it is near what is expected, and three taps agree.
 *
 * Source: modes of a membrane (handbook values); a mode of the frame, 300 to 400 Hz, has no such overtones. What belongs to
 * handle and room is lower than any bed.
 * Errors: those of `tapsIn`, and taps in which nothing rings.
 *
 * @param samples −1 to 1
 * @param rate of them a second
 * @param expectedHz what its strings would ring at with what was set; left out where nobody knows the bed
 *
 * @example
 * bedPitch(Float32Array.from({ length: 22050 }, (_, i) => i < 4410 ? 0 : 0.5 * Math.exp(-(i - 4410) / 2000) * Math.sin(i * 0.0712379)), 44100).value.hz.toFixed(0) // '500'
 */
export function bedPitch(
  samples: Float32Array,
  rate: number,
  expectedHz?: number,
): Result<BedPitch> {
  const taps = tapsIn(samples, rate);
  if (!taps.ok) return taps;
  const rung = taps.value.flatMap((tap) => rungIn(samples, rate, tap, expectedHz) ?? []);
  if (rung.length === 0) return failure('sound.no ring');
  const tapsHz = rung.map(({ hz }) => hz);
  const hz = median(tapsHz);
  const agreeing = tapsHz.filter((each) => Math.abs(each / hz - 1) <= AGREE).length;
  const rivals = rung.flatMap(({ rivalHz }) => rivalHz ?? []);
  const [least, most] = AS_EXPECTED;
  const heard: Heard = {
    taps: tapsHz.length,
    agree: agreeing * 3 >= tapsHz.length * 2,
    clear: median(rung.map(({ out }) => out)) >= SURE_DB,
    hz,
    rivalHz: rivals.length * 2 >= rung.length ? median(rivals) : undefined,
    expectedHz,
    isExpected: expectedHz === undefined || (hz >= least * expectedHz && hz <= most * expectedHz),
  };
  const { agree, clear, rivalHz, isExpected } = heard;
  const sure = agree && clear && isExpected && rivalHz === undefined && heard.taps >= ENOUGH;
  return success({ hz, tapsHz, sure, note: noteOf(heard) });
}

interface Heard {
  readonly taps: number;
  readonly agree: boolean;
  readonly clear: boolean;
  readonly hz: number;
  readonly rivalHz: number | undefined;
  readonly expectedHz: number | undefined;
  readonly isExpected: boolean;
}

function noteOf({ taps, agree, clear, hz, rivalHz, expectedHz, isExpected }: Heard): string {
  if (!agree)
    return 'The taps do not agree: tap the middle of the bed each time, without a damper.';
  if (rivalHz !== undefined)
    return `${Math.round(rivalHz)} Hz rings beside it, and either may be the bed: hold the racket at its handle alone, and tap the very middle.`;
  if (!isExpected && expectedHz !== undefined)
    return `It is far from ${Math.round(expectedHz)} Hz, which this bed would ring near: ${hz < expectedHz ? 'that may be the frame' : 'that may be an overtone'}.`;
  if (!clear) return 'It hardly stands out of the noise: hold the microphone nearer.';
  return taps >= ENOUGH
    ? 'The taps agree.'
    : taps === 1
      ? 'One tap: three are better, and their median counts.'
      : 'Two taps agree: a third makes it a median.';
}
