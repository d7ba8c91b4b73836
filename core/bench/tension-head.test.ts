import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { familySchema } from '../terms/family';
import {
  afterPulling,
  AT_REST,
  GIVES,
  pullIn,
  type HeadPull,
  type HeadState,
} from './tension-head';

const PULL: HeadPull = { pull: 'constant pull', family: 'monofilament', setN: 230 };

function run(of: HeadPull, seconds: number, from: HeadState = AT_REST): HeadState {
  let state = from;
  for (let t = 0; t < seconds; t += 0.05) state = afterPulling(state, of, 0.05);
  return state;
}

describe('a tension head', () => {
  it('draws until its figure is reached, then holds', () => {
    expect(run(PULL, 0.5).mode).toBe('pulling');
    const reached = run(PULL, 2);
    expect(reached.mode).toBe('holding');
    expect(pullIn(reached)).toBeCloseTo(230, 0);
  });

  // Source: common practice (constant pull keeps pulling as the string creeps; a lock-out stops and
  // the string relaxes, by 5 to 10 %).
  it('follows the string at constant pull, and leaves it to relax behind a lock', () => {
    expect(pullIn(run(PULL, 60))).toBeGreaterThan(229);
    const locked = pullIn(run({ ...PULL, pull: 'lock-out' }, 60)) / 230;
    expect(locked).toBeGreaterThan(0.9 - 1e-9);
    expect(locked).toBeLessThan(0.95);
  });

  it('gives most with monofilament and least with aramid; gut holds best of what is played', () => {
    const order = familySchema.options.toSorted((a, b) => GIVES[b] - GIVES[a]);
    expect([order[0], order.at(-2), order.at(-1)]).toEqual([
      'monofilament',
      'natural gut',
      'aramid',
    ]);
  });

  it('slips, stalls and overshoots when it is told to', () => {
    const slipped = run({ ...PULL, fault: 'slip' }, 3);
    expect(slipped.mode).toBe('faulty');
    expect(pullIn(slipped)).toBeLessThan(0.25 * 230);
    const stalled = run({ ...PULL, fault: 'stall' }, 3);
    expect(stalled.mode).toBe('faulty');
    expect(pullIn(stalled) / 230).toBeGreaterThan(0.5);
    expect(pullIn(stalled) / 230).toBeLessThan(0.7);
    let most = 0;
    let state = AT_REST;
    for (let i = 0; i < 80; i++) {
      state = afterPulling(state, { ...PULL, fault: 'overshoot' }, 0.05);
      most = Math.max(most, pullIn(state));
    }
    expect(state.mode).toBe('faulty');
    expect(most).toBeGreaterThan(1.05 * 230);
  });

  it('never pushes, and never runs away, however time is cut', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { maxLength: 40 }),
        fc.constantFrom('constant pull' as const, 'lock-out' as const),
        fc.constantFrom(...familySchema.options),
        (times, pull, family) => {
          let state = AT_REST;
          for (const seconds of times) {
            state = afterPulling(state, { pull, family, setN: 230 }, seconds);
            expect(pullIn(state)).toBeGreaterThanOrEqual(0);
            expect(pullIn(state)).toBeLessThanOrEqual(230 + 1e-6);
          }
        },
      ),
    );
  });
});
