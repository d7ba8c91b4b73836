import { describe, expect, it } from 'vitest';
import {
  USUAL_MACHINE,
  betweenMachines,
  machineKindSchema,
  pullKindOf,
  stringingMachine,
} from './machine';
import { USUAL_HOUSE } from './house-rules';
import { inTensionUnit, newtons } from '../measure/units';

describe('a machine', () => {
  // Source: common practice (a lock-out stops at its figure, all others go on pulling).
  it('pulls constantly unless it locks out', () => {
    expect(machineKindSchema.options.filter((kind) => pullKindOf(kind) === 'lock-out')).toEqual([
      'crank with lock-out',
    ]);
  });

  it('bears on the order of the work by its mounts and clamps', () => {
    const parts = {
      mounts: 6,
      clampKind: 'fixed swivel' as const,
      clamps: 2,
      startingClamps: 1,
    };
    expect(stringingMachine(parts)).toEqual(USUAL_MACHINE);
    expect(stringingMachine({ ...parts, clampKind: 'glide bar' })).toEqual(USUAL_MACHINE);
    expect(
      stringingMachine({ mounts: 3, clampKind: 'flying', clamps: 1, startingClamps: 0 }),
    ).toEqual({ mounts: 2, clampKind: 'flying', clamps: 1, startingClamps: 0 });
  });

  // From memory: a lock-out settles 5 to 10 % lower than a constant pull.
  it('is given a figure of its own for the same bed, and back again', () => {
    const n = newtons(52, 'lb');
    const locked = betweenMachines(n, 'constant pull', 'lock-out', USUAL_HOUSE);
    expect(inTensionUnit(locked, 'lb')).toBeGreaterThan(52 * 1.05);
    expect(inTensionUnit(locked, 'lb')).toBeLessThan(52 * 1.12);
    expect(betweenMachines(locked, 'lock-out', 'constant pull', USUAL_HOUSE)).toBeCloseTo(n, 9);
    expect(betweenMachines(n, 'lock-out', 'lock-out', USUAL_HOUSE)).toBe(n);
  });
});
