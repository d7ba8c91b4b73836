/** Sound files as samples of one channel. */
import wavefile from 'wavefile';
import { failure, success, type Result } from '@/core/terms/result';

export interface Sound {
  /** −1 to 1. */
  readonly samples: Float32Array;
  readonly rate: number;
}

/** A minute of two channels at 96 kHz in 32 bits is less. */
const MOST_BYTES = 50_000_000;
const RATES = [8000, 192_000] as const;

/** The mean of the channels. */
function oneChannel(channels: readonly ArrayLike<number>[]): Float32Array {
  const [first] = channels;
  return Float32Array.from(
    { length: first?.length ?? 0 },
    (_, i) => channels.reduce((sum, channel) => sum + (channel[i] ?? 0), 0) / channels.length,
  );
}

/**
 * A WAV file (RIFF; PCM of 8 to 32 bits, floating point, A-law and µ-law) as samples. Errors: what is none, and what is longer
 * than anybody taps.
 */
export function readSound(bytes: Uint8Array): Result<Sound> {
  if (bytes.byteLength > MOST_BYTES) return failure('sound.too long', { most: 60 });
  try {
    const file = new wavefile.WaveFile(bytes);
    const { sampleRate, audioFormat } = file.fmt as { sampleRate: number; audioFormat: number };
    if (sampleRate < RATES[0] || sampleRate > RATES[1]) return failure('sound.unread');
    if (audioFormat === 6) file.fromALaw();
    if (audioFormat === 7) file.fromMuLaw();
    if (file.bitDepth !== '32f' && file.bitDepth !== '64') file.toBitDepth('32f');
    const read = file.getSamples(false, Float64Array) as unknown as Float64Array | Float64Array[];
    return success({ samples: oneChannel(Array.isArray(read) ? read : [read]), rate: sampleRate });
  } catch {
    return failure('sound.unread');
  }
}
