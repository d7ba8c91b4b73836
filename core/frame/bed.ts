/** The study of a frame: its outline and holes, what is wrong with what was entered, and what to look at again. */
import { say } from '../terms/words/english';
import type { Mm } from '../measure/quantities';
import { checkFrame, type Counted } from './contradictions';
import { limitsProblem, type FrameProblem, type FrameSpec } from './frame';
import type { Hole, Skips } from './holes';
import { lookTest, lookWords, type Look } from './look-test';
import { ENDS, type End } from '../terms/ends';
import { perimeter, strungArea, type Outline } from './outline';
import { mainsFinish, mainsStart } from './pattern';
import { placeHoles } from './placement';
import { NO_PROPOSAL, type SkipProposal } from './skip-solver';

export interface Bed {
  readonly spec: FrameSpec;
  readonly outline: Outline;
  readonly areaMm2: number;
  readonly perimeterMm: Mm;
  readonly mainsPerSide: number;
  /** The right half, from the head to the throat; the left is its mirror image. */
  readonly holes: readonly Hole[];
  /** Hole of each main of a side, M1 first. */
  readonly mainHoles: Record<End, readonly Hole[]>;
  /** Hole of each cross, from the top one down. */
  readonly crossHoles: readonly Hole[];
  readonly skips: Skips;
  /** Skips that fit the ruled holes, or the usual spacing where nothing was ruled. */
  readonly proposedSkips: Skips;
  readonly proposal: SkipProposal;
  /** Where the holes lie was ruled on the frame, not assumed. */
  readonly ruled: boolean;
  readonly look: Look;
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

const list = (numbers: readonly number[]) => (numbers.length > 0 ? numbers.join(' ') : 'none');

/**
 * Studies a frame as far as what was entered allows. Never throws on a spec of the right shape.
 *
 * @example
 * studyFrame(usual.spec).bed.skips // { head: [7, 9], throat: [7, 9] }
 */
export function studyFrame(spec: FrameSpec): Study {
  const checked = checkFrame(spec);
  if (!checked.ok) return { problems: checked.problems, cautions: [], assumed: [], bed: undefined };
  const { counted } = checked;
  const { outline, skips, proposed, proposal, ruled } = counted;
  const { holes, uneven } = placeHoles(spec, outline, skips, ruled);
  const bed = { ...bedFrom(spec, outline, holes, skips), proposedSkips: proposed, proposal };
  return {
    problems: [],
    cautions: cautionsOf(spec, counted, uneven, bed.look),
    assumed: assumptions(spec, counted),
    bed,
  };
}

/**
 * The bed of holes whose places and skips are known, so that nothing is proposed.
 *
 * @example
 * bedFrom(usual.spec, usual.bed.outline, usual.bed.holes, usual.bed.skips).mainsPerSide // 8
 */
export function bedFrom(
  spec: FrameSpec,
  outline: Outline,
  holes: readonly Hole[],
  skips: Skips,
): Bed {
  const mainsPerSide = spec.pattern.mains / 2;
  const start = spec.stringing.mainsStart ?? mainsStart(spec.bridgeHoles ?? ASSUMED_BRIDGE);
  const byMain = (end: End) =>
    holes
      .filter((hole) => hole.end === end && hole.main !== undefined)
      .toSorted((a, b) => (a.main ?? 0) - (b.main ?? 0));
  const mainHoles = { head: byMain('head'), throat: byMain('throat') };
  const crossHoles = holes.filter((hole) => hole.cross !== undefined);
  return {
    spec,
    outline,
    areaMm2: strungArea(outline),
    perimeterMm: perimeter(outline),
    mainsPerSide,
    holes,
    mainHoles,
    crossHoles,
    skips,
    proposedSkips: skips,
    proposal: NO_PROPOSAL,
    ruled: spec.holes.positionsMm !== null,
    look: lookTest(outline, mainHoles, crossHoles),
    mainsStart: start,
    mainsFinish: mainsFinish(start, mainsPerSide),
  };
}

/** What a bridge has when nobody has counted it: four a side is the commonest. Common practice. */
const ASSUMED_BRIDGE = 8;

function cautionsOf(
  spec: FrameSpec,
  { outline, ruled, proposed, skips }: Counted,
  uneven: boolean,
  look: Look,
): readonly string[] {
  const cautions: string[] = [];
  const beyond = limitsProblem(spec, outline);
  if (beyond) cautions.push(say('frame.not legal', { beyond: beyond.problem }));
  if (uneven)
    cautions.push(
      say('frame.uneven', { head: list(proposed.head), throat: list(proposed.throat) }),
    );
  if (
    ruled &&
    (String(skips.head) !== String(proposed.head) ||
      String(skips.throat) !== String(proposed.throat))
  )
    cautions.push(
      say('frame.ruled otherwise', { head: list(proposed.head), throat: list(proposed.throat) }),
    );
  cautions.push(...lookWords(look));
  if (spec.holes.ports.length > 0)
    cautions.push(say('frame.ports', { holes: spec.holes.ports.join(' ') }));
  if (spec.holes.double.length > 0)
    cautions.push(say('frame.double', { holes: spec.holes.double.join(' ') }));
  const { stepDown } = spec.stringing;
  if (stepDown)
    cautions.push(
      say('frame.stepped down', {
        strings: stepDown.strings,
        by: stepDown.by,
        unit: stepDown.unit,
      }),
    );
  return cautions;
}

function assumptions(
  { holes, bridgeHoles, stringing }: FrameSpec,
  { skips, ruled, proposal }: Counted,
): readonly string[] {
  const assumed: string[] = [];
  const open = ENDS.filter((end) => holes[end].skip === null);
  if (open.length > 0) {
    const from = ruled ? (proposal.certainty === 'near tie' ? 'tie' : 'ruler') : 'spacing';
    assumed.push(
      say('frame.skips proposed', {
        skips: open.map((end) => `at the ${end} ${list(skips[end])}`).join(', '),
        from,
      }),
    );
  }
  if (bridgeHoles === null && stringing.mainsStart === null)
    assumed.push(say('frame.bridge assumed'));
  if (holes.tieOff.length === 0) assumed.push(say('frame.tie-offs assumed'));
  return assumed;
}
