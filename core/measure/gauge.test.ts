import { describe, expect, it } from 'vitest';
import { formatGauge, gaugeNumbers, gaugesOf, parseGauge } from './gauge';
import { newtons } from './units';
import { stretchUnderPull, type Family } from '../terms/family';

describe('gauge numbers', () => {
  // The ranges are from memory; that they overlap, and that a higher number is thinner, is common practice.
  it('tell an overlap honestly', () => {
    expect(gaugeNumbers(1.25)).toEqual(['16L']);
    expect(gaugeNumbers(1.24)).toEqual(['16L', '17']);
    expect(gaugeNumbers(1.26)).toEqual(['16', '16L']);
    expect(gaugeNumbers(1.3)).toEqual(['16']);
    expect(gaugeNumbers(1.335)).toEqual([]);
    expect(formatGauge(1.24)).toBe('1.24 mm (16L or 17)');
    expect(formatGauge(1.335)).toBe('1.33 mm');
  });

  it('run backwards: higher is thinner', () => {
    const middles = gaugesOf('tennis').map(({ minMm, maxMm }) => minMm + maxMm);
    expect(middles).toEqual(middles.toSorted((a, b) => b - a));
  });

  it('are read with their thickness', () => {
    expect(parseGauge('16L', 'tennis')).toEqual({ ok: true, value: 1.24 });
    expect(parseGauge('16l', 'tennis')).toEqual({ ok: true, value: 1.24 });
    expect(parseGauge('1,25 mm', 'tennis')).toEqual({ ok: true, value: 1.25 });
    expect(parseGauge('0.68', 'badminton')).toEqual({ ok: true, value: 0.68 });
    expect(parseGauge('22', 'badminton')).toEqual({ ok: true, value: 0.65 });
    // Finer than strings are sold by: it is kept as it is shown everywhere.
    expect(parseGauge('1.247', 'tennis')).toEqual({ ok: true, value: 1.25 });
  });

  it.each([
    ['0.68', 'tennis', 'is no tennis string'],
    ['1.25', 'badminton', 'is no badminton string'],
    ['22', 'tennis', '1.25, or a gauge number'],
    ['thin', 'squash', '1.25, or a gauge number'],
    ['', 'badminton', '0.68'],
  ] as const)('refuse %j in %s', (typed, sport, part) => {
    const read = parseGauge(typed, sport);
    expect(read.ok ? '' : read.problem).toContain(part);
  });
});

describe('stretch under pull', () => {
  // Common practice, no source: soft strings give more than monofilament, aramid hardly at all.
  it('keeps the order of the families', () => {
    const of = (family: Family) => stretchUnderPull(family, 1.28, newtons(23.5, 'kg'));
    expect(of('multifilament')).toBeGreaterThan(of('monofilament'));
    expect(of('monofilament')).toBeGreaterThan(of('aramid'));
  });
});
