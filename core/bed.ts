/** The study of a frame: its outline and holes, what is wrong with what was entered, and what to look at again. */
import {
  headOutline,
  limitsProblem,
  sizeProblems,
  type FrameProblem,
  type FrameSpec,
} from './frame';
import {
  countProblems,
  evenSkips,
  letter,
  numbersAt,
  placeHoles,
  roomProblem,
  usualCrossLength,
  type Hole,
  type Skips,
} from './holes';
import { perimeter, strungArea, type End, type Outline } from './outline';
import { mainsFinish, mainsStart } from './pattern';

export interface Bed {
  readonly spec: FrameSpec;
  readonly outline: Outline;
  readonly areaMm2: number;
  readonly perimeterMm: number;
  readonly mainsPerSide: number;
  /** The right half, from the head to the throat; the left is its mirror image. */
  readonly holes: readonly Hole[];
  /** Hole of each main of a side, M1 first. */
  readonly mainHoles: Record<End, readonly Hole[]>;
  /** Hole of each cross, from the top one down. */
  readonly crossHoles: readonly Hole[];
  readonly skips: Skips;
  /** Skips by even spacing, or by the ruled distances where there are any. */
  readonly evenSkips: Skips;
  readonly mainsStart: End;
  readonly mainsFinish: End;
}

export interface Study {
  /** What must be mended before there is a bed, each at its field. */
  readonly problems: readonly FrameProblem[];
  /** What deserves a second look; nothing is refused for it. */
  readonly cautions: readonly string[];
  /** What nobody has read from the frame yet and stands in for it; to be checked before the cut. */
  readonly assumed: readonly string[];
  readonly bed: Bed | undefined;
}

/** A cross shorter than this share of the head's width lies where only mains are. */
const SHORTEST_CROSS = 0.3;

const list = (numbers: readonly number[]) => (numbers.length > 0 ? numbers.join(' ') : 'none');

/** Studies a frame as far as what was entered allows. Never throws on a spec of the right shape. */
export function studyFrame(spec: FrameSpec): Study {
  const refuse = (problems: readonly FrameProblem[]): Study => ({
    problems,
    cautions: [],
    assumed: [],
    bed: undefined,
  });

  const sizes = sizeProblems(spec);
  if (sizes.length > 0) return refuse(sizes);
  const made = headOutline(spec);
  if (!made.ok) return refuse([{ field: 'outline', problem: made.problem }]);
  const outline = made.value;
  const cautions: string[] = [];
  const beyond = limitsProblem(spec, outline);
  if (beyond && !spec.ownerInsists) return refuse([{ field: 'lengthMm', problem: beyond }]);
  if (beyond)
    cautions.push(`${beyond} The racket is not legal for play; strung because its owner insists.`);

  const ruled = ruledProblems(spec);
  if (ruled.length > 0) return refuse(ruled);

  const even = evenSkips(spec, outline);
  const skips: Skips = {
    head: spec.holes.head.skip ?? even.head,
    throat: spec.holes.throat.skip ?? even.throat,
  };
  const counts = countProblems(spec, skips);
  if (counts.length > 0) return refuse(counts);

  const short = shortCrossProblems(spec, skips);
  if (short.length > 0) return refuse(short);
  const noRoom = roomProblem(spec, outline);
  if (noRoom) return refuse([noRoom]);

  const { holes, uneven } = placeHoles(spec, outline, skips);
  const stray = strayTieOffs(spec, holes);
  if (stray.length > 0) return refuse(stray);

  if (uneven)
    cautions.push(
      `These holes do not go with evenly widening gaps: even spacing would skip ${list(even.head)} at the head and ${list(even.throat)} at the throat. Look at the frame once more.`,
    );

  const mainsPerSide = spec.pattern.mains / 2;
  const start = mainsStart(spec.bridgeHoles);
  const byMain = (end: End) =>
    holes
      .filter((hole) => hole.end === end && hole.main !== undefined)
      .toSorted((a, b) => (a.main ?? 0) - (b.main ?? 0));
  return {
    problems: [],
    cautions,
    assumed: assumptions(spec, even),
    bed: {
      spec,
      outline,
      areaMm2: strungArea(outline),
      perimeterMm: perimeter(outline),
      mainsPerSide,
      holes,
      mainHoles: { head: byMain('head'), throat: byMain('throat') },
      crossHoles: holes.filter((hole) => hole.cross !== undefined),
      skips,
      evenSkips: even,
      mainsStart: start,
      mainsFinish: mainsFinish(start, mainsPerSide),
    },
  };
}

function ruledProblems(spec: FrameSpec): readonly FrameProblem[] {
  const { mains, crosses } = spec.holes.positionsMm ?? { mains: null, crosses: null };
  const problems: FrameProblem[] = [];
  const perSide = spec.pattern.mains / 2;
  if (mains && mains.length !== perSide)
    problems.push({
      field: 'mainsMm',
      problem: `${mains.length} distances for ${perSide} mains a side: rule one for each main, from the centre line outwards.`,
    });
  else if (mains && (mains.at(-1) as number) > spec.head.widthMm / 2 - 5)
    problems.push({
      field: 'mainsMm',
      problem: `A main ${mains.at(-1)} mm from the centre line is outside a head ${spec.head.widthMm} mm wide.`,
    });
  if (crosses && crosses.length !== spec.pattern.crosses)
    problems.push({
      field: 'crossesMm',
      problem: `${crosses.length} distances for ${spec.pattern.crosses} crosses: rule one for each cross, from the head down.`,
    });
  else if (crosses && (crosses.at(-1) as number) > spec.head.lengthMm - 5)
    problems.push({
      field: 'crossesMm',
      problem: `A cross ${crosses.at(-1)} mm below the tip is outside a head ${spec.head.lengthMm} mm long.`,
    });
  return problems;
}

function strayTieOffs(spec: FrameSpec, holes: readonly Hole[]): readonly FrameProblem[] {
  const stray = spec.holes.tieOff.find((label) => !holes.some((hole) => hole.label === label));
  if (stray === undefined) return [];
  const end = stray.endsWith('H') ? 'head' : 'throat';
  const most = Math.max(...holes.filter((hole) => hole.end === end).map((hole) => hole.number));
  return [
    {
      field: 'tieOff',
      problem: `There is no hole ${stray}: this bed counts to ${most}${letter(end)} at the ${end}.`,
    },
  ];
}

/** Numbers that were counted, but cannot be a cross's hole. */
function shortCrossProblems(spec: FrameSpec, skips: Skips): readonly FrameProblem[] {
  return (['head', 'throat'] as const).flatMap((end): readonly FrameProblem[] => {
    const shared = numbersAt(spec.holes.shared, end);
    const counted = [...(spec.holes[end].skip ?? []), ...shared];
    const hole = counted.find(
      (number) => usualCrossLength(spec, skips, end, number) < SHORTEST_CROSS * spec.head.widthMm,
    );
    if (hole === undefined) return [];
    const length = Math.round(usualCrossLength(spec, skips, end, hole));
    return [
      {
        field: shared.includes(hole) ? 'shared' : end === 'head' ? 'headSkip' : 'throatSkip',
        problem: `A cross in hole ${hole}${letter(end)} would be only about ${length} mm long: that hole carries a main. Count again from the centre line outwards.`,
      },
    ];
  });
}

function assumptions(spec: FrameSpec, even: Skips): readonly string[] {
  const assumed: string[] = [];
  const open = (['head', 'throat'] as const).filter((end) => spec.holes[end].skip === null);
  if (open.length > 0)
    assumed.push(
      `Skips ${open.map((end) => `at the ${end} ${list(even[end])}`).join(', ')}: proposed from spacing, not read from the frame. Check them against the old strings before cutting.`,
    );
  if (spec.holes.tieOff.length === 0)
    assumed.push(
      'No tie-off holes entered: the nearest main hole stands in. Tie off only in a hole bored for it.',
    );
  return assumed;
}
