/** Sounds made for tests: a bed that is tapped, and what is no bed. */
import type { Chance } from '../maths/chance';

export interface TappedBed {
  readonly hz: number;
  /** Where each tap begins, s. */
  readonly at: readonly number[];
  readonly seconds: number;
  readonly rate: number;
  /** Until a mode is down to 1/e, s. */
  readonly decayS: number;
  /** Power of the ring at its loudest over that of the noise, dB. */
  readonly signalToNoiseDb: number;
  /** Loudness of the handle beside the bed. */
  readonly handle?: number;
  /** Loudness of the second mode beside the first. */
  readonly second?: number;
  readonly loud?: number;
  /** A mode of the frame that dies away as the bed does: its pitch, and how loud it is beside the bed. */
  readonly frame?: { readonly hz: number; readonly loud: number };
}

/** Modes of a round membrane beside its lowest: zeros of the Bessel functions over 2.4048 (handbook values). */
const MODES = [1, 1.5933, 2.1355, 2.2954, 2.6531, 2.9173] as const;
const AMPLITUDES = [1, 0.7, 0.45, 0.5, 0.25, 0.3] as const;
const HANDLE_HZ = 148;

const noise = (chance: Chance): number =>
  Math.sqrt(-2 * Math.log(1 - chance.next())) * Math.cos(2 * Math.PI * chance.next());

/** The sound of a bed that is tapped: its modes and the handle’s die away, each faster than the one below; noise all the time. */
export function tappedBed(chance: Chance, bed: TappedBed): Float32Array {
  const {
    hz,
    at,
    seconds,
    rate,
    decayS,
    signalToNoiseDb,
    handle = 0.6,
    second = 1,
    loud = 0.3,
    frame = { hz: 350, loud: 0 },
  } = bed;
  const modes = [
    ...MODES.map((mode, i) => ({
      hz: hz * mode,
      amplitude: (AMPLITUDES[i] ?? 0) * (i === 1 ? second / 0.7 : 1),
      decayS: decayS / Math.sqrt(mode),
      phase: 2 * Math.PI * chance.next(),
    })),
    { hz: HANDLE_HZ, amplitude: handle, decayS: 0.12, phase: 1 },
    { hz: frame.hz, amplitude: frame.loud, decayS, phase: 2 },
  ];
  const noiseRms = Math.sqrt(0.5) * 10 ** (-signalToNoiseDb / 20);
  return Float32Array.from({ length: Math.round(seconds * rate) }, (_, i) => {
    const t = i / rate;
    let sum = noiseRms * noise(chance);
    for (const start of at) {
      const since = t - start;
      if (since < 0 || since > 1.2) continue;
      for (const mode of modes)
        sum +=
          mode.amplitude *
          Math.exp(-since / mode.decayS) *
          Math.sin(2 * Math.PI * mode.hz * since + mode.phase);
    }
    return loud * 0.5 * sum;
  });
}

/** Voiced speech: harmonics of a voice that rises and falls, in syllables. */
export function speech(chance: Chance, seconds: number, rate: number): Float32Array {
  let phase = 0;
  return Float32Array.from({ length: Math.round(seconds * rate) }, (_, i) => {
    const t = i / rate;
    phase += (2 * Math.PI * (130 + 25 * Math.sin(2 * Math.PI * 1.3 * t))) / rate;
    const syllable = Math.max(0, Math.sin(2 * Math.PI * 2.2 * t)) ** 0.7;
    const voice = [1, 0.8, 0.6, 0.5, 0.35, 0.2].reduce(
      (sum, amplitude, n) => sum + amplitude * Math.sin((n + 1) * phase),
      0,
    );
    return 0.08 * syllable * voice + 0.002 * noise(chance);
  });
}

/** What hums: the mains and what it drives. */
export const hum = (seconds: number, rate: number): Float32Array =>
  Float32Array.from({ length: Math.round(seconds * rate) }, (_, i) => {
    const t = (2 * Math.PI * i) / rate;
    return (
      0.2 * Math.sin(50 * t) +
      0.1 * Math.sin(100 * t) +
      0.08 * Math.sin(300 * t) +
      0.05 * Math.sin(550 * t)
    );
  });
