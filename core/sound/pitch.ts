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
 * Beds ring between these, Hz: a very loose tennis bed, a very tight badminton bed. Below lie the handle, the frame and the
 * room. From memory, and from `lowestPitch` of beds at the extremes of the trade, 6 and 37 kg.
 */
const LOWEST_HZ = 240;
const HIGHEST_HZ = 2200;
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

interface Rung {
  readonly hz: number;
  /** By how much it stands out, dB. */
  readonly out: number;
}

/** The lowest mode of one tap; undefined where nothing rings in it. */
function rungIn(samples: Float32Array, rate: number, { from, to }: Tap): Rung | undefined {
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
    .filter(({ db }) => db >= loudest.db - WITHIN_DB)
    // A shoulder of a louder peak is no mode of its own.
    .filter(
      (peak) =>
        !rings.some((other) => other.db > peak.db + 6 && Math.abs(other.hz / peak.hz - 1) < CLOSE),
    );
  const lowest = modes.reduce((low, each) => (each.hz < low.hz ? each : low), loudest);
  return { hz: lowest.hz, out: lowest.db - middle };
}

const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1
    ? (sorted[half] as number)
    : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2;
};

/**
 * The lowest pitch of a bed that was tapped in a recording of one channel: the lowest peak that rings and dies away, among
 * those that are nearly as loud as the loudest. Sure where it stands out well and the taps agree.
 *
 * Source: a bed’s lowest mode is the loudest in the middle of it and the lowest of all (`ageing/net-pitch`); what belongs to
 * handle and room is lower than any bed.
 * Errors: those of `tapsIn`, and taps in which nothing rings.
 *
 * @param samples −1 to 1
 * @param rate of them a second
 *
 * @example
 * bedPitch(Float32Array.from({ length: 22050 }, (_, i) => i < 4410 ? 0 : 0.5 * Math.exp(-(i - 4410) / 2000) * Math.sin(i * 0.0712379)), 44100).value.hz.toFixed(0) // '500'
 */
export function bedPitch(samples: Float32Array, rate: number): Result<BedPitch> {
  const taps = tapsIn(samples, rate);
  if (!taps.ok) return taps;
  const rung = taps.value.flatMap((tap) => rungIn(samples, rate, tap) ?? []);
  if (rung.length === 0) return failure('sound.no ring');
  const tapsHz = rung.map(({ hz }) => hz);
  const hz = median(tapsHz);
  const agreeing = tapsHz.filter((each) => Math.abs(each / hz - 1) <= AGREE).length;
  const agree = agreeing * 3 >= tapsHz.length * 2;
  const clear = median(rung.map(({ out }) => out)) >= SURE_DB;
  return success({ hz, tapsHz, sure: agree && clear, note: noteOf(tapsHz.length, agree, clear) });
}

function noteOf(taps: number, agree: boolean, clear: boolean): string {
  if (!agree)
    return 'The taps do not agree: tap the middle of the bed each time, without a damper.';
  if (!clear) return 'It hardly stands out of the noise: hold the microphone nearer.';
  return taps >= ENOUGH
    ? 'The taps agree.'
    : taps === 1
      ? 'One tap: three are better, and their median counts.'
      : 'Two taps agree: a third makes it a median.';
}
