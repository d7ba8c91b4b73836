/**
 * How often the skip solver finds the truth when the holes of frames are read with errors: the
 * library's frames, and frames with a spacing of their own that the solver's curves know nothing of.
 */
import { studyFrame } from '@/core/bed';
import { LEAST_HOLE_GAP, numbersAt, type Skips } from '@/core/holes';
import { LIBRARY } from '@/core/library';
import { familyOutline, rimAtX, rimAtY, type End } from '@/core/outline';
import { fansOut } from '@/core/placement';
import { solveSkips, type SkipQuestion } from '@/core/skip-solver';
import { crossPositions, evenSpacing, mainPositions, type Spacing } from '@/core/spacing';
import type { Sport } from '@/core/sport';
import { chanceFrom, type Chance } from '@/core/chance';

export interface Trial {
  readonly frames: string;
  readonly runs: number;
  readonly first: number;
  readonly amongThree: number;
  readonly sure: number;
  readonly sureAndWrong: number;
}

export interface KnownFrame {
  readonly question: SkipQuestion;
  readonly truth: Skips;
}

const NOTHING = { skip: [], all: false, count: undefined };
const SEEN = { head: NOTHING, throat: NOTHING };

/** What a ruler knows of the library: hole places, pattern, bridge and shared holes, but no skips. */
export const libraryFrames = (): readonly KnownFrame[] =>
  LIBRARY.flatMap(({ spec }): KnownFrame[] => {
    const { bed } = studyFrame(spec);
    if (!bed) return [];
    const shared = (end: End) => numbersAt(spec.holes.shared, end);
    return [
      {
        truth: bed.skips,
        question: {
          sport: spec.sport,
          outline: bed.outline,
          arcs: bed.holes.map(({ arc }) => arc),
          mainsPerSide: bed.mainsPerSide,
          crosses: spec.pattern.crosses,
          shared: { head: shared('head'), throat: shared('throat') },
          bridgeAside: spec.bridgeHoles === null ? undefined : spec.bridgeHoles / 2,
          seen: SEEN,
          fan: fansOut(spec),
        },
      },
    ];
  });

const SIZES: Record<Sport, { length: number; width: number; mains: number[]; crosses: number[] }> =
  {
    tennis: { length: 334, width: 246, mains: [16, 16, 18], crosses: [16, 18, 19, 20] },
    badminton: { length: 240, width: 185, mains: [22], crosses: [21, 22] },
    squash: { length: 310, width: 184, mains: [14, 16], crosses: [17, 18, 19] },
  };

/** An odd frame as a maker would drill it: strings that would meet in one hole are no design. */
function oddFrame(chance: Chance, sport: Sport): KnownFrame {
  for (;;) {
    const frame = drawnFrame(chance, sport);
    const { arcs } = frame.question;
    if (arcs.every((arc, i) => i === 0 || arc - (arcs[i - 1] as number) >= LEAST_HOLE_GAP[sport]))
      return frame;
  }
}

/** A frame whose gaps widen by shares of its own, each string a little off its place. */
function drawnFrame(chance: Chance, sport: Sport): KnownFrame {
  const size = SIZES[sport];
  const within = (low: number, high: number) => low + (high - low) * chance.next();
  const outline = familyOutline(
    size.length * within(0.96, 1.04),
    size.width * within(0.96, 1.04),
    chance.one(['oval', 'squared oval', 'egg']),
  );
  const [mains, crosses] = [chance.one(size.mains), chance.one(size.crosses)];
  const usual = evenSpacing(sport, false);
  const spacing: Spacing = {
    mainWiden: within(0, 0.45),
    mainRim: usual.mainRim * within(0.8, 1.2),
    crossWiden: within(0, 0.35),
    headRim: usual.headRim * within(0.8, 1.3),
    throatRim: usual.throatRim * within(0.8, 1.3),
    fan: 1,
  };
  const off = () => within(-0.4, 0.4);
  const x = mainPositions(outline.widthMm, mains / 2, spacing).map((each) => each + off());
  const y = crossPositions(outline.lengthMm, crosses, spacing).map((each) => each + off());
  const strings = [
    ...(['head', 'throat'] as const).flatMap((end) =>
      x.map((each) => ({ end, main: true, arc: rimAtX(outline, each, end).arc })),
    ),
    ...y.map((each) => ({ end: undefined, main: false, arc: rimAtY(outline, each).arc })),
  ].sort((a, b) => a.arc - b.arc);
  const skipsFrom = (from: readonly { readonly main: boolean }[]) => {
    const outermost = from.flatMap(({ main }, i) => (main ? [i] : []))[mains / 2 - 1] ?? 0;
    return from.flatMap(({ main }, i) => (!main && i < outermost ? [i + 1] : []));
  };
  return {
    truth: { head: skipsFrom(strings), throat: skipsFrom(strings.toReversed()) },
    question: {
      sport,
      outline,
      arcs: strings.map(({ arc }) => arc),
      mainsPerSide: mains / 2,
      crosses,
      shared: { head: [], throat: [] },
      bridgeAside: 3,
      seen: SEEN,
      fan: false,
    },
  };
}

const same = (a: Skips, b: Skips) =>
  String(a.head) === String(b.head) && String(a.throat) === String(b.throat);

export interface Reading {
  /** Every hole is off by up to this much either way, all errors alike likely. */
  readonly errorMm: number;
  /** One hole of each frame is off by this much more. */
  readonly slipMm: number;
}

const SPORTS_TRIED = ['tennis', 'badminton', 'squash'] as const;

/** Reads every library frame, and as many odd frames of each sport, `times` over. */
export function skipTrial({ errorMm, slipMm }: Reading, times: number): readonly Trial[] {
  const chance = chanceFrom(7);
  const library = libraryFrames();
  const trials = new Map<string, { -readonly [K in keyof Trial]: Trial[K] }>();
  const run = (kind: string, { question, truth }: KnownFrame) => {
    const slip = chance.below(question.arcs.length);
    const arcs = question.arcs
      .map((arc, i) => arc + errorMm * (2 * chance.next() - 1) + (i === slip ? slipMm : 0))
      .sort((a, b) => a - b);
    const { answers, certainty } = solveSkips({ ...question, arcs });
    const at = answers.findIndex(({ skips }) => same(skips, truth));
    for (const frames of [kind, `${kind}, ${question.sport}`]) {
      const none = { frames, runs: 0, first: 0, amongThree: 0, sure: 0, sureAndWrong: 0 };
      const trial = trials.get(frames) ?? none;
      trials.set(frames, trial);
      trial.runs++;
      trial.first += at === 0 ? 1 : 0;
      trial.amongThree += at >= 0 && at < 3 ? 1 : 0;
      trial.sure += certainty === 'sure' ? 1 : 0;
      trial.sureAndWrong += certainty === 'sure' && at !== 0 ? 1 : 0;
    }
  };
  for (let i = 0; i < times; i++) {
    for (const frame of library) run('library', frame);
    for (const sport of SPORTS_TRIED)
      for (let n = 0; n < 8; n++) run('odd spacing', oddFrame(chance, sport));
  }
  return [...trials.values()];
}

/** The trials of one way of reading as the rows of a table, percentages of the runs. */
export function ledgerOf({ errorMm, slipMm }: Reading, trials: readonly Trial[]): string {
  const reading = `±${errorMm} mm${slipMm > 0 ? `, one hole ${slipMm} mm off` : ''}`;
  const row = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return trials
    .toSorted((a, b) => a.frames.localeCompare(b.frames))
    .map(({ frames, runs, ...counts }) =>
      row([
        frames,
        reading,
        String(runs),
        ...[counts.first, counts.amongThree, counts.sure, counts.sureAndWrong].map((count) =>
          ((100 * count) / runs).toFixed(1),
        ),
      ]),
    )
    .join('\n');
}
