/**
 * How often the skip solver finds the truth when the holes of frames are read with errors: the
 * library's frames, and drawn ones whose spacing the solver's curves know nothing of.
 */
import type { Mm } from '../measure/quantities';
import { studyFrame } from '../frame/bed';
import { chanceFrom } from '../maths/chance';
import { numbersAt, type Skips } from '../frame/holes';
import { LIBRARY } from '../frame/library';
import type { End } from '../terms/ends';
import { fansOut } from '../frame/placement';
import { solveSkips, type SkipQuestion } from '../frame/skip-solver';
import { SPORTS } from '../terms/sport';
import { DRILLINGS, drawnFrame, type DrawnFrame, type Drilling } from './drawn-frames';

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

/** What a ruler knows of a drawn frame. */
const questionOf = ({ skips, mains, ...frame }: DrawnFrame): KnownFrame => ({
  truth: skips,
  question: {
    sport: frame.sport,
    outline: frame.outline,
    arcs: frame.arcs,
    mainsPerSide: mains / 2,
    crosses: frame.crosses,
    shared: { head: [], throat: [] },
    bridgeAside: 3,
    seen: SEEN,
    fan: false,
  },
});

const same = (a: Skips, b: Skips) =>
  String(a.head) === String(b.head) && String(a.throat) === String(b.throat);

export interface Reading {
  /** Every hole is off by up to this much either way, all errors alike likely. */
  readonly errorMm: Mm;
  /** One hole of each frame is off by this much more. */
  readonly slipMm: Mm;
}

/** Reads as many drawn frames of every drilling and sport, `times` over; the library's so often too where it is asked for. */
export function skipTrial(
  { errorMm, slipMm }: Reading,
  times: number,
  library: readonly KnownFrame[] = [],
  drillings: readonly Drilling[] = DRILLINGS,
): readonly Trial[] {
  const chance = chanceFrom(7);
  const trials = new Map<string, { -readonly [K in keyof Trial]: Trial[K] }>();
  const run = (kinds: readonly string[], { question, truth }: KnownFrame) => {
    const slip = chance.below(question.arcs.length);
    const arcs = question.arcs
      .map((arc, i) => arc + errorMm * (2 * chance.next() - 1) + (i === slip ? slipMm : 0))
      .sort((a, b) => a - b);
    const { answers, certainty } = solveSkips({ ...question, arcs });
    const at = answers.findIndex(({ skips }) => same(skips, truth));
    for (const frames of kinds) {
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
    for (const frame of library) run([`library, ${frame.question.sport}`], frame);
    for (const sport of SPORTS)
      for (const drilling of drillings)
        for (let n = 0; n < 3; n++)
          run(
            [`drawn, ${sport}`, `drawn, ${drilling}`],
            questionOf(drawnFrame(chance, sport, drilling)),
          );
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
