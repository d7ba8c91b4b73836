import { describe, expect, it } from 'vitest';
import { parseGauge } from '@/core/gauge';
import { DEMO_STRINGS } from './strings';

describe('the sample world', () => {
  it('has strings of thicknesses that their sport knows', () => {
    for (const { gaugesMm, sport } of DEMO_STRINGS)
      for (const mm of gaugesMm) expect(parseGauge(mm.toFixed(2), sport).ok).toBe(true);
  });
});
