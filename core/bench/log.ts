/** What was done at the bench, deed by deed, and what it comes to. */
import { z } from 'zod';
import type { BenchStep } from './plan';
import { mishapSchema, wayIdSchema, wayTitled } from './mishap';
import { MOST_PULLED_N } from '../measure/units';
import { textIn } from '../measure/typed';
import { stringNameSchema } from '../terms/string-name';
import { placeName } from '../path/segments';

/** Longest note, in characters; enough for a few sentences. */
export const NOTE_MOST = 500;

/** A clock that is far off is no clock: a bench of this century, and of the next few. */
const CLOCK = { from: Date.UTC(2000, 0), until: Date.UTC(2200, 0) };
const clockSchema = z.iso
  .datetime()
  .refine((at) => Date.parse(at) >= CLOCK.from && Date.parse(at) < CLOCK.until);

const deeds = z.discriminatedUnion('kind', [
  /** A bench opened the job. */
  z.object({ kind: z.literal('open') }),
  /** A step was done or taken back; with what the tension head really pulled, N. */
  z.object({ kind: z.literal('step'), pulledN: z.number().min(0).max(MOST_PULLED_N).optional() }),
  z.object({ kind: z.literal('pause') }),
  z.object({ kind: z.literal('resume') }),
  z.object({ kind: z.literal('note'), text: textIn.trim().min(1).max(NOTE_MOST) }),
  /** The plan was changed, and this is what was made of what is in already. */
  z.object({ kind: z.literal('plan'), chose: z.enum(['both', 'again']) }),
  z.object({
    kind: z.literal('mishap'),
    mishap: mishapSchema,
    string: stringNameSchema.optional(),
    /** The way out that was taken, as it was offered. */
    way: textIn.max(200),
    /** Which one it is; undefined where it is none that this version knows. */
    wayId: wayIdSchema.optional(),
  }),
]);

const titled = z.object({
  kind: z.literal('mishap'),
  way: z.string(),
  wayId: z.undefined().optional(),
});

/** Ways out were kept by their title alone once; the title of then says which it was. */
export const deedSchema = z.preprocess((deed) => {
  const old = titled.safeParse(deed);
  return old.success ? { ...(deed as object), wayId: wayTitled(old.data.way) } : deed;
}, deeds);
export type Deed = z.infer<typeof deedSchema>;

export const loggedDeedSchema = z.object({
  /** Made by the bench, so that a deed that is sent again is kept once. */
  id: z.uuid(),
  /** The browser window that it was done in. */
  bench: z.uuid(),
  /** Which plan its steps are counted in (`planKey`). */
  plan: z.string().regex(/^[0-9a-f]{8}$/),
  /** On the clock of the bench. */
  at: clockSchema,
  /** Steps that are done after it. */
  done: z.number().int().min(0).max(1000),
  deed: deedSchema,
});
export type LoggedDeed = z.infer<typeof loggedDeedSchema>;

/**
 * Short name of a sequence: two plans that differ in any pull, hole or order have different ones. FNV-1a, 32 bit.
 *
 * @example
 * planKey(usual.sequence.steps) === planKey(usual.sequence.steps.slice(1)) // false
 */
export function planKey(steps: readonly BenchStep[]): string {
  let hash = 0x811c9dc5;
  const named = steps.map(({ kind, string, at, pullN: n }) =>
    [kind, string, at && placeName(at), n?.toFixed(2)].join(' '),
  );
  for (const char of named.join('\n'))
    hash = Math.imul(hash ^ (char.codePointAt(0) as number), 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, '0');
}

/** A step that takes longer was interrupted by something nobody paused for. */
const LONGEST_STEP_MS = 10 * 60_000;

/** A mishap with the steps that were done when it happened. */
type LoggedMishap = { readonly step: number } & Extract<Deed, { kind: 'mishap' }>;

export interface BenchLog {
  readonly done: number;
  readonly paused: boolean;
  /** What the head really pulled at each step, N. */
  readonly pulled: ReadonlyMap<number, number>;
  /** How long each step took, ms; pauses left out. */
  readonly tookMs: ReadonlyMap<number, number>;
  /**
   * Steps that were gone through one by one and not taken back, with the plan they were counted in. A
   * step that a later one leaps over, because its deed is lost or was never made, is not among them.
   */
  readonly kept: ReadonlyMap<number, string>;
  /** All time at the bench, steps that were taken back included, ms. */
  readonly workedMs: number;
  readonly notes: readonly { readonly step: number; readonly text: string }[];
  readonly mishaps: readonly LoggedMishap[];
  /** The mishap whose way out is being carried out: nothing was done since. */
  readonly amiss: LoggedMishap | undefined;
  /** The plan that the latest step was counted in; undefined before the first. */
  readonly plan: string | undefined;
}

/**
 * What the deeds of a job come to, in the order in which they were kept.
 *
 * @example
 * benchLog([]).done // 0
 */
export function benchLog(deeds: readonly LoggedDeed[]): BenchLog {
  let [done, paused, workedMs] = [0, false, 0];
  let plan: string | undefined;
  let since: number | undefined;
  /** Time on the step in hand so far, ms. */
  let onStep = 0;
  const pulled = new Map<number, number>();
  const tookMs = new Map<number, number>();
  const kept = new Map<number, string>();
  const notes: { step: number; text: string }[] = [];
  const mishaps: LoggedMishap[] = [];
  let amiss: LoggedMishap | undefined;

  function moveTo(to: number, by: string): void {
    if (to === done + 1) {
      tookMs.set(done, onStep);
      kept.set(done, by);
    }
    onStep = 0;
    for (const facts of [pulled, tookMs, kept])
      for (const step of facts.keys()) if (step >= to) facts.delete(step);
    done = to;
  }

  for (const logged of deeds) {
    const at = Date.parse(logged.at);
    const passed = since === undefined || paused ? 0 : Math.max(0, at - since);
    // Opening the job again, after a reload or a night, is no work on the step.
    if (logged.deed.kind !== 'open' && passed <= LONGEST_STEP_MS) {
      onStep += passed;
      workedMs += passed;
    }
    since = at;
    const { deed } = logged;
    if (deed.kind === 'note') notes.push({ step: logged.done, text: deed.text });
    else if (deed.kind === 'pause') paused = true;
    else if (deed.kind === 'resume') {
      paused = false;
      amiss = undefined;
    } else if (deed.kind !== 'open') {
      paused = false;
      amiss = deed.kind === 'mishap' ? { ...deed, step: done } : undefined;
      if (amiss) mishaps.push(amiss);
      if (logged.done !== done) moveTo(logged.done, logged.plan);
      if (deed.kind === 'step' && deed.pulledN !== undefined && logged.done > 0)
        pulled.set(logged.done - 1, deed.pulledN);
      plan = logged.plan;
    }
  }
  return { done, paused, pulled, tookMs, kept, workedMs, notes, mishaps, amiss, plan };
}
