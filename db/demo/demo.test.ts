import { describe, expect, it } from 'vitest';
import { studyFrame } from '@/core/bed';
import { frameSpecSchema } from '@/core/frame';
import { parseGauge } from '@/core/gauge';
import { DEMO_FRAMES } from './frames';
import { DEMO_STRINGS } from './strings';

describe('the sample world', () => {
  it.each(DEMO_FRAMES.map(({ name, spec }) => [name, spec] as const))(
    '%s is a sound frame within the federation’s limits',
    (_, spec) => {
      expect(frameSpecSchema.parse(spec)).toEqual(spec);
      expect(studyFrame(spec)).toMatchObject({ problems: [], cautions: [], assumed: [] });
    },
  );
  it('has strings of thicknesses that their sport knows', () => {
    for (const { gaugesMm, sport } of DEMO_STRINGS)
      for (const mm of gaugesMm) expect(parseGauge(mm.toFixed(2), sport).ok).toBe(true);
  });
});
