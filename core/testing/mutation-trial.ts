/** How many mutants of sound jobs the ledger lets pass, and which. */
import type { BenchPlan } from '../bench/plan';
import { chanceFrom } from '../maths/chance';
import type { Action } from '../bench/actions';
import { inOrderOf } from '../path/pull-order';
import { benchLedger, benchSequence } from '../bench/sequence';
import { everyJob } from './bench-job';
import { mutantOf } from './mutants';

export interface MutationTrial {
  readonly mutants: number;
  readonly refused: number;
  /** What passed, and differs from the sound job. */
  readonly passed: readonly string[];
}

/** Why a plan's actions do not prove a job; undefined where they do. */
function proofOf(plan: BenchPlan, actions: readonly Action[]): string | undefined {
  const path = inOrderOf(plan.path, plan.bed.spec.sport, plan.custom);
  const ledger = benchLedger(plan, path);
  try {
    for (const action of actions) {
      const problem = ledger.take(action);
      if (problem) return problem.key;
    }
  } catch (error) {
    return String(error);
  }
  return ledger.unfinished()?.key;
}

/** Mutates jobs of the whole library, by turns, on each of these machines. */
export function mutationTrial(
  count: number,
  seed: number,
  machines: readonly BenchPlan['machine'][],
): MutationTrial {
  const pick = chanceFrom(seed).below;
  const jobs = everyJob();
  const passed: string[] = [];
  let [mutants, refused] = [0, 0];
  for (let i = 0; mutants < count; i++) {
    const { name, method, bed, plan } = jobs[i % jobs.length] as (typeof jobs)[number];
    const machine = machines[i % machines.length] as BenchPlan['machine'];
    const job = { ...plan, machine };
    const made = benchSequence(job);
    if (!made.ok) continue;
    const actions = made.value.steps.flatMap((step) => step.actions);
    const strings = made.value.path.order;
    for (let n = 0; n < 10; n++) {
      const mutant = mutantOf(actions, bed, strings, pick);
      // A mutation that happens to write what stood there is none.
      if (!mutant || JSON.stringify(mutant.actions) === JSON.stringify(actions)) continue;
      mutants++;
      if (proofOf(job, mutant.actions) === undefined)
        passed.push(`${name}, ${method}: ${mutant.what}`);
      else refused++;
    }
  }
  return { mutants, refused, passed };
}
