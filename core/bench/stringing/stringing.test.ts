import { describe, expect, it } from 'vitest';
import { USUAL_HOUSE } from '../../house/house-rules';
import { USUAL_MACHINE } from '../../house/machine';
import { inOrderOf } from '../../path/pull-order';
import { benchPlan, everyJob, FRAME } from '../../testing/bench-job';
import type { BenchPlan } from '../plan';
import { withBridges } from './bridges';
import { clampedSteps } from './clamping';
import { withOpenings } from './covered';
import { endsOf } from './ends';
import { withKnots } from './knots';
import { movesOf } from './moves';

/** A plan with its path in the order of the pulls, as the passes take it. */
const ordered = (plan: BenchPlan): BenchPlan => ({
  ...plan,
  path: inOrderOf(plan.path, plan.bed.spec.sport, plan.custom),
});
const plan = ordered(benchPlan());
const ends = endsOf(plan);
const moves = movesOf(plan, ends);
const listed = withKnots(moves, plan, ends);

describe('the passes over the work list', () => {
  it('moves: every string is threaded once, and pulled in its order', () => {
    const threads = moves.flatMap(({ hands }) => hands.filter((each) => each.do === 'thread'));
    expect(threads.map(({ string }) => string).toSorted()).toEqual(plan.path.order.toSorted());
    const counts = moves.map(({ inSoFar }) => inSoFar);
    expect(counts).toEqual(counts.toSorted((a, b) => a - b));
    expect(counts.at(-1)).toBe(plan.path.order.length);
  });

  // Source: common practice (the last main before its knot, at its figure; weave one cross ahead).
  it('moves: the last of a piece is pulled for its knot, and crosses are woven one ahead', () => {
    const last = moves.find(({ step }) => step.kind === 'pull' && step.string === 'M8L');
    expect(last?.step.pullN).toBe(ends.knotN('M8L'));
    const cross = moves.find(({ step }) => step.kind === 'pull' && step.string === 'C7');
    expect(cross?.step.words[0]).toMatchObject({ values: { woven: ['C8'] } });
  });

  // Source: common practice (the top cross is tied after three more, or when all are in).
  it('knots: each is due once, and the top cross waits as the house says', () => {
    for (const { plan: each } of everyJob()) {
      const job = ordered(each);
      const due = withKnots(movesOf(job, endsOf(job)), job, endsOf(job)).flatMap((at) => at.due);
      expect(due).toHaveLength(2 * job.path.pieces.length);
    }
    const dueAt = (of: ReturnType<typeof withKnots>) =>
      of.find(({ due }) => due.some(({ string }) => string === 'C1'))?.move.step.string;
    expect(dueAt(listed)).toBe('C4');
    const late = { ...plan, custom: { ...USUAL_HOUSE, topCross: 'at the end' as const } };
    expect(dueAt(withKnots(movesOf(late, ends), late, ends))).toBe('C19');
  });

  it('clamps: every pull ends on a clamp or outside, and the head lets go', () => {
    for (const { actions } of clampedSteps(listed, plan, ends))
      if (actions.some((action) => action.do === 'pull'))
        expect(actions.at(-1)).toEqual({ do: 'let go' });
  });

  it('clamps: with one only, the starting clamp lends itself and says so', () => {
    const one = { ...plan, machine: { ...USUAL_MACHINE, clamps: 1 as const } };
    const lent = clampedSteps(listed, one, ends).filter(({ words }) =>
      words.some(({ key }) => key === 'clause.held outside'),
    );
    expect(lent.length).toBeGreaterThan(3);
  });

  it('covered holes: each is opened once, before the step that would shut it', () => {
    let opened = 0;
    for (const { plan: each } of everyJob()) {
      const job = ordered(each);
      const at = endsOf(job);
      const steps = withOpenings(clampedSteps(withKnots(movesOf(job, at), job, at), job, at), job);
      const holes = steps.flatMap(({ kind, at: place }) =>
        kind === 'open a hole' && place ? [`${place.hole.label} ${place.side}`] : [],
      );
      expect(new Set(holes).size).toBe(holes.length);
      opened += holes.length;
    }
    expect(opened).toBeGreaterThan(10);
  });

  it('bridges: one for each piece that is short, right before its last pull', () => {
    const steps = clampedSteps(listed, plan, ends);
    expect(withBridges(steps, plan)).toEqual(steps);
    const short = ordered(benchPlan(FRAME, 'two-piece', { shortMm: { mains: 41 } }));
    const bridged = withBridges(steps, short);
    const at = bridged.findIndex(({ kind }) => kind === 'bridge');
    expect(bridged[at]?.words[0]?.values).toEqual({ string: short.path.order[15], cm: 5 });
    expect(bridged[at + 1]).toMatchObject({ kind: 'pull', string: short.path.order[15] });
    expect(bridged).toHaveLength(steps.length + 1);
  });
});
