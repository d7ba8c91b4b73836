/**
 * The skips that fit the holes of a frame: which holes among the mains belong to crosses.
 *
 * Along a half the holes hold mains and a few crosses at the head, crosses only along the side,
 * mains and a few crosses again at the throat. An answer names the crosses among the mains at both
 * ends. Its cost is how unlikely the hole positions are under it (a negative logarithm), if mains
 * are parallel (or fan evenly), gaps change smoothly and readings err a little, now and then a lot.
 * The cost of an answer is that of its head, of its throat and of how the two go together, and that of
 * an end is that of its mains and of its crosses, none below zero. So what the mains alone, or the two ends
 * alone, cost is a bound; whatever is dearer by its bound than five known answers is never looked at
 * again. That is exact: branch and bound.
 */
import { fitter, type Fitter } from '../maths/smooth-fit';
import { halfPerimeter, rimAtArc, type Outline } from './outline';
import { opposite, type End } from '../terms/ends';
import { SHORTEST_CROSS, type Skips } from './holes';
import { evenSpacing, type Spacing } from './spacing';
import type { Sport } from '../terms/sport';

/** What has been seen of the skips at one end: all of them, some, or only how many. */
export interface SeenSkips {
  readonly skip: readonly number[];
  readonly all: boolean;
  readonly count: number | undefined;
}

export interface SkipQuestion {
  readonly sport: Sport;
  readonly outline: Outline;
  /** Every hole of a half, along the rim from the middle of the head, mm. */
  readonly arcs: readonly number[];
  readonly mainsPerSide: number;
  readonly crosses: number;
  /** Hole numbers that are known to take a main and a cross. */
  readonly shared: Skips;
  /** Holes of the bridge on one side, which hold mains only; undefined when not counted. */
  readonly bridgeAside: number | undefined;
  readonly seen: { readonly [E in End]: SeenSkips };
  /** The mains run together towards the throat. */
  readonly fan: boolean;
}

interface SkipAnswer {
  readonly skips: Skips;
  readonly cost: number;
  /** How likely it is among the answers found, 0 to 1. */
  readonly share: number;
}

/** *Usual* is what the usual spacing would have: nothing was read yet. */
type Certainty = 'sure' | 'likely' | 'near tie' | 'usual';

export interface SkipProposal {
  /** The best first, at most `MOST_ANSWERS`. */
  readonly answers: readonly SkipAnswer[];
  readonly certainty: Certainty;
}

const MOST_ANSWERS = 5;
/** Skips a end that are searched, unless more have been seen. */
export const DEEPEST = 5;

/** A reading along the rim errs by about this much, mm (one standard deviation). */
const READING_MM = 0.45;
/** Frames leave the smooth curve by about this much, mm. */
const UNEVEN_MM = 0.4;
/** From these shares on the best answer is called sure, and below it likely or a near tie. */
const SURE = 0.998;
const NEAR_TIE = 0.75;

/** What frames usually do, as costs: the number of skips at an end, and ends that differ. */
const COUNT_COST = [0.6, 0.2, 0, 0.15, 0.7, 1.2, 1.6, 2] as const;
const OTHER_COUNT_COST = 0.6;
const OTHER_PLACE_COST = 0.4;
/** How far the outermost main, and the end crosses, lie from the rim: this far from the usual, in gaps. */
const SIDE_DEVIATION = 1;
const TIP_DEVIATION = 2;
/** A gap changes by about this share of itself every other string, beside how gaps usually widen. */
const MAIN_BEND = 0.08;
const CROSS_BEND = 0.06;
/** Crosses widen by this share from the middle to an end. */
const CROSS_WIDEN = 0.15;

interface EndHoles {
  /** Distances from the centre line, and from the middle of the head towards this end, mm. */
  readonly x: readonly number[];
  readonly y: readonly number[];
  /** Variances of x and y readings, mm². */
  readonly xVariance: readonly number[];
  readonly yVariance: readonly number[];
  /** Half the logarithm of how much rim one mm of x or y takes, squared with the unevenness. */
  readonly xSpread: readonly number[];
  readonly ySpread: readonly number[];
}

/** One end's skips, judged by the mains alone: whatever the crosses are, it costs at least `bound`. */
interface Draft {
  readonly skip: readonly number[];
  readonly mainX: readonly number[];
  readonly mainVariance: readonly number[];
  readonly bound: number;
}

interface EndCandidate extends Draft {
  readonly cost: number;
}

/** The question laid out for one end and for the joining of two; made once for all answers. */
interface Layout {
  readonly question: SkipQuestion;
  readonly holes: Record<End, EndHoles>;
  readonly depth: Record<End, number>;
  /** Crosses that both ends see in the middle, so that both fits are anchored there. */
  readonly lastCross: Record<End, number>;
  readonly usual: Spacing;
  readonly mainFit: Fitter;
  readonly crossFit: Record<End, Fitter>;
}

function holesSeenFrom(end: End, outline: Outline, arcs: readonly number[]): EndHoles {
  const half = halfPerimeter(outline);
  const outwards = end === 'head' ? arcs : arcs.map((arc) => half - arc).toReversed();
  const points = outwards.map((arc) => {
    const at = (a: number) => rimAtArc(outline, end === 'head' ? a : half - a);
    const [p, before, after] = [at(arc), at(arc - 1), at(arc + 1)];
    const run = Math.hypot(after.x - before.x, after.y - before.y) || 1;
    return {
      x: p.x,
      y: end === 'head' ? p.y : -p.y,
      cos: Math.abs(after.x - before.x) / run,
      sin: Math.abs(after.y - before.y) / run,
    };
  });
  const variance = (share: number) => (READING_MM * share) ** 2 + UNEVEN_MM ** 2;
  const spread = (share: number) =>
    0.5 * Math.log((READING_MM ** 2 + (UNEVEN_MM / Math.max(share, 0.05)) ** 2) / READING_MM ** 2);
  return {
    x: points.map((p) => p.x),
    y: points.map((p) => p.y),
    xVariance: points.map((p) => variance(p.cos)),
    yVariance: points.map((p) => variance(p.sin)),
    xSpread: points.map((p) => spread(p.cos)),
    ySpread: points.map((p) => spread(p.sin)),
  };
}

function layoutOf(question: SkipQuestion): Layout {
  const { outline, arcs, mainsPerSide, crosses, sport, seen, shared } = question;
  const holes = {
    head: holesSeenFrom('head', outline, arcs),
    throat: holesSeenFrom('throat', outline, arcs),
  };
  // As deep as usual, but never so deep that no cross is left in the middle to anchor both ends.
  const room = Math.max(0, Math.floor((arcs.length - 2 * mainsPerSide - 4) / 2));
  const depth = {
    head: Math.max(seen.head.count ?? seen.head.skip.length, Math.min(DEEPEST, room)),
    throat: Math.max(seen.throat.count ?? seen.throat.skip.length, Math.min(DEEPEST, room)),
  };
  const lastCross = {
    head: arcs.length - (mainsPerSide + depth.throat),
    throat: arcs.length - (mainsPerSide + depth.head),
  };
  const spacing = evenSpacing(sport, question.fan);
  const mainGap = outline.widthMm / 2 / (mainsPerSide + spacing.mainRim);
  const crossGap = outline.lengthMm / (crosses + spacing.headRim + spacing.throatRim);
  return {
    question,
    holes,
    depth,
    lastCross,
    usual: spacing,
    // The centre line lies half a gap inside the first main, and mains begin there.
    mainFit: bentFitter(
      Array.from({ length: mainsPerSide }, (_, i) => i + 0.5),
      { gap: mainGap, widen: spacing.mainWiden, bend: MAIN_BEND, begins: 'at the centre' },
    ),
    crossFit: {
      head: crossFitter(lastCross.head - mainsPerSide + shared.head.length, crossGap),
      throat: crossFitter(lastCross.throat - mainsPerSide + shared.throat.length, crossGap),
    },
  };
}

const crossFitter = (count: number, gap: number): Fitter =>
  bentFitter(
    Array.from({ length: count }, (_, v) => v),
    { gap, widen: CROSS_WIDEN, bend: CROSS_BEND, begins: 'anywhere' },
  );

/**
 * A straight row of strings by their numbers, that bends a little at every other string: gaps may stay
 * equal, then widen, in steps or steadily, as long as no step is large.
 */
function bentFitter(
  numbers: readonly number[],
  row: {
    readonly gap: number;
    readonly widen: number;
    readonly bend: number;
    readonly begins: 'at the centre' | 'anywhere';
  },
): Fitter {
  const { gap, widen, bend, begins } = row;
  const start = begins === 'anywhere' ? [1] : [];
  const bends: number[] = [];
  for (let at = 1.5; at < (numbers.at(-1) ?? 0) - 0.9; at += 2) bends.push(at);
  return fitter(
    numbers.map((number) => [...start, number, ...bends.map((at) => Math.max(0, number - at))]),
    [
      ...start.map(() => undefined),
      undefined,
      ...bends.map(() => ({ mean: (widen * gap) / bends.length, deviation: bend * gap })),
    ],
  );
}

/** How far a distance to the rim, in gaps, is from what frames usually leave. */
const rimCost = (gaps: number, usual: number, deviation: number): number =>
  Math.log1p(((gaps - usual) / deviation) ** 2 / 2);

function draftEnd(layout: Layout, end: End, skip: readonly number[]): Draft {
  const { question, holes, mainFit, usual } = layout;
  const { mainsPerSide, outline, fan } = question;
  const here = holes[end];
  const mainX: number[] = [];
  const mainVariance: number[] = [];
  let spread = 0;
  for (let hole = 1; mainX.length < mainsPerSide; hole++) {
    if (skip.includes(hole)) continue;
    mainX.push(here.x[hole - 1] as number);
    mainVariance.push(here.xVariance[hole - 1] as number);
    spread += here.xSpread[hole - 1] as number;
  }
  const outermost = mainX.at(-1) as number;
  const gap = outermost - (mainX.at(-2) ?? 0);
  // At the throat of a fan the mains end where the yoke has them.
  const rim =
    end === 'throat' && fan
      ? 0
      : rimCost(
          (outline.widthMm / 2 - outermost) / Math.max(1, gap),
          usual.mainRim,
          SIDE_DEVIATION,
        );
  const bound = mainFit(mainX, mainVariance) + spread + rim + (COUNT_COST[skip.length] ?? 6);
  return { skip, mainX, mainVariance, bound };
}

/** The draft with what its crosses cost on top, which is never below zero. */
function judgeEnd(layout: Layout, end: End, draft: Draft): EndCandidate {
  const { question, holes, lastCross, crossFit, usual } = layout;
  const { outline, mainsPerSide, shared } = question;
  const here = holes[end];
  const outermost = mainsPerSide + draft.skip.length;
  const crossHoles = [...draft.skip, ...shared[end]].sort((a, b) => a - b);
  for (let hole = outermost + 1; hole <= lastCross[end]; hole++) crossHoles.push(hole);
  crossHoles.reverse();
  const crossY = crossHoles.map((hole) => here.y[hole - 1] as number);
  let spread = 0;
  for (const hole of crossHoles) spread += here.ySpread[hole - 1] as number;
  const top = crossY.at(-1) as number;
  const gap = top - (crossY.at(-2) as number);
  const fit = crossFit[end](
    crossY,
    crossHoles.map((hole) => here.yVariance[hole - 1] as number),
  );
  const rim = rimCost(
    (outline.lengthMm / 2 - top) / Math.max(1, gap),
    end === 'head' ? usual.headRim : usual.throatRim,
    TIP_DEVIATION,
  );
  return { ...draft, cost: draft.bound + fit + spread + rim };
}

/** All sets of skips that an end can have, by counting and by what has been seen. */
function skipSets(layout: Layout, end: End): readonly (readonly number[])[] {
  const { question, holes, depth } = layout;
  const { mainsPerSide, outline, bridgeAside, seen, shared } = question;
  const known = seen[end];
  if (known.all) return [known.skip];
  const may = (hole: number) =>
    !shared[end].includes(hole) &&
    2 * (holes[end].x[hole - 1] as number) >= SHORTEST_CROSS * outline.widthMm &&
    !(end === 'throat' && bridgeAside !== undefined && hole <= bridgeAside);
  const sets: number[][] = [];
  const grow = (set: number[], from: number) => {
    // A skip lies among the mains: inside the outermost one, whose hole is its number and the skips.
    if (
      set.every((hole, i) => hole <= mainsPerSide + i) &&
      known.skip.every((hole) => set.includes(hole)) &&
      (known.count === undefined || known.count === set.length)
    )
      sets.push(set);
    if (set.length === depth[end]) return;
    // The next skip lies inside the outermost main too, so there is no use in looking further out.
    for (let hole = from; hole <= mainsPerSide + set.length; hole++)
      if (may(hole) || known.skip.includes(hole)) grow([...set, hole], hole + 1);
  };
  grow([], 1);
  return sets;
}

/** How mains of one head and one throat go together: parallel, or one fan; and alike in number. */
function joinCost(fan: boolean, head: EndCandidate, throat: EndCandidate): number {
  let share = 1;
  if (fan) {
    let [up, down] = [0, 0];
    head.mainX.forEach((x, i) => {
      up += x * (throat.mainX[i] as number);
      down += x * x;
    });
    share = up / down;
  }
  let cost =
    (head.skip.length === throat.skip.length ? 0 : OTHER_COUNT_COST) +
    (String(head.skip) === String(throat.skip) ? 0 : OTHER_PLACE_COST);
  for (let i = 0; i < head.mainX.length; i++) {
    const off = share * (head.mainX[i] as number) - (throat.mainX[i] as number);
    const variance = (head.mainVariance[i] as number) + (throat.mainVariance[i] as number);
    cost += 1.5 * Math.log1p((off * off) / (2 * variance));
  }
  return cost;
}

/**
 * The cost of one answer, as the solver counts it. For the solver's proof against trying everything.
 * Hole positions in mm along the rim; the number is without a unit and means something only beside
 * that of another answer to the same question.
 */
export function answerCost(question: SkipQuestion, skips: Skips): number {
  const layout = layoutOf(question);
  const judged = (end: End) => judgeEnd(layout, end, draftEnd(layout, end, skips[end]));
  const [head, throat] = [judged('head'), judged('throat')];
  return head.cost + throat.cost + joinCost(question.fan, head, throat);
}

/** Every pair of skip sets that the solver considers. */
export function possibleSkips(question: SkipQuestion): Record<End, readonly (readonly number[])[]> {
  const layout = layoutOf(question);
  return { head: skipSets(layout, 'head'), throat: skipSets(layout, 'throat') };
}

/** Nothing is proposed: nothing was asked, or counting allows no answer. */
export const NO_PROPOSAL: SkipProposal = { answers: [], certainty: 'near tie' };

interface Pair {
  readonly head: EndCandidate;
  readonly throat: EndCandidate;
  readonly cost: number;
}

/** Drafts of each end that are judged first, to know early what an answer must not cost. */
const SCOUTS = 6;

/** The cheapest `MOST_ANSWERS` pairs, cheapest first. */
function bestPairs(layout: Layout): readonly Pair[] {
  const drafts = (end: End) =>
    skipSets(layout, end)
      .map((skip) => draftEnd(layout, end, skip))
      .sort((a, b) => a.bound - b.bound);
  const all = { head: drafts('head'), throat: drafts('throat') };
  const judge = (end: End, some: readonly Draft[]) =>
    some.map((draft) => judgeEnd(layout, end, draft)).sort((a, b) => a.cost - b.cost);
  const scouts = join(
    layout,
    judge('head', all.head.slice(0, SCOUTS)),
    judge('throat', all.throat.slice(0, SCOUTS)),
  );
  // A draft whose bound alone, beside the least of the other end, costs more than five known answers is out.
  const most = scouts[MOST_ANSWERS - 1]?.cost ?? Infinity;
  const worthIt = (end: End) => {
    const other = all[opposite(end)][0]?.bound ?? 0;
    return judge(
      end,
      all[end].filter(({ bound }) => bound + other <= most),
    );
  };
  return join(layout, worthIt('head'), worthIt('throat'));
}

/** Joins two ends sorted by cost, leaving a row as soon as no pair in it can be cheap enough. */
function join(
  { question }: Layout,
  heads: readonly EndCandidate[],
  throats: readonly EndCandidate[],
): readonly Pair[] {
  const best: Pair[] = [];
  const worst = () => best[MOST_ANSWERS - 1]?.cost ?? Infinity;
  const cheapestThroat = throats[0]?.cost ?? Infinity;
  for (const head of heads) {
    if (head.cost + cheapestThroat >= worst()) break;
    for (const throat of throats) {
      if (head.cost + throat.cost >= worst()) break;
      const cost = head.cost + throat.cost + joinCost(question.fan, head, throat);
      if (cost >= worst()) continue;
      best.push({ head, throat, cost });
      best.sort((a, b) => a.cost - b.cost);
      best.length = Math.min(best.length, MOST_ANSWERS);
    }
  }
  return best;
}

/** What holes cost each, on average, where they follow a curve at all; dearer ones fit no story well enough to be sure. */
const FITS = 1.15;
/** Outer gaps that are so much wider than the inner ones are drilled by no smooth curve, so that none is sure. */
const WIDE_OUTSIDE = 1.4;

/** Whether the two outermost gaps of a row are far wider than its inner ones. */
function isWideOutside(places: readonly number[]): boolean {
  const gaps = places.slice(1).map((place, i) => Math.abs(place - (places[i] ?? 0)));
  const inner = gaps.slice(0, Math.max(1, Math.floor(gaps.length / 2)));
  const mean = inner.reduce((sum, gap) => sum + gap, 0) / inner.length;
  return gaps.slice(-2).some((gap) => gap > WIDE_OUTSIDE * mean);
}

/** Whether these skips leave a bed whose outer gaps are far wider than the inner ones. */
const hasWideOutside = ({ holes, question }: Layout, { skips }: SkipAnswer): boolean =>
  (['head', 'throat'] as const).some((end) => {
    const { x, y } = holes[end];
    const numbers = x.map((_, i) => i + 1);
    const isSkipped = (hole: number) => skips[end].includes(hole);
    const mains = numbers.filter((hole) => !isSkipped(hole)).slice(0, question.mainsPerSide);
    const outermost = mains.at(-1) ?? 0;
    const half = question.crosses / 2;
    const crosses = numbers
      .filter((hole) => isSkipped(hole) || hole > outermost)
      .slice(0, Math.floor(half));
    return (
      isWideOutside(mains.map((hole) => x[hole - 1] ?? 0)) ||
      isWideOutside(crosses.map((hole) => y[hole - 1] ?? 0).toReversed())
    );
  });

/**
 * The likeliest skips for these holes, exactly the best `MOST_ANSWERS` of all that counting allows.
 * Empty when counting allows none: the holes are too few or too many, or what was seen contradicts.
 *
 * @example
 * solveSkips({ sport: 'tennis', outline: usual.bed.outline, arcs: usual.bed.holes.map(({ arc }) => arc), mainsPerSide: 8, crosses: 19, shared: { head: [], throat: [] }, bridgeAside: undefined, seen: { head: { skip: [], all: false, count: undefined }, throat: { skip: [], all: false, count: undefined } }, fan: false }).answers[0].skips // { head: [7, 9], throat: [7, 9] }
 */
export function solveSkips(question: SkipQuestion): SkipProposal {
  const { arcs, mainsPerSide, crosses, shared } = question;
  const needed = 2 * mainsPerSide + crosses - shared.head.length - shared.throat.length;
  if (arcs.length !== needed) return NO_PROPOSAL;
  const layout = layoutOf(question);
  const best = bestPairs(layout);
  const least = best[0]?.cost ?? 0;
  const total = best.reduce((sum, { cost }) => sum + Math.exp(least - cost), 0);
  const answers = best.map(({ head, throat, cost }): SkipAnswer => ({
    skips: { head: head.skip, throat: throat.skip },
    cost,
    share: Math.exp(least - cost) / total,
  }));
  const [first] = answers;
  if (!first) return NO_PROPOSAL;
  const isSure =
    first.share >= SURE && first.cost <= FITS * arcs.length && !hasWideOutside(layout, first);
  return {
    answers,
    certainty: isSure ? 'sure' : first.share < NEAR_TIE ? 'near tie' : 'likely',
  };
}
