import { expect, it } from 'vitest';
import { chanceFrom } from '../maths/chance';
import { everyJob } from '../testing/bench-job';
import { spoiltPaths } from '../testing/path-mutants';
import { methodProblem } from '../cut/methods';
import { studyFrame } from '../frame/bed';
import { pathThrough } from './path';
import { pathProblem } from './path-proof';

const JOBS = everyJob();

it('passes every sound path of the library, by every method', () => {
  for (const { name, method, bed, plan } of JOBS)
    expect([name, method, pathProblem(bed, plan.path)?.key]).toEqual([name, method, undefined]);
});

it('passes frames of which hardly a tie-off hole is known, where knots are forced into ordinary ones', () => {
  for (const { name, method, bed } of JOBS)
    for (const tieOff of [[], ['8H'], ['5T']]) {
      const spec = { ...bed.spec, holes: { ...bed.spec.holes, tieOff } };
      const study = studyFrame(spec as typeof bed.spec);
      if (!study.bed || methodProblem(study.bed, method, false)) continue;
      for (const side of ['left', 'right'] as const) {
        const path = pathThrough(study.bed, { method, shortSide: side, crossStart: side });
        expect([name, method, pathProblem(study.bed, path)?.key]).toEqual([
          name,
          method,
          undefined,
        ]);
      }
    }
});

// Source: the rules of the trade, spoilt one at a time by what knows nothing of how a path is made.
it('refuses 97 of 100 spoilt ones, of each kind', () => {
  const { below } = chanceFrom(2027);
  const passed = new Map<string, number>();
  const tried = new Map<string, number>();
  for (let turn = 0; turn < 4; turn++)
    for (const { bed, plan } of JOBS)
      for (const { what, path } of spoiltPaths(plan.path, bed, below)) {
        // What happens to write what stood there is not spoilt.
        if (JSON.stringify(path) === JSON.stringify(plan.path)) continue;
        tried.set(what, (tried.get(what) ?? 0) + 1);
        if (!pathProblem(bed, path)) passed.set(what, (passed.get(what) ?? 0) + 1);
      }
  expect(tried.size).toBe(16);
  for (const [what, count] of tried)
    expect((passed.get(what) ?? 0) / count, what).toBeLessThanOrEqual(0.03);
});
