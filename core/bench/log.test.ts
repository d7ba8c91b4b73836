import { describe, expect, it } from 'vitest';
import { loggedDeedSchema, benchLog, planKey, type LoggedDeed, type Deed } from './log';
import { benchPlan, FRAME, sequenceFor } from '../testing/bench-job';

const PLAN = '0badcafe';
const START = Date.UTC(2026, 10, 25, 9);
const ID = '00000000-0000-4000-8000-000000000000';
const at = (minutes: number, done: number, deed: Deed = { kind: 'step' }): LoggedDeed => ({
  id: ID,
  bench: ID,
  plan: PLAN,
  at: new Date(START + minutes * 60_000).toISOString(),
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
    expect(log.plan).toBe(PLAN);
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

  it('keeps apart what was gone through from what was leapt over, and forgets what was taken back', () => {
    const kept = (...done: readonly number[]) => [
      ...benchLog(done.map((each, i) => at(i, each))).kept.keys(),
    ];
    expect(kept(1, 2, 3, 2)).toEqual([0, 1]);
    // One deed that says that all is done is no proof that anything was.
    expect(kept(56)).toEqual([]);
    expect(kept(1, 2, 5, 6)).toEqual([0, 1, 5]);
    expect(kept(1, 2, 1, 2)).toEqual([0, 1]);
  });

  it('a bench that goes on after a pause moves nothing, however old its count is', () => {
    const log = benchLog([at(0, 1), at(1, 2), at(2, 1, { kind: 'resume' })]);
    expect(log).toMatchObject({ done: 2, paused: false });
  });

  it('is the same when two benches do the same step', () => {
    expect(benchLog([at(0, 1), at(1, 2), at(1, 2)])).toEqual(benchLog([at(0, 1), at(1, 2)]));
  });
});

it('what a browser sends is read with care', () => {
  const sent = at(0, 1);
  expect(loggedDeedSchema.safeParse(sent).success).toBe(true);
  for (const wrong of [
    { ...sent, done: -1 },
    { ...sent, done: 1.5 },
    { ...sent, at: 'now' },
    { ...sent, at: '0000-01-01T00:00:00Z' },
    { ...sent, at: '9999-12-31T23:59:59Z' },
    { ...sent, plan: 'a\u0000bcdefa' },
    { ...sent, plan: 'the same plan' },
    { ...sent, deed: { kind: 'mishap', mishap: 'string broke', string: 'X9', way: '' } },
    { ...sent, id: 'x' },
    { ...sent, deed: { kind: 'note', text: ' ' } },
    { ...sent, deed: { kind: 'step', pulledN: -4 } },
    { ...sent, deed: { kind: 'leap' } },
  ])
    expect(loggedDeedSchema.safeParse(wrong).success).toBe(false);
  // What no database keeps is taken out of a note, and the note stays.
  const note = { kind: 'note', text: 'worn\u0000 at 5H \ud83c' };
  expect(loggedDeedSchema.parse({ ...sent, deed: note }).deed).toEqual({
    kind: 'note',
    text: 'worn at 5H \ufffd',
  });
});

it('a plan that differs in any step has another key', () => {
  const usual = sequenceFor(benchPlan()).steps;
  expect(planKey(usual)).toBe(planKey(sequenceFor(benchPlan()).steps));
  expect(planKey(usual)).toMatch(/^[0-9a-f]{8}$/);
  const others = [
    sequenceFor(benchPlan(FRAME, 'one-piece')).steps,
    usual.slice(1),
    usual.map((step, i) => (i === 6 ? { ...step, pullN: 1 } : step)),
  ];
  expect(new Set([usual, ...others].map(planKey)).size).toBe(4);
});
