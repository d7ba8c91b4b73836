/** What a piece of sound is made of. */
import FFT from 'fft.js';

export interface Spectrum {
  /** Width of a bin, Hz. */
  readonly binHz: number;
  /** Power by bin, decibels. */
  readonly db: Float64Array;
}

export interface Peak {
  readonly hz: number;
  readonly db: number;
}

/** Zeros after the sound, so that bins lie closer. */
const PADDING = 2;
/** Nothing at all, dB: silence has no logarithm. */
const NOTHING = 1e-30;

const powerOfTwo = (least: number): number => 2 ** Math.ceil(Math.log2(Math.max(2, least)));

const transforms = new Map<number, FFT>();

/** Its tables are long, and the same for every sound of a length. */
function transformOf(size: number): FFT {
  const known = transforms.get(size) ?? new FFT(size);
  transforms.set(size, known);
  return known;
}

/**
 * The spectrum of samples under a Hann window.
 *
 * @param samples −1 to 1
 * @param rate of them a second
 *
 * @example
 * spectrumOf(Float32Array.from([0, 0, 0, 0]), 44100).db.length // 5
 */
export function spectrumOf(samples: Float32Array, rate: number): Spectrum {
  const size = powerOfTwo(samples.length * PADDING);
  const input = new Array<number>(size).fill(0);
  const last = Math.max(1, samples.length - 1);
  for (let i = 0; i < samples.length; i++)
    input[i] = (samples[i] as number) * 0.5 * (1 - Math.cos((2 * Math.PI * i) / last));
  const fft = transformOf(size);
  const out = fft.createComplexArray() as number[];
  fft.realTransform(out, input);
  const db = Float64Array.from({ length: size / 2 + 1 }, (_, i) => {
    const [re, im] = [out[2 * i] as number, out[2 * i + 1] as number];
    return 10 * Math.log10(Math.max(NOTHING, re * re + im * im));
  });
  return { binHz: rate / size, db };
}

/**
 * The peaks of a spectrum between two frequencies, the loudest first; each is put between its bins by the parabola through
 * its three decibels.
 *
 * Source: J. O. Smith, Spectral Audio Signal Processing: a parabola through log magnitudes.
 *
 * @example
 * peaksOf({ binHz: 10, db: Float64Array.from([0, 5, 9, 5, 0]) }, 0, 40)[0].hz // 20
 */
export function peaksOf({ binHz, db }: Spectrum, fromHz: number, toHz: number): readonly Peak[] {
  const peaks: Peak[] = [];
  const [from, to] = [
    Math.max(1, Math.ceil(fromHz / binHz)),
    Math.min(db.length - 2, Math.floor(toHz / binHz)),
  ];
  for (let i = from; i <= to; i++) {
    const [a, b, c] = [db[i - 1] as number, db[i] as number, db[i + 1] as number];
    if (b <= a || b < c) continue;
    const off = (a - c) / (2 * (a - 2 * b + c));
    peaks.push({ hz: (i + off) * binHz, db: b - ((a - c) * off) / 4 });
  }
  return peaks.toSorted((one, other) => other.db - one.db);
}

/**
 * The middle of a spectrum between two frequencies, dB: what a peak has to stand out of.
 *
 * @example
 * middleOf({ binHz: 10, db: Float64Array.from([0, 1, 9, 2, 0]) }, 0, 40) // 1
 */
export function middleOf({ binHz, db }: Spectrum, fromHz: number, toHz: number): number {
  const band = db.slice(Math.ceil(fromHz / binHz), Math.floor(toHz / binHz) + 1).toSorted();
  return band[Math.floor(band.length / 2)] ?? -300;
}
