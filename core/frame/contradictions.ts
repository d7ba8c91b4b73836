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
import { refusal, type Refusal } from '../terms/result';
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
  if (!made.ok) return refuse([{ ...made, field: 'outline' }]);
  const outline = made.value;
  const beyond = limitsProblem(spec, outline);
  if (beyond && !spec.ownerInsists) return refuse([{ field: 'lengthMm', ...beyond }]);
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
    if (!read.ok) return refuse([read]);
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

/** The likeliest skips for what is known. On assumed places it is what is usual, and says nothing of this frame. */
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
  return ruled ? proposal : { ...proposal, certainty: 'usual' };
}

/** Why no skips can be proposed for what is known: what was counted leaves none. */
function noSkipsFit({ holes }: FrameSpec): FrameProblem {
  const end = ENDS.find((each) => holes[each].skip === null && holes[each].outermost !== null);
  if (end === undefined)
    return {
      field: holes.shared.length > 0 ? 'shared' : 'bridgeHoles',
      ...refusal('frame.no skips fit'),
    };
  return {
    field: OUTERMOST_FIELD[end],
    ...refusal('frame.no skips fit the outermost', {
      outermost: holes[end].outermost ?? 0,
      letter: letter(end),
    }),
  };
}

/** A mark of the outermost main that no skips could explain, whether they were read or not. */
function strayMarks({ pattern, holes }: FrameSpec): readonly FrameProblem[] {
  const perSide = pattern.mains / 2;
  return ENDS.flatMap((end): FrameProblem[] => {
    const { outermost, skip } = holes[end];
    if (outermost === null) return [];
    const refuse = (why: Refusal) => [{ field: OUTERMOST_FIELD[end], ...why }];
    const name = `${outermost}${letter(end)}`;
    if (skip?.includes(outermost)) return refuse(refusal('frame.outermost is a skip', { name }));
    if (outermost < perSide)
      return refuse(refusal('frame.outermost too near', { perSide, letter: letter(end), name }));
    if (outermost > perSide + MOST_SKIPS)
      return refuse(
        refusal('frame.outermost too far', {
          name,
          skips: outermost - perSide,
          end,
          most: MOST_SKIPS,
        }),
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
        ...refusal('frame.mains differ by end', { head, throat, together: head + throat }),
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
        ...refusal('frame.mains of the outermost', {
          outermost: outermost ?? 0,
          letter: letter(end),
          skips: skip?.length ?? 0,
          perSide: count,
          end,
          all: count * 2,
          mains: pattern.mains,
        }),
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
      ...refusal('frame.start leaps', {
        bridgeHoles,
        aSide: bridgeHoles / 2,
        start: mainsStart(bridgeHoles),
        said,
      }),
    });
  if (reversedOuterMains && pattern.mains < 10)
    problems.push({
      field: 'reversedOuterMains',
      ...refusal('frame.reversed too few'),
    });
  return problems;
}

/** Steps at the outer strings that the bed has no strings for, or that would leave the last one slack. */
function steepSteps(spec: FrameSpec): readonly FrameProblem[] {
  const { pattern, stringing, sport } = spec;
  const down = stringing.stepDown;
  if (!down) return [];
  const refuse = (why: Refusal): readonly FrameProblem[] => [{ field: 'stepDown', ...why }];
  const room = Math.min(pattern.mains / 2, Math.floor(pattern.crosses / 2)) - 1;
  if (down.strings > room)
    return refuse(refusal('frame.stepped too many', { strings: down.strings, room }));
  const { leastN } = pullLimits(sport);
  const fromN = printedRange(spec)?.minN ?? USUAL_PULL_N[sport];
  const lastN = fromN - down.strings * newtons(down.by, down.unit);
  if (lastN < leastN)
    return refuse(
      refusal('frame.stepped too low', {
        strings: down.strings,
        by: down.by,
        unit: down.unit,
        from: formatTension(fromN, down.unit),
        last: formatTension(lastN, down.unit),
        least: formatTension(leastN, down.unit),
      }),
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
          ...refusal('frame.shared tie-off', { full }),
        },
      ];
}

/** Ruled holes against the pattern: each main takes two of them, each cross one a side. */
function ruledCount(spec: FrameSpec, count: number): FrameProblem | undefined {
  const { mains, crosses } = spec.pattern;
  const shared = spec.holes.shared.length;
  const needed = mains + crosses - shared;
  if (count === needed) return undefined;
  const values = { count, mains, crosses, shared, needed, wouldBe: count - mains + shared };
  return {
    field: 'crosses',
    ...(needed > count
      ? refusal('frame.ruled too few', { ...values, lacking: needed - count })
      : refusal('frame.ruled too many', values)),
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
          ...refusal('frame.skip beyond', {
            wrong,
            perSide,
            outermost: outermost ?? 0,
            letter: letter(end),
          }),
        },
      ];
    }
    const bridge = end === 'throat' ? (spec.bridgeHoles ?? 0) / 2 : 0;
    const inBridge = skips.find((skip) => skip <= bridge);
    if (inBridge !== undefined)
      return [
        {
          field: SKIP_FIELD[end],
          ...refusal('frame.skip in the bridge', { inBridge, bridge }),
        },
      ];
    if (skips.length > MOST_SKIPS)
      return [
        {
          field: SKIP_FIELD[end],
          ...refusal('frame.too many skips', { count: skips.length, end, most: MOST_SKIPS }),
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
            ...refusal('frame.shared without main', { stray, letter: letter(end) }),
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
      ...refusal('frame.too many among mains', { amongMains, crosses: spec.pattern.crosses }),
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
        ...refusal('frame.short cross', { hole, letter: letter(end), mm: length }),
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
        ...refusal('frame.stray hole', { stray, most, letter: letter(end), end }),
      },
    ];
  });
}
