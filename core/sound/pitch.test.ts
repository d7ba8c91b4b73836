import { describe, expect, it } from 'vitest';
import { chanceFrom } from '../maths/chance';
import { shareOf, tries, waysOf } from '../testing/share';
import { hum, speech, tappedBed, type TappedBed } from '../testing/tapped';
import { bedPitch } from './pitch';
import { peaksOf, spectrumOf } from './spectrum';

const BED: TappedBed = {
  hz: 512.3,
  at: [0.4, 1.1, 1.9],
  seconds: 2.6,
  rate: 44_100,
  decayS: 0.11,
  signalToNoiseDb: 20,
};
const pitchOf = (facts: Partial<TappedBed> = {}, seed = 5, expectedHz?: number) => {
  const bed = { ...BED, ...facts };
  return bedPitch(tappedBed(chanceFrom(seed), bed), bed.rate, expectedHz);
};

describe('a spectrum', () => {
  // Source: a sine of a known frequency; the parabola through log magnitudes under a Hann window (Smith, Spectral Audio
  // Signal Processing) is within a hundredth of a bin at such padding.
  it('finds a sine between its bins', () => {
    for (const hz of [251.7, 440, 1033.3]) {
      const samples = Float32Array.from({ length: 8192 }, (_, i) =>
        Math.sin((2 * Math.PI * hz * i) / 44_100),
      );
      const [peak] = peaksOf(spectrumOf(samples, 44_100), 100, 2000);
      expect(Math.abs((peak?.hz ?? 0) / hz - 1)).toBeLessThan(0.0003);
    }
  });
});

describe('the pitch of a tapped bed', () => {
  // Source: decays whose pitch is known because they were made so, at 20 dB signal to noise, at both usual rates.
  it.each([44_100, 48_000])('is found to half a per cent at %s samples a second', (rate) => {
    const off: number[] = [];
    const pitches = [262, 341.7, 512.3, 655.5, 890, 1290];
    for (const [i, hz] of pitches.entries())
      for (const decayS of waysOf([0.05, 0.14], i)) {
        const pitch = pitchOf({ hz, decayS, rate }, 7 * i + 1);
        expect([hz, decayS, pitch.ok]).toEqual([hz, decayS, true]);
        if (!pitch.ok) continue;
        expect([hz, decayS, pitch.value.sure]).toEqual([hz, decayS, true]);
        off.push(Math.abs(pitch.value.hz / hz - 1));
      }
    expect(Math.max(...off)).toBeLessThan(0.005);
  });

  // Source: decays made so; the frame's own mode of 300 to 400 Hz dies away as a bed does (from memory).
  it('is the bed’s and not a mode of the frame, or it is not sure', () => {
    const beds = [0.2, 0.5, 1, 1.5].flatMap((loud) =>
      [310, 345, 390].flatMap((frameHz) =>
        [470, 540, 640, 760].map((hz, i) => ({ hz, i, frame: { hz: frameHz, loud } })),
      ),
    );
    const heard = shareOf(beds, 5).map(({ hz, i, frame }) => {
      const pitch = pitchOf({ hz, frame }, 3 + i, i % 2 === 0 ? hz * 1.15 : undefined);
      if (!pitch.ok) throw new Error(pitch.problem);
      return { right: Math.abs(pitch.value.hz / hz - 1) < 0.01, sure: pitch.value.sure };
    });
    expect(heard).toHaveLength(tries(48, 10));
    expect(heard.filter(({ right, sure }) => sure && !right)).toEqual([]);
    expect(heard.filter(({ right }) => right).length).toBeGreaterThanOrEqual(tries(46, 10));
  });

  it('is not sure where it is far from what the bed would ring at', () => {
    const pitch = pitchOf({ hz: 1200 }, 5, 763);
    expect(pitch.ok && [pitch.value.sure, pitch.value.note]).toEqual([
      false,
      'It is far from 763 Hz, which this bed would ring near: that may be an overtone.',
    ]);
  });

  it('is the lowest mode, not the handle’s and not a louder one above it', () => {
    const pitch = pitchOf({ handle: 3, second: 2.5 });
    expect(pitch.ok && Math.abs(pitch.value.hz / BED.hz - 1) < 0.005).toBe(true);
  });

  it('is the median of three taps, and says of one and of two that more are better', () => {
    const three = pitchOf();
    expect(three.ok && [three.value.tapsHz.length, three.value.note]).toEqual([
      3,
      'The taps agree.',
    ]);
    const two = pitchOf({ at: [0.4, 1.1] });
    expect(two.ok && two.value.note).toMatch(/^Two taps agree/);
    expect(two.ok && two.value.sure).toBe(false);
    const one = pitchOf({ at: [0.4], seconds: 1 });
    expect(one.ok && one.value.sure).toBe(false);
    expect(one.ok && one.value.note).toMatch(/^One tap/);
  });

  it('is heard in a recording that begins with the tap, and where the tap alone is in it', () => {
    const pitch = pitchOf({ at: [0], seconds: 0.5 });
    expect(pitch.ok && Math.abs(pitch.value.hz / BED.hz - 1) < 0.005).toBe(true);
  });

  it('is not sure where the taps do not agree', () => {
    const chance = chanceFrom(9);
    const [low, high] = [470, 560].map((hz) =>
      tappedBed(chance, { ...BED, hz, at: [0.4], seconds: 1 }),
    );
    const both = Float32Array.from([...(low ?? []), ...(high ?? [])]);
    const pitch = bedPitch(both, 44_100);
    expect(pitch.ok && pitch.value.sure).toBe(false);
    expect(pitch.ok && pitch.value.note).toMatch(/do not agree/);
  });

  it('is found in a minute of recording, and in one with hum in it', () => {
    const at = Array.from({ length: 12 }, (_, i) => 2 + 4.7 * i);
    const minute = pitchOf({ at, seconds: 60 });
    expect(minute.ok && Math.abs(minute.value.hz / BED.hz - 1) < 0.005).toBe(true);
    const taps = tappedBed(chanceFrom(3), BED);
    const humming = hum(BED.seconds, BED.rate);
    const pitch = bedPitch(
      taps.map((sample, i) => sample + 0.05 * (humming[i] ?? 0)),
      BED.rate,
    );
    expect(pitch.ok && Math.abs(pitch.value.hz / BED.hz - 1) < 0.005).toBe(true);
  });

  it.each([
    ['silence', new Float32Array(44_100), /only silence/],
    ['next to nothing', new Float32Array(500), /too short/],
    ['an hour', new Float32Array(44_100 * 62), /more than 60 seconds/],
    ['speech', speech(chanceFrom(2), 4, 44_100), /No tap stands out|no bed that rings/],
    ['hum', hum(3, 44_100), /No tap stands out|no bed that rings/],
    ['what is no number', Float32Array.from({ length: 44_100 }, () => NaN), /no sound/],
    [
      'what is cut off',
      tappedBed(chanceFrom(1), { ...BED, loud: 6 }).map((x) => Math.max(-1, Math.min(1, x))),
      /cut off/,
    ],
  ])('is not made up of %s', (_, samples, sentence) => {
    const pitch = bedPitch(samples, 44_100);
    expect(pitch.ok ? `${pitch.value.hz}` : pitch.problem).toMatch(sentence);
  });
});
