import { describe, expect, it } from 'vitest';
import { everyJob } from '../testing/bench-job';
import { usualJob } from '../testing/jobs';
import { drawnOf, drawnSchema, redraw } from './drawn';

describe('what a job drew', () => {
  it('comes back as it was, on every frame of the library and by every method, through JSON', () => {
    for (const { name, method, bed, plan } of everyJob()) {
      const { shortSide, crossStart } = plan.path;
      const job = usualJob({ bed, choice: { method, shortSide, crossStart } });
      const kept = drawnSchema.parse(JSON.parse(JSON.stringify(drawnOf(job))));
      const again = redraw(kept, bed.spec);
      expect(again?.path, `${name}, ${method}`).toEqual(job.plan.path);
      expect(again?.bed.holes, name).toEqual(bed.holes);
      expect(again?.bed.skips, name).toEqual(bed.skips);
      expect(kept.steps.length, name).toBeGreaterThan(job.plan.path.order.length);
      // The holes of the path are those of the bed, not copies of them.
      const knot = again?.path.knots[0];
      expect(again?.bed.holes).toContain(knot?.hole);
    }
  });

  it('does not move when the rules of today would place its holes elsewhere', () => {
    const [first] = everyJob();
    if (!first) throw new Error('The library is empty.');
    const kept = drawnOf(usualJob({ bed: first.bed }));
    const moved = {
      ...kept,
      holes: kept.holes.map((hole) => (hole.label === '3H' ? { ...hole, x: hole.x + 1.5 } : hole)),
    };
    const drawn = redraw(moved, first.bed.spec)?.bed.holes.find(({ label }) => label === '3H');
    const today = first.bed.holes.find(({ label }) => label === '3H');
    expect((drawn?.x ?? 0) - (today?.x ?? 0)).toBeCloseTo(1.5, 9);
  });
});
