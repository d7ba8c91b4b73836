import { describe, expect, it } from 'vitest';
import { USUAL_HOUSE } from '../house/house-rules';
import type { StandingMachine } from '../house/machine';
import { frameSpec } from '../testing/frame-spec';
import { dayJob, UNARRANGED, type DayBench } from './day';
import { machineProblem } from './suits';
import { USUAL_WEEK } from './hours';

const machine = (changes: Partial<StandingMachine> = {}): StandingMachine => ({
  sports: ['tennis', 'badminton', 'squash'],
  mounts: 6,
  clampKind: 'fixed swivel',
  clamps: 2,
  startingClamps: 1,
  ...changes,
});
const tennis = { spec: frameSpec(), choice: null };
const badminton = { spec: frameSpec({ sport: 'badminton' }), choice: null };
const problem = (asked: typeof tennis, changes: Partial<StandingMachine>) =>
  machineProblem(asked, machine(changes), USUAL_HOUSE)?.key;

describe('which machine suits a racket', () => {
  it('asks whether its mounts hold the sport at all', () => {
    expect(problem(badminton, { sports: ['tennis', 'squash'] })).toBe('suits.sport');
    expect(problem(tennis, { sports: ['tennis', 'squash'] })).toBeUndefined();
  });

  it('puts no badminton hoop on two points, and a tennis hoop on two (from memory)', () => {
    expect(problem(badminton, { mounts: 2 })).toBe('suits.mounts');
    expect(problem(badminton, { mounts: 4 })).toBeUndefined();
    expect(problem(tennis, { mounts: 2 })).toBeUndefined();
  });

  it('goes through the whole job with clamps that are less than usual', () => {
    // One fixed clamp and a starting clamp are enough; with none to start, the first main has nothing to hold it.
    expect(problem(tennis, { clamps: 1 })).toBeUndefined();
    expect(problem(tennis, { clampKind: 'flying' })).toBeUndefined();
    expect(problem(tennis, { startingClamps: 0 })).toBe('suits.clamps');
  });

  it('sends a ticket to the benches that suit it, and to any where none does', () => {
    const bench = (id: string): DayBench => ({
      id,
      machineId: null,
      hand: 'practised',
      hours: { week: USUAL_WEEK, others: {} },
    });
    const past = { times: { tennis: [], badminton: [], squash: [] }, jobs: [] };
    const job = (unsuitedBenchIds: readonly string[]) =>
      dayJob(
        {
          number: 1,
          promised: '2026-06-01T10:00',
          method: null,
          machineId: null,
          spec: null,
          ...UNARRANGED,
          unsuitedBenchIds,
        },
        [bench('a'), bench('b')],
        past,
      ).benches;
    expect(job(['a'])).toEqual(['b']);
    expect(job(['a', 'b'])).toBeUndefined();
  });
});
