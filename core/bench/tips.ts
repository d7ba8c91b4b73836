/**
 * What the trade says at the step: each said once, at the step that it concerns, then silent; except what
 * differs from string to string (over or under which main a cross begins, which lane of the groove its run
 * takes, a port that wants its spacer), which is said each time. Common practice, no source.
 */
import { isMain, type StringName } from '../terms/string-name';
import type { BenchPlan, BenchStep } from './plan';
import { tightenedRuns } from '../path/covered-holes';
import { lanesOf, runName } from '../path/groove';
import { isInside, isRun, type InsideString, type Run } from '../path/segments';
import { message, type Message } from '../terms/words/english';
import type { NotePlace } from './notes';

/** A place of the crosses at the throat where the weave is tight: the last quarter of them. */
const TIGHT_SHARE = 0.75;

interface Around {
  readonly plan: BenchPlan;
  readonly step: BenchStep;
  readonly cross: number | undefined;
  /** Of the string that is woven in this step first. */
  readonly woven: readonly InsideString[];
}

interface Tip {
  readonly id: string;
  readonly holds: (around: Around) => boolean;
  readonly says: (around: Around) => Message;
}

const isCrossPull = ({ step, cross }: Around) => cross !== undefined && step.kind === 'pull';
const crosses = ({ plan }: Around) => plan.bed.spec.pattern.crosses;
/** Crosses in the order of the work are counted from the end that they start from. */
const fromStart = (around: Around) =>
  around.plan.path.crossesFrom === 'head'
    ? (around.cross ?? 0)
    : crosses(around) + 1 - (around.cross ?? 0);
const isDouble = ({ step }: Around) => Boolean(step.from?.hole.double || step.at?.hole.double);

/** Said once, at the first step where it holds. */
const ONCE: readonly Tip[] = [
  {
    id: 'clamp',
    holds: ({ step }) => step.actions.some((action) => action.do === 'clamp'),
    says: () => message('tip.clamp'),
  },
  {
    id: 'pull through',
    holds: ({ plan, step }) => plan.bed.spec.sport === 'badminton' && step.kind === 'start',
    says: () => message('tip.pull through'),
  },
  {
    id: 'double',
    holds: isDouble,
    says: () => message('tip.double'),
  },
  {
    id: 'reversed',
    holds: ({ plan, step }) =>
      plan.bed.spec.stringing.reversedOuterMains &&
      step.kind === 'pull' &&
      step.string?.startsWith(`M${plan.bed.mainsPerSide}`) === true,
    says: ({ plan }) =>
      message('tip.reversed', {
        outer: `M${plan.bed.mainsPerSide}`,
        inner: `M${plan.bed.mainsPerSide - 1}`,
      }),
  },
  {
    id: 'first cross',
    holds: ({ cross, step }) => cross !== undefined && step.kind !== 'set tension',
    says: () => message('tip.first cross'),
  },
  {
    id: 'draw slowly',
    holds: (around) => isCrossPull(around),
    says: ({ plan }) =>
      plan.soft === false ? message('tip.draw slowly') : message('tip.draw slowly.soft'),
  },
  {
    id: 'straighten',
    holds: (around) => isCrossPull(around) && fromStart(around) > 2,
    says: () => message('tip.straighten'),
  },
  {
    id: 'tight',
    holds: (around) => isCrossPull(around) && fromStart(around) > TIGHT_SHARE * crosses(around),
    says: () => message('tip.tight'),
  },
  {
    id: 'knot',
    holds: ({ step }) => step.kind === 'tie',
    says: () => message('tip.knot'),
  },
];

/** `C7 begins over M8L`; a cross begins at the hole that it comes in by. */
const beginning = ({ string, crossings }: InsideString): Message | undefined => {
  const first = crossings[0];
  return (
    first &&
    message(first.over ? 'tip.begins over' : 'tip.begins under', { string, main: first.string })
  );
};

/** The spacer of an open port: in while its cross is pulled in the upper half, out below. */
function portTip(around: Around, said: Set<string>): Message | undefined {
  const { plan, step, cross } = around;
  if (cross === undefined || step.kind !== 'pull' || plan.bed.spec.holes.ports.length === 0)
    return undefined;
  const upper = cross <= crosses(around) / 2;
  const atPort = Boolean(step.from?.hole.port || step.at?.hole.port);
  if (upper && atPort) {
    said.add('spacer');
    return message('tip.spacer');
  }
  if (said.has('spacer') && !said.has('no spacer') && !upper) {
    said.add('no spacer');
    return message('tip.no spacer');
  }
  return undefined;
}

/** Runs that share the groove with another: each keeps to its side of the holes, so that none lies over the other. */
function groovePlan({ bed, path }: BenchPlan): ReadonlyMap<StringName, Message> {
  const runs = path.pieces.flatMap(({ segments }) => segments.filter(isRun));
  const { lane } = lanesOf(bed, runs);
  const used = new Set(lane.values());
  if (used.size < 2) return new Map();
  const says = (run: Run) => message('tip.outer lane', { run: runName(run) });
  return new Map(
    tightenedRuns(path).flatMap(({ run, string, knot }) =>
      !knot && lane.get(run) === 1 ? [[string, says(run)] as const] : [],
    ),
  );
}

/** The first step of each part of the work, where the notes of frame and racket belong. */
function noteTips(plan: BenchPlan, steps: readonly BenchStep[]): ReadonlyMap<number, string[]> {
  const first: Record<NotePlace, (step: BenchStep) => boolean> = {
    inspect: ({ kind }) => kind === 'inspect',
    mount: ({ kind }) => kind === 'mount',
    mains: ({ string }) => string !== undefined && isMain(string),
    crosses: ({ string }) => string !== undefined && !isMain(string),
    knots: ({ kind }) => kind === 'tie',
  };
  const tips = new Map<number, string[]>();
  for (const { place, text } of plan.notes ?? []) {
    const at = steps.findIndex(first[place]);
    if (at >= 0) tips.set(at, [...(tips.get(at) ?? []), text]);
  }
  return tips;
}

/** The steps with what is said at each; notes of frame and racket always, the rest where the house wants it. */
export function withTips(plan: BenchPlan, steps: readonly BenchStep[]): readonly BenchStep[] {
  const notes = noteTips(plan, steps);
  const talks = plan.custom.tips !== 'notes only';
  const insides = new Map(
    plan.path.pieces.flatMap(({ segments }) =>
      segments.filter(isInside).map((inside) => [inside.string, inside] as const),
    ),
  );
  const groove = groovePlan(plan);
  const said = new Set<string>();
  return steps.map((step, i) => {
    const own = notes.get(i) ?? [];
    const cross =
      step.string !== undefined && !isMain(step.string) ? Number(step.string.slice(1)) : undefined;
    const woven = step.actions.flatMap((action) => {
      const inside = action.do === 'thread' ? insides.get(action.string) : undefined;
      return inside && !isMain(inside.string) ? [inside] : [];
    });
    const around = { plan, step, cross, woven };
    const tips = talks
      ? [
          ...woven.flatMap((inside) => beginning(inside) ?? []),
          ...[portTip(around, said)].filter((tip) => tip !== undefined),
          ...[step.kind === 'pull' ? step.string && groove.get(step.string) : undefined].filter(
            (tip) => tip !== undefined,
          ),
          ...ONCE.filter((tip) => !said.has(tip.id) && tip.holds(around)).map((tip) => {
            said.add(tip.id);
            return tip.says(around);
          }),
        ]
      : [];
    return own.length + tips.length === 0 ? step : { ...step, notes: own, tips };
  });
}
