/** Facts of a frame that cannot hold together, found by counting; each at its field, with a sentence. */
import {
  headOutline,
  limitsProblem,
  MOST_SKIPS,
  printedRange,
  sizeProblems,
  type FrameProblem,
  type FrameSpec,
} from './frame';
import { letter, mainNumbers, numbersAt, SHORTEST_CROSS, slotsOf, type Skips } from './holes';
import { ENDS, type End } from '../terms/ends';
import type { Outline } from './outline';
import { mainsStart } from './pattern';
import { evenSkips, fansOut, roomProblem, usualArcs, usualCrossLength } from './placement';
import { pullLimits, USUAL_PULL_N } from '../measure/pull-limits';
import { ruledArcs } from './ruled';
import { formatTension, newtons } from '../measure/units';
import { NO_PROPOSAL, solveSkips, type SkipProposal, type SkipQuestion } from './skip-solver';

/** A frame whose facts hold together, as far as counting goes. */
export interface Counted {
  readonly outline: Outline;
  /** Every hole of a half along the rim, when they were ruled. */
  readonly ruled: readonly number[] | undefined;
  /** As read from the frame, or as proposed where nobody has. */
  readonly skips: Skips;
  /** What fits the ruled holes, or the usual spacing. */
  readonly proposed: Skips;
  /**
   * The likeliest answers, ranked: for what has not been read, or as a check on what was where the
   * holes were ruled. None where everything was read and nothing ruled.
   */
  readonly proposal: SkipProposal;
}

export type Checked =
  | { readonly ok: true; readonly counted: Counted }
  | { readonly ok: false; readonly problems: readonly FrameProblem[] };

const SKIP_FIELD = { head: 'headSkip', throat: 'throatSkip' } as const;
const OUTERMOST_FIELD = { head: 'headOutermost', throat: 'throatOutermost' } as const;

/**
 * Counts everything that was entered against everything else. Never throws on a spec of the right shape.
 *
 * @example
 * checkFrame({ ...usual.spec, pattern: { mains: 17, crosses: 19 } }).ok // false
 */
export function checkFrame(spec: FrameSpec): Checked {
  const refuse = (problems: readonly FrameProblem[]): Checked => ({ ok: false, problems });

  const sizes = sizeProblems(spec);
  if (sizes.length > 0) return refuse(sizes);
  const made = headOutline(spec);
  if (!made.ok) return refuse([{ field: 'outline', problem: made.problem }]);
  const outline = made.value;
  const beyond = limitsProblem(spec, outline);
  if (beyond && !spec.ownerInsists) return refuse([{ field: 'lengthMm', problem: beyond }]);
  const noRoom = roomProblem(spec, outline);
  if (noRoom) return refuse([noRoom]);

  const stray = strayMarks(spec);
  if (stray.length > 0) return refuse(stray);
  const marked = [
    ...markedMains(spec),
    ...startProblems(spec),
    ...steepSteps(spec),
    ...sharedTieOffs(spec),
  ];
  if (marked.length > 0) return refuse(marked);

  let ruled: readonly number[] | undefined;
  if (spec.holes.positionsMm) {
    const read = ruledArcs(spec, outline, spec.holes.positionsMm);
    if (!read.ok) return refuse([{ field: read.field, problem: read.problem }]);
    const miscounted = ruledCount(spec, read.arcs.length);
    if (miscounted) return refuse([miscounted]);
    ruled = read.arcs;
  }

  const counts = skipProblems(spec);
  if (counts.length > 0) return refuse(counts);

  const read = ENDS.filter((end) => spec.holes[end].skip !== null);
  const isWhole = read.length === ENDS.length;
  const filled = isWhole ? NO_PROPOSAL : proposeSkips(spec, outline, ruled, 'with what was read');
  const best = filled.answers[0]?.skips;
  if (!isWhole && best === undefined) return refuse([noSkipsFit(spec)]);
  // A ruler is asked anew beside what was read, so that it can contradict it.
  const proposal = ruled && read.length > 0 ? proposeSkips(spec, outline, ruled, 'anew') : filled;
  const proposed = proposal.answers[0]?.skips ?? evenSkips(spec, outline);
  const fill = best ?? proposed;
  const skips: Skips = {
    head: spec.holes.head.skip ?? fill.head,
    throat: spec.holes.throat.skip ?? fill.throat,
  };
  const unshared = strayShared(spec, skips);
  if (unshared.length > 0) return refuse(unshared);
  const rest = [
    ...tooManyAmongMains(spec, skips),
    ...(ruled ? [] : shortCrosses(spec, skips)),
    ...strayHoles(spec, skips),
  ];
  if (rest.length > 0) return refuse(rest);
  return { ok: true, counted: { outline, ruled, skips, proposed, proposal } };
}

/** The likeliest skips for what is known. A certainty is never more than likely on assumed places. */
function proposeSkips(
  spec: FrameSpec,
  outline: Outline,
  ruled: readonly number[] | undefined,
  asked: 'with what was read' | 'anew',
): SkipProposal {
  const shared = {
    head: numbersAt(spec.holes.shared, 'head'),
    throat: numbersAt(spec.holes.shared, 'throat'),
  };
  const seen = (end: End) => {
    const { skip, outermost } = spec.holes[end];
    return {
      skip: asked === 'anew' ? [] : (skip ?? []),
      all: asked !== 'anew' && skip !== null,
      count: outermost === null ? undefined : outermost - spec.pattern.mains / 2,
    };
  };
  const question: SkipQuestion = {
    sport: spec.sport,
    outline,
    arcs: ruled ?? usualArcs(spec, outline),
    mainsPerSide: spec.pattern.mains / 2,
    crosses: spec.pattern.crosses,
    shared,
    bridgeAside: spec.bridgeHoles === null ? undefined : spec.bridgeHoles / 2,
    seen: { head: seen('head'), throat: seen('throat') },
    fan: fansOut(spec),
  };
  const proposal = solveSkips(question);
  return ruled || proposal.certainty !== 'sure' ? proposal : { ...proposal, certainty: 'likely' };
}

/** Why no skips can be proposed for what is known: what was counted leaves none. */
function noSkipsFit({ holes }: FrameSpec): FrameProblem {
  const end = ENDS.find((each) => holes[each].skip === null && holes[each].outermost !== null);
  if (end === undefined)
    return {
      field: holes.shared.length > 0 ? 'shared' : 'bridgeHoles',
      problem:
        'No skips go with what was counted: the shared holes, the bridge and the pattern leave no hole for them. Count again.',
    };
  return {
    field: OUTERMOST_FIELD[end],
    problem: `No skips go with an outermost main in ${holes[end].outermost}${letter(end)} beside the other facts: count that hole again from the centre line.`,
  };
}

/** A mark of the outermost main that no skips could explain, whether they were read or not. */
function strayMarks({ pattern, holes }: FrameSpec): readonly FrameProblem[] {
  const perSide = pattern.mains / 2;
  return ENDS.flatMap((end): FrameProblem[] => {
    const { outermost, skip } = holes[end];
    if (outermost === null) return [];
    const refuse = (problem: string) => [{ field: OUTERMOST_FIELD[end], problem }];
    const name = `${outermost}${letter(end)}`;
    if (skip?.includes(outermost))
      return refuse(
        `Hole ${name} is said to hold the outermost main and to be a skip: it is one of the two.`,
      );
    if (outermost < perSide)
      return refuse(
        `${perSide} mains a side reach to hole ${perSide}${letter(end)} at least: the outermost main is not in ${name}.`,
      );
    if (outermost > perSide + MOST_SKIPS)
      return refuse(
        `With the outermost main in ${name} there would be ${outermost - perSide} skips at the ${end}; no frame has more than ${MOST_SKIPS}. Count that hole from the centre line.`,
      );
    return [];
  });
}

/** Mains as marked: the outermost main's hole less the skips inside it, at each end. */
function markedMains({ pattern, holes }: FrameSpec): readonly FrameProblem[] {
  const marked = (end: End) => {
    const { outermost, skip } = holes[end];
    return outermost === null || skip === null
      ? undefined
      : outermost - skip.filter((hole) => hole < outermost).length;
  };
  const [head, throat] = [marked('head'), marked('throat')];
  if (head !== undefined && throat !== undefined && head !== throat) {
    const wrong = head * 2 === pattern.mains ? 'throat' : 'head';
    return [
      {
        field: SKIP_FIELD[wrong],
        problem: `Marked are ${head} mains a side at the head and ${throat} at the throat, ${head + throat} together: every main has a hole at both ends, so a skip is missing or too many at one of them.`,
      },
    ];
  }
  return ENDS.flatMap((end): FrameProblem[] => {
    const count = marked(end);
    if (count === undefined || count * 2 === pattern.mains) return [];
    const { outermost, skip } = holes[end];
    return [
      {
        field: OUTERMOST_FIELD[end],
        problem: `With the outermost main in ${outermost}${letter(end)} and ${skip?.length ?? 0} skips there are ${count} mains a side at the ${end}, ${count * 2} in all, not ${pattern.mains}.`,
      },
    ];
  });
}

function startProblems({ bridgeHoles, stringing, pattern }: FrameSpec): readonly FrameProblem[] {
  const problems: FrameProblem[] = [];
  const { mainsStart: said, reversedOuterMains } = stringing;
  if (bridgeHoles !== null && said !== null && mainsStart(bridgeHoles) !== said)
    problems.push({
      field: 'mainsStart',
      problem: `${bridgeHoles} holes in the bridge, ${bridgeHoles / 2} a side, mean that the mains start at the ${mainsStart(bridgeHoles)}: from the ${said} an outside run would leap the open throat. Count the bridge again.`,
    });
  if (reversedOuterMains && pattern.mains < 10)
    problems.push({
      field: 'reversedOuterMains',
      problem: 'Outer mains are only reversed on a bed of ten mains or more.',
    });
  return problems;
}

/** Steps at the outer strings that the bed has no strings for, or that would leave the last one slack. */
function steepSteps(spec: FrameSpec): readonly FrameProblem[] {
  const { pattern, stringing, sport } = spec;
  const down = stringing.stepDown;
  if (!down) return [];
  const refuse = (problem: string): readonly FrameProblem[] => [{ field: 'stepDown', problem }];
  const room = Math.min(pattern.mains / 2, Math.floor(pattern.crosses / 2)) - 1;
  if (down.strings > room)
    return refuse(
      `${down.strings} strings stepped down leave none at its full figure: this bed has ${room} at most on a side.`,
    );
  const { leastN } = pullLimits(sport);
  const fromN = printedRange(spec)?.minN ?? USUAL_PULL_N[sport];
  const lastN = fromN - down.strings * newtons(down.by, down.unit);
  if (lastN < leastN)
    return refuse(
      `${down.strings} × ${down.by} ${down.unit} from ${formatTension(fromN, down.unit)} would leave the outermost string at ${formatTension(lastN, down.unit)}; nothing is strung below ${formatTension(leastN, down.unit)}. 3 x 5 lb is usual on a very large head.`,
    );
  return [];
}

function sharedTieOffs({ holes }: FrameSpec): readonly FrameProblem[] {
  const full = holes.tieOff.find((label) => holes.shared.includes(label.replace(/[LR]$/, '')));
  return full === undefined
    ? []
    : [
        {
          field: 'tieOff',
          problem: `${full} is shared: a main and a cross fill it already, and a knot’s tail would be the third string. Is the knot in the hole beside it?`,
        },
      ];
}

/** Ruled holes against the pattern: each main takes two of them, each cross one a side. */
function ruledCount(spec: FrameSpec, count: number): FrameProblem | undefined {
  const { mains, crosses } = spec.pattern;
  const shared = spec.holes.shared.length;
  const needed = mains + crosses - shared;
  if (count === needed) return undefined;
  const both = shared > 0 ? `, ${shared} shared` : ', none shared';
  return {
    field: 'crosses',
    problem: `${count} holes were ruled on one side, but ${mains} mains and ${crosses} crosses${both}, take ${needed}. With these holes it would be ${count - mains + shared} crosses, or ${needed - count > 0 ? `${needed - count} more shared hole${needed - count > 1 ? 's' : ''}` : 'a hole ruled twice'}.`,
  };
}

/** Skips that cannot be where they are, by counting. */
function skipProblems(spec: FrameSpec): readonly FrameProblem[] {
  const perSide = spec.pattern.mains / 2;
  return ENDS.flatMap((end): FrameProblem[] => {
    const skips = spec.holes[end].skip ?? [];
    const wrong = skips.find((skip, i) => skip > perSide + i);
    if (wrong !== undefined) {
      const counting = skips.filter((skip, i) => skip <= perSide + i);
      const outermost = mainNumbers(perSide, counting).at(-1);
      return [
        {
          field: SKIP_FIELD[end],
          problem: `There is no skip at hole ${wrong}: with ${perSide} mains a side the outermost main is in ${outermost}${letter(end)}, and the holes beyond it belong to crosses anyway.`,
        },
      ];
    }
    const bridge = end === 'throat' ? (spec.bridgeHoles ?? 0) / 2 : 0;
    const inBridge = skips.find((skip) => skip <= bridge);
    if (inBridge !== undefined)
      return [
        {
          field: SKIP_FIELD[end],
          problem: `Hole ${inBridge}T is one of the ${bridge} a side in the bridge, and only mains go through the bridge.`,
        },
      ];
    if (skips.length > MOST_SKIPS)
      return [
        {
          field: SKIP_FIELD[end],
          problem: `${skips.length} skips at the ${end}: no frame has more than ${MOST_SKIPS}. Write the holes among the mains that stay empty for crosses, nothing else.`,
        },
      ];
    return [];
  });
}

function strayShared(spec: FrameSpec, skips: Skips): readonly FrameProblem[] {
  return ENDS.flatMap((end): FrameProblem[] => {
    const mains = mainNumbers(spec.pattern.mains / 2, skips[end]);
    const stray = numbersAt(spec.holes.shared, end).find((hole) => !mains.includes(hole));
    return stray === undefined
      ? []
      : [
          {
            field: 'shared',
            problem: `A shared hole takes a main and a cross, but no main goes through ${stray}${letter(end)}.`,
          },
        ];
  });
}

function tooManyAmongMains(spec: FrameSpec, skips: Skips): readonly FrameProblem[] {
  const amongMains = skips.head.length + skips.throat.length + spec.holes.shared.length;
  if (amongMains <= spec.pattern.crosses - 2) return [];
  return [
    {
      field: skips.throat.length > skips.head.length ? 'throatSkip' : 'headSkip',
      problem: `${amongMains} holes among the mains are kept for crosses; a bed of ${spec.pattern.crosses} crosses leaves too few holes for that. Is a number too many?`,
    },
  ];
}

/** Numbers that were counted, but cannot be a cross's hole. */
function shortCrosses(spec: FrameSpec, skips: Skips): readonly FrameProblem[] {
  return ENDS.flatMap((end): readonly FrameProblem[] => {
    const shared = numbersAt(spec.holes.shared, end);
    const counted = [...(spec.holes[end].skip ?? []), ...shared];
    const hole = counted.find(
      (number) => usualCrossLength(spec, skips, end, number) < SHORTEST_CROSS * spec.head.widthMm,
    );
    if (hole === undefined) return [];
    const length = Math.round(usualCrossLength(spec, skips, end, hole));
    return [
      {
        field: shared.includes(hole) ? 'shared' : SKIP_FIELD[end],
        problem: `A cross in hole ${hole}${letter(end)} would be only about ${length} mm long: that hole carries a main. Count again from the centre line outwards.`,
      },
    ];
  });
}

/** Labels of holes that this bed does not have. */
function strayHoles(spec: FrameSpec, skips: Skips): readonly FrameProblem[] {
  const slots = slotsOf(spec, skips);
  const known = new Set(slots.map(({ end, number }) => `${number}${letter(end)}`));
  return (['tieOff', 'double', 'ports'] as const).flatMap((field): FrameProblem[] => {
    const stray = spec.holes[field].find((label) => !known.has(label.replace(/[LR]$/, '')));
    if (stray === undefined) return [];
    const end = stray.includes('H') ? 'head' : 'throat';
    const most = Math.max(...slots.filter((slot) => slot.end === end).map(({ number }) => number));
    return [
      {
        field,
        problem: `There is no hole ${stray}: this bed counts to ${most}${letter(end)} at the ${end}.`,
      },
    ];
  });
}
