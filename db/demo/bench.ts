import { keptPlanOf } from '@/core/bench/kept-plan';
import { benchLog, planKey, type LoggedDeed, type Deed } from '@/core/bench/log';
import type { Job } from '@/core/bench/job';
import { headPull } from '@/core/bench/plan';
import { stepSeconds } from '@/core/bench/times';
import { waysOut } from '@/core/bench/mishap';
import { recordBench, type BenchRecord } from '@/core/record/record';
import type { Chance } from '@/core/maths/chance';

const NOTES = ['grommet 7H worn', 'bumper thin at the top', 'one crossover straightened'];

/** A job as it went at the bench: a little slower among the crosses, now and then a slip or a broken string. */
export function demoBench(
  chance: Chance,
  { bed, tension, sequence: made }: Job,
): BenchRecord | null {
  if (!made.ok) return null;
  const { steps } = made.value;
  const { sport } = bed.spec;
  const deeds: LoggedDeed[] = [];
  let ms = 0;
  const note = (done: number, deed: Deed) =>
    deeds.push({
      id: '',
      bench: '',
      plan: planKey(steps),
      at: new Date(ms).toISOString(),
      done,
      deed,
    });
  note(0, { kind: 'open' });
  let trouble = chance.next() < 0.15 ? Math.floor(steps.length * (0.3 + 0.5 * chance.next())) : -1;
  for (let i = 0; i < steps.length; i++) {
    const step = steps[i];
    if (!step) continue;
    ms += 1000 * stepSeconds(step, sport, 'practised') * (0.8 + 0.6 * chance.next());
    if (i === trouble && step.string !== undefined) {
      const mishap = chance.next() < 0.5 ? 'clamp slipped' : 'string broke';
      const [way] = waysOut(made.value, i, mishap, step.string);
      trouble = -1;
      if (way) {
        note(way.done, {
          kind: 'mishap',
          mishap,
          string: step.string,
          way: way.title,
          wayId: way.id,
        });
        i = way.done - 1;
        continue;
      }
    }
    const n = headPull(step);
    note(i + 1, {
      kind: 'step',
      ...(n !== undefined && { pulledN: n + 1.5 * (chance.next() - 0.5) }),
    });
  }
  if (chance.next() < 0.2) note(steps.length, { kind: 'note', text: chance.one(NOTES) });
  const plans = new Map([[planKey(steps), keptPlanOf(steps, tension)]]);
  return recordBench(made.value, benchLog(deeds), plans, sport, 'practised');
}
