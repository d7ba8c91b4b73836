/**
 * A plan as it is kept beside the deeds that were counted in it, so that a string keeps the figure it was pulled at,
 * whatever the plan becomes.
 */
import { z } from 'zod';
import { placeName } from '../path/segments';
import type { Newtons } from '../measure/quantities';
import { tensionUnitSchema, type TicketTension } from '../measure/units';
import { isMain, stringNameSchema, type StringName } from '../terms/string-name';
import type { BenchLog } from './log';
import type { BenchStep } from './plan';

export const keptPlanSchema = z.object({
  mainN: z.number(),
  crossN: z.number(),
  unit: tensionUnitSchema,
  steps: z.array(
    z.object({
      /** What is done where, whatever the figure. */
      what: z.string().max(80),
      /** What the head pulls in it, by string, N. */
      pulls: z.array(z.object({ string: stringNameSchema, n: z.number() })).max(2),
    }),
  ),
});
export type KeptPlan = z.output<typeof keptPlanSchema>;
export type KeptPlans = ReadonlyMap<string, KeptPlan>;

/**
 * What is kept of a plan.
 *
 * @example
 * keptPlanOf(usual.sequence.steps, usual.tension).steps.length === usual.sequence.steps.length // true
 */
export const keptPlanOf = (
  steps: readonly BenchStep[],
  { mainN, crossN, unit }: TicketTension,
): KeptPlan => ({
  mainN,
  crossN,
  unit,
  steps: steps.map(({ kind, string, at, actions }) => ({
    what: [kind, string, at && placeName(at)].filter(Boolean).join(' '),
    pulls: actions.flatMap((action) =>
      action.do === 'pull' ? [{ string: action.string, n: action.pullN }] : [],
    ),
  })),
});

export type PlanChange =
  /** Nothing that is in was pulled otherwise. */
  | { readonly is: 'ahead only' }
  /** The same way, but what is in from this step on was pulled at other figures. */
  | { readonly is: 'figures'; readonly from: number; readonly before: KeptPlan }
  /** From this step on the string goes another way than it was strung. */
  | { readonly is: 'another way'; readonly from: number; readonly before: KeptPlan | undefined };

const SAME_N = 0.01;

/**
 * What a change of plan means for the steps that are done.
 *
 * @param before by which they were done; undefined where it was not kept
 *
 * @example
 * planChange(undefined, keptPlanOf(usual.sequence.steps, usual.tension), 4).is // 'another way'
 */
export function planChange(before: KeptPlan | undefined, now: KeptPlan, done: number): PlanChange {
  if (!before) return { is: 'another way', from: 0, before };
  let figures: number | undefined;
  for (let i = 0; i < done; i++) {
    const [was, is] = [before.steps[i], now.steps[i]];
    if (was?.what !== is?.what) return { is: 'another way', from: i, before };
    const differs = was?.pulls.some(({ n }, k) => Math.abs(n - (is?.pulls[k]?.n ?? 0)) > SAME_N);
    if (differs) figures ??= i;
  }
  return figures === undefined ? { is: 'ahead only' } : { is: 'figures', from: figures, before };
}

export interface KeptPull {
  readonly string: StringName;
  readonly askedN: Newtons;
  /** What its ticket said for it then, before any step down or knot. */
  readonly ticketN: Newtons;
  readonly step: number;
}

/**
 * The last pull of each string that was made and not taken back, by the plan that it was made in.
 *
 * @example
 * keptPulls({ kept: new Map() }, new Map()) // []
 */
export function keptPulls({ kept }: Pick<BenchLog, 'kept'>, plans: KeptPlans): readonly KeptPull[] {
  const last = new Map<StringName, KeptPull>();
  for (const [step, key] of [...kept].toSorted(([a], [b]) => a - b)) {
    const plan = plans.get(key);
    for (const { string, n } of plan?.steps[step]?.pulls ?? []) {
      last.delete(string);
      last.set(string, {
        string,
        askedN: n,
        ticketN: (isMain(string) ? plan?.mainN : plan?.crossN) ?? n,
        step,
      });
    }
  }
  return [...last.values()];
}
