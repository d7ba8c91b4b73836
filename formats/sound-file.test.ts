import { describe, expect, it } from 'vitest';
import wavefile from 'wavefile';
import { bedPitch } from '@/core/sound/pitch';
import { chanceFrom } from '@/core/maths/chance';
import { tappedBed } from '@/core/testing/tapped';
import { readSound } from './sound-file';

const samples = tappedBed(chanceFrom(8), {
  hz: 540,
  at: [0.3, 0.9],
  seconds: 1.5,
  rate: 48_000,
  decayS: 0.1,
  signalToNoiseDb: 25,
});

function fileOf(depth: '8' | '16' | '24' | '32f', channels: 1 | 2): Uint8Array {
  const full = { '8': 127, '16': 32_767, '24': 8_388_607, '32f': 1 }[depth];
  const shift = depth === '8' ? 128 : 0;
  const whole = Array.from(samples, (sample) =>
    depth === '32f' ? sample : Math.round(sample * full) + shift,
  );
  const file = new wavefile.WaveFile();
  file.fromScratch(channels, 48_000, depth, channels === 1 ? whole : [whole, whole]);
  return file.toBuffer();
}

/** By hand, as RIFF says it: header, format and samples of 16 bits (Multimedia Programming Interface and Data Specifications 1.0). */
function byHand(): Uint8Array {
  const data = Buffer.alloc(44 + 2 * samples.length);
  data.write('RIFF', 0);
  data.writeUInt32LE(36 + 2 * samples.length, 4);
  data.write('WAVEfmt ', 8);
  data.writeUInt32LE(16, 16);
  data.writeUInt16LE(1, 20);
  data.writeUInt16LE(1, 22);
  data.writeUInt32LE(48_000, 24);
  data.writeUInt32LE(96_000, 28);
  data.writeUInt16LE(2, 32);
  data.writeUInt16LE(16, 34);
  data.write('data', 36);
  data.writeUInt32LE(2 * samples.length, 40);
  samples.forEach((sample, i) => data.writeInt16LE(Math.round(sample * 32_767), 44 + 2 * i));
  return data;
}

describe('a sound file', () => {
  it.each([
    ['8', 1],
    ['16', 2],
    ['24', 1],
    ['32f', 2],
  ] as const)('of %s bits in %s channels rings as it did', (depth, channels) => {
    const sound = readSound(fileOf(depth, channels));
    const pitch = sound.ok && bedPitch(sound.value.samples, sound.value.rate);
    expect(pitch && pitch.ok && Math.abs(pitch.value.hz / 540 - 1) < 0.005).toBe(true);
  });

  it('written by hand as the specification says is read sample by sample', () => {
    const sound = readSound(byHand());
    expect(sound.ok && sound.value.rate).toBe(48_000);
    const off =
      sound.ok &&
      Math.max(...samples.map((each, i) => Math.abs(each - (sound.value.samples[i] ?? 9))));
    expect(off).toBeLessThan(1e-4);
  });

  it.each([
    ['nothing', new Uint8Array()],
    ['text', Buffer.from('RIFF but not really a WAVE')],
    ['a header alone', Buffer.from(byHand().subarray(0, 20))],
  ])('is not made of %s', (_, bytes) => {
    const sound = readSound(bytes);
    expect(!sound.ok && sound.problem).toMatch(/no sound that can be read/);
  });
});
