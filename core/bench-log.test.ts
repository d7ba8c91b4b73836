import { describe, expect, it } from 'vitest';
import { benchEventSchema, benchLog, planKey, type BenchEvent, type Deed } from './bench-log';
import { benchPlan, FRAME, sequenceFor } from './testing/bench-job';

const ID = '00000000-0000-4000-8000-000000000000';
const at = (minutes: number, done: number, deed: Deed = { kind: 'step' }): BenchEvent => ({
  id: ID,
  bench: ID,
  plan: 'a',
  at: new Date(minutes * 60_000).toISOString(),
  done,
  deed,
});

describe('the log of a job', () => {
  it('is empty before anything was done', () => {
    expect(benchLog([])).toMatchObject({ done: 0, paused: false, workedMs: 0, plan: undefined });
  });

  it('stands where its latest step says, and forgets what was taken back', () => {
    const log = benchLog([
      at(0, 0, { kind: 'open' }),
      at(1, 1),
      at(2, 2, { kind: 'step', pulledN: 231 }),
      at(3, 3, { kind: 'step', pulledN: 229 }),
      at(4, 2),
    ]);
    expect(log.done).toBe(2);
    expect([...log.pulled]).toEqual([[1, 231]]);
    expect(log.plan).toBe('a');
  });

  it('times each step without pauses, nights and reloads', () => {
    const log = benchLog([
      at(0, 0, { kind: 'open' }),
      at(1, 1),
      at(2, 1, { kind: 'pause' }),
      at(32, 1, { kind: 'resume' }),
      at(33, 2),
      at(700, 2, { kind: 'open' }),
      at(702, 3),
      at(800, 4),
    ]);
    expect([...log.tookMs.values()].map((ms) => ms / 60_000)).toEqual([1, 2, 2, 0]);
    expect(log.workedMs / 60_000).toBe(5);
    expect(log.paused).toBe(false);
  });

  it('a pause lasts until something is done', () => {
    expect(benchLog([at(0, 1), at(1, 1, { kind: 'pause' })]).paused).toBe(true);
    expect(benchLog([at(0, 1), at(1, 1, { kind: 'pause' }), at(2, 2)]).paused).toBe(false);
    expect(
      benchLog([at(0, 1), at(1, 1, { kind: 'pause' }), at(2, 1, { kind: 'note', text: 'x' })])
        .paused,
    ).toBe(true);
  });

  it('keeps notes and mishaps with their step; a way out may go back', () => {
    const mishap: Deed = {
      kind: 'mishap',
      mishap: 'string broke',
      string: 'M5R',
      way: 'Begin again',
    };
    const log = benchLog([
      at(0, 8),
      at(1, 8, { kind: 'note', text: 'grommet worn' }),
      at(2, 4, mishap),
    ]);
    expect(log.notes).toEqual([{ step: 8, text: 'grommet worn' }]);
    expect(log.mishaps).toEqual([{ ...mishap, step: 8 }]);
    expect(log.done).toBe(4);
    expect(log.amiss?.mishap).toBe('string broke');
    expect(benchLog([at(2, 4, mishap), at(3, 4, { kind: 'resume' })]).amiss).toBeUndefined();
  });

  it('is the same when two benches do the same step', () => {
    expect(benchLog([at(0, 1), at(1, 2), at(1, 2)])).toEqual(benchLog([at(0, 1), at(1, 2)]));
  });
});

it('what a browser sends is read with care', () => {
  const sent = at(0, 1);
  expect(benchEventSchema.safeParse(sent).success).toBe(true);
  for (const wrong of [
    { ...sent, done: -1 },
    { ...sent, done: 1.5 },
    { ...sent, at: 'now' },
    { ...sent, id: 'x' },
    { ...sent, deed: { kind: 'note', text: ' ' } },
    { ...sent, deed: { kind: 'step', pulledN: -4 } },
    { ...sent, deed: { kind: 'leap' } },
  ])
    expect(benchEventSchema.safeParse(wrong).success).toBe(false);
});

it('a plan that differs in any step has another key', () => {
  const usual = sequenceFor(benchPlan()).steps;
  expect(planKey(usual)).toBe(planKey(sequenceFor(benchPlan()).steps));
  expect(planKey(usual)).toMatch(/^[0-9a-f]{8}$/);
  const others = [
    sequenceFor(benchPlan(FRAME, 'one-piece')).steps,
    usual.slice(1),
    usual.map((step, i) => (i === 6 ? { ...step, n: 1 } : step)),
  ];
  expect(new Set([usual, ...others].map(planKey)).size).toBe(4);
});
