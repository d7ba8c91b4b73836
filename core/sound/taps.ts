/** Where in a recording somebody tapped a bed, or why there is no tap in it. */
import { failure, success, type Result } from '../terms/result';

/** From the first sample of a tap to the next tap, or to where it has died away. */
export interface Tap {
  readonly from: number;
  readonly to: number;
}

/** Loudness is looked at in pieces of so long, s. */
const PIECE_S = 0.004;
/** A tap is so much louder than what was just before it. */
const JUMP_DB = 10;
/** What is before it is looked at for so long. */
const BEFORE_S = 0.04;
/** It is loudest within this time, give or take so much. */
const RISES_S = 0.016;
const RISES_DB = 2;
/** Two taps are so far apart at least. */
const APART_S = 0.12;
/** Softer than the loudest tap by more than this it is a knock of something else. */
const SOFTEST_DB = 18;
/** A tap rings no longer. */
const LONGEST_S = 0.5;
const SHORTEST_S = 0.04;
/** Below that there is nothing to be heard, of full scale. */
const SILENCE_DB = -62;
/** Longer is no tap any more, and nothing to be looked at at once. */
const LONGEST_FILE_S = 60;
const SHORTEST_FILE_S = 0.06;
/** So many samples one after the other at full scale were cut off. */
const CUT_RUN = 4;
const FULL = 0.985;
/** A share of the samples that may be cut off, as the knock itself often is. */
const MOST_CUT = 0.002;

const decibels = (power: number): number => 10 * Math.log10(Math.max(power, 1e-14));

/** Mean power of each piece, dB. */
function loudness(samples: Float32Array, piece: number): Float64Array {
  const pieces = Math.floor(samples.length / piece);
  const db = new Float64Array(pieces);
  for (let p = 0; p < pieces; p++) {
    let sum = 0;
    for (let i = p * piece; i < (p + 1) * piece; i++) sum += (samples[i] as number) ** 2;
    db[p] = decibels(sum / piece);
  }
  return db;
}

/** The share of samples that stand in runs at full scale. */
function cutShare(samples: Float32Array): number {
  let cut = 0;
  let run = 0;
  for (const sample of samples) {
    run = Math.abs(sample) >= FULL ? run + 1 : 0;
    if (run === CUT_RUN) cut += CUT_RUN;
    else if (run > CUT_RUN) cut++;
  }
  return cut / samples.length;
}

const loudestOf = (db: Float64Array, from: number, seconds: number): number =>
  db
    .subarray(from, from + Math.max(1, Math.round(seconds / PIECE_S)))
    .reduce((most, each) => Math.max(most, each), -Infinity);

/** What is tapped is loudest at once; a voice rises. */
const isLoudestAtOnce = (db: Float64Array, at: number): boolean =>
  loudestOf(db, at, RISES_S) >= loudestOf(db, at, APART_S) - RISES_DB;

/**
 * The taps of a recording of one channel.
 *
 * Errors: too short, too long, silence, a sound that was cut off, and a sound with no tap in it, as speech or hum.
 *
 * @param samples −1 to 1
 * @param rate of them a second
 *
 * @example
 * tapsIn(new Float32Array(44100), 44100).problem // 'There is only silence in it: hold the microphone near the strings and tap again.'
 */
export function tapsIn(samples: Float32Array, rate: number): Result<readonly Tap[]> {
  const seconds = samples.length / rate;
  if (seconds < SHORTEST_FILE_S) return failure('sound.too short');
  if (seconds > LONGEST_FILE_S + 1) return failure('sound.too long', { most: LONGEST_FILE_S });
  if (!samples.every(Number.isFinite)) return failure('sound.unread');
  const piece = Math.max(1, Math.round(PIECE_S * rate));
  const db = loudness(samples, piece);
  const loudest = db.reduce((most, each) => Math.max(most, each), -Infinity);
  if (loudest < SILENCE_DB) return failure('sound.silence');
  if (cutShare(samples) > MOST_CUT) return failure('sound.cut off');
  const before = Math.round(BEFORE_S / PIECE_S);
  const apart = Math.round(APART_S / PIECE_S);
  const starts: number[] = [];
  for (let p = 0; p < db.length; p++) {
    const here = db[p] as number;
    if (here < loudest - SOFTEST_DB) continue;
    const last = starts.at(-1);
    if (last !== undefined && p - last < apart) continue;
    const quiet = db.slice(Math.max(0, p - before), Math.max(0, p - 1));
    // A recording that begins with a tap was cut out of a longer one.
    const level =
      quiet.length === 0 ? -Infinity : quiet.reduce((sum, each) => sum + each, 0) / quiet.length;
    if (here - level >= JUMP_DB && isLoudestAtOnce(db, p)) starts.push(p);
  }
  const taps = starts.map((start, i): Tap => {
    const next = starts[i + 1];
    const from = start * piece;
    const to = Math.min(
      samples.length,
      next === undefined ? samples.length : (next - 1) * piece,
      from + Math.round(LONGEST_S * rate),
    );
    return { from, to };
  });
  const sound = taps.filter(({ from, to }) => to - from >= SHORTEST_S * rate);
  return sound.length > 0 ? success(sound) : failure('sound.no tap');
}
