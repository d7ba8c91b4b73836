import { describe, expect, it } from 'vitest';
import { studyFrame } from '@/core/frame/bed';
import { LIBRARY } from '@/core/frame/library';
import { usualChoice } from '@/core/cut/methods';
import { usualJob } from '@/core/testing/jobs';
import { demoBench } from './bench';
import { chanceFrom } from '@/core/maths/chance';
import { parseGauge } from '@/core/measure/gauge';
import { DEMO_STRINGS } from './strings';

describe('the sample world', () => {
  it('has strings of thicknesses that their sport knows', () => {
    for (const { gaugesMm, sport } of DEMO_STRINGS)
      for (const mm of gaugesMm) expect(parseGauge(mm.toFixed(2), sport).ok).toBe(true);
  });
});

it('a job at the bench is timed, pulled near its figures, and the same every time', () => {
  const { bed } = studyFrame(LIBRARY[0]!.spec);
  if (!bed) throw new Error('The first frame of the library makes no bed.');
  const job = usualJob({ bed, choice: usualChoice(bed, false) });
  const of = (seed: number) => demoBench(chanceFrom(seed), job);
  expect(of(3)).toEqual(of(3));
  const benches = Array.from({ length: 30 }, (_, seed) => of(seed));
  for (const bench of benches) {
    expect(bench?.pulls).toHaveLength(bed.spec.pattern.mains + bed.spec.pattern.crosses);
    for (const { askedN, pulledN } of bench?.pulls ?? [])
      expect(Math.abs((pulledN ?? 0) - askedN)).toBeLessThan(1);
    expect(bench?.minutes).toBeGreaterThan(15);
    expect(bench?.minutes).toBeLessThan(90);
  }
  const amiss = benches.filter((bench) => (bench?.mishaps.length ?? 0) > 0).length;
  expect(amiss).toBeGreaterThan(0);
  expect(amiss).toBeLessThan(15);
});
