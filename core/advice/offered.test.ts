import { describe, expect, it } from 'vitest';
import { adviceCase, lastJob, strungWith } from '../testing/advice-case';
import { newtons } from '../measure/units';
import { climb } from './staircase';
import type { CrossesEnd } from './rule';

const ENDS: CrossesEnd = { shortShare: 0.15, gain: 0.7, measured: false };
const ID = 'crosses end lower';
const strung = strungWith('multifilament');
const about = (crossesEnd?: CrossesEnd) => ({ ...adviceCase(), ...(crossesEnd && { crossesEnd }) });
const stepOf = (...[given, switched]: [ReturnType<typeof about>, Record<string, boolean>?]) =>
  climb(given, strung, 'kg', switched).steps.find(({ id }) => id === ID);

describe('crosses that end below their figure', () => {
  it('are offered a step, off by default, which moves the crosses alone once it is taken', () => {
    const offered = stepOf(about(ENDS));
    expect(offered?.state).toEqual({ is: 'offered' });
    expect(offered?.confidence).toBe('loose');
    const without = climb(about(ENDS), strung, 'kg').exact;
    expect(without).toEqual(climb(about(), strung, 'kg').exact);
    const taken = climb(about(ENDS), strung, 'kg', { [ID]: true }).exact;
    expect(taken.mainN).toBe(without.mainN);
    // A kilogram at most: the whole would be 15 % of 24 kg over 0.7, five of them.
    expect(taken.crossN - without.crossN).toBeCloseTo(newtons(1, 'kg'), 6);
  });

  it('are not offered what is missing where nobody worked it out, or it is less than half a kilogram', () => {
    expect(stepOf(about())).toBeUndefined();
    expect(stepOf(about({ ...ENDS, shortShare: 0.01 }))).toBeUndefined();
    expect(stepOf(about({ ...ENDS, gain: 0 }))).toBeUndefined();
  });

  it('are not raised again where the last job is the start: it was found with whatever was done then', () => {
    const last = lastJob('multifilament', 24, 23);
    expect(stepOf({ ...about(ENDS), last })).toBeUndefined();
  });
});
