/** A frame's study and a job's plan, as an object for programs and as text for people. */
import type { Bed, Study } from '@/core/frame/bed';
import { coveredHoles, type Covered } from '@/core/path/covered-holes';
import { runName } from '@/core/path/groove';
import { USUAL_ASSUMPTIONS, type PieceLength } from '@/core/cut/lengths';
import { jobOf, type Job } from '@/core/bench/job';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { USUAL_MACHINE } from '@/core/house/machine';
import type { JobString } from '@/core/strings/job-string';
import { measureWords } from '@/core/cut/measuring';
import { METHOD_WORDS } from '@/core/terms/method';
import { methodProblem, pathCautions, possibleMethods } from '@/core/cut/methods';
import type { PathChoice } from '@/core/path/path';
import { success, type Result } from '@/core/terms/result';
import {
  formatArea,
  formatFeet,
  formatMetres,
  roundTo,
  type TicketTension,
} from '@/core/measure/units';
import {
  coverWords,
  crossWay,
  knotCount,
  knotWords,
  lengthWords,
  mainsWay,
  PIECE_WORDS,
  skipWords,
} from '@/core/cut/wording';
import type { NamedFrame } from './frame-document';

const tenth = (mm: number): number => roundTo(mm, 0.1);

/** What a study found, as plain data: positions in mm along the rim, shares from 0 to 1. */
export function studyData({ name, spec }: NamedFrame, { cautions, assumed }: Study, on: Bed) {
  return {
    name,
    sport: spec.sport,
    pattern: spec.pattern,
    areaCm2: Math.round(on.areaMm2 / 100),
    mains: { start: on.mainsStart, finish: on.mainsFinish },
    skips: { head: [...on.skips.head], throat: [...on.skips.throat] },
    proposal: {
      from: on.ruled ? 'ruled holes' : 'usual spacing',
      certainty: on.proposal.certainty,
      answers: on.proposal.answers.map(({ skips, share }) => ({
        head: [...skips.head],
        throat: [...skips.throat],
        share: roundTo(share, 0.001),
      })),
    },
    methods: possibleMethods(on, false),
    holes: on.holes.map(({ label, arc, x, y, main, cross, skipped, tieOff }) => ({
      hole: label,
      arcMm: tenth(arc),
      xMm: tenth(x),
      belowTipMm: tenth(spec.head.lengthMm / 2 - y),
      main: main ?? null,
      cross: cross ?? null,
      skipped,
      tieOff: [...tieOff],
    })),
    cautions: [...cautions],
    assumed: [...assumed],
  };
}

export function studyText(frame: NamedFrame, study: Study, bed: Bed): string {
  const { pattern, sport, head } = frame.spec;
  const { answers, certainty } = bed.proposal;
  const lines = [
    frame.name,
    `${sport}, ${pattern.mains} × ${pattern.crosses}, ${head.lengthMm} × ${head.widthMm} mm inside, ${formatArea(bed.areaMm2)}`,
    `Mains ${mainsWay(bed)}.`,
    `Skips: head ${skipWords(bed.skips.head, 'head')}, throat ${skipWords(bed.skips.throat, 'throat')}.`,
    ...(answers.length > 0
      ? [`${bed.ruled ? 'The ruled holes' : 'The usual spacing'} would skip (${certainty}):`]
      : [
          `The usual spacing would skip: head ${skipWords(bed.proposedSkips.head, 'head')}, throat ${skipWords(bed.proposedSkips.throat, 'throat')}.`,
        ]),
    ...answers.map(
      ({ skips, share }) =>
        `  head ${skipWords(skips.head, 'head')}, throat ${skipWords(skips.throat, 'throat')}  ${(share * 100).toFixed(1)} in 100`,
    ),
    `Methods: ${possibleMethods(bed, false)
      .map((method) => METHOD_WORDS[method])
      .join(', ')}.`,
    ...study.cautions.map((each) => `Caution: ${each}`),
    ...study.assumed.map((each) => `Assumed: ${each}`),
  ];
  return lines.join('\n');
}

/** A job on a frame of its own, as a program asks for it: one string, the usual house and machine. */
export interface PlanQuestion {
  readonly bed: Bed;
  readonly study: Study;
  readonly choice: PathChoice;
  readonly string: Pick<JobString, 'family' | 'gaugeMm'>;
  readonly tension: TicketTension;
}

const jobAsked = ({ bed, choice, string, tension }: PlanQuestion): Job => {
  const cutOff: JobString = {
    ...string,
    name: string.family,
    shape: 'round',
    suppliedByClient: false,
    setMm: 0,
    stretch: null,
  };
  return jobOf({
    bed,
    mains: cutOff,
    crosses: cutOff,
    tension,
    choice,
    cutFrom: 'reel',
    remnantsMm: [],
    assumptions: USUAL_ASSUMPTIONS,
    learnt: {},
    house: USUAL_HOUSE,
    machine: USUAL_MACHINE,
    notes: '',
  });
};

const coverData = ({ at, by, before, needs }: Covered) => ({
  hole: at.hole.label,
  side: at.side,
  by: runName(by),
  before: before.knot ? `knot of ${before.string}` : before.string,
  needs: needs.knot ? `knot of ${needs.string}` : needs.string,
});

const partData = ({ parts }: PieceLength): Record<string, number> =>
  Object.fromEntries(parts.map(({ name, mm }) => [name, tenth(mm)]));

/** The plan of a job as plain data, or why this frame cannot be strung so. */
export function planData(question: PlanQuestion) {
  const { bed, study, choice } = question;
  const refused = methodProblem(bed, choice.method, false);
  if (refused) return refused;
  const { path, pieces } = jobAsked(question).plan;
  return success({
    path,
    lengths: pieces,
    data: {
      method: path.method,
      shortSide: path.shortSide,
      mains: { start: bed.mainsStart, finish: bed.mainsFinish },
      crosses: { from: path.crossesFrom, start: path.crossStart, finish: path.crossFinish },
      skips: { head: [...bed.skips.head], throat: [...bed.skips.throat] },
      pieces: pieces.map((piece) => ({
        name: piece.name,
        cutMm: tenth(piece.cutMm),
        headLengths: roundTo(piece.headLengths, 0.1),
        ...(piece.sides && {
          sidesMm: piece.sides.map(({ mm }) => tenth(mm)),
        }),
        parts: partData(piece),
      })),
      knots: path.knots.map(({ end, hole, side, ties, string: name }) => ({
        end,
        hole: hole.label,
        side,
        ties,
        string: name,
      })),
      order: [...path.order],
      covered: coveredHoles(bed, path).map(coverData),
      cautions: [...study.cautions, ...pathCautions(bed, path)],
      assumed: [...study.assumed],
    },
  });
}

export type PlanData = Extract<ReturnType<typeof planData>, { ok: true }>['value']['data'];

export function planText(name: string, question: PlanQuestion): Result<string> {
  const planned = planData(question);
  if (!planned.ok) return planned;
  const { bed } = question;
  const { path, lengths, data } = planned.value;
  const words = (mm: number) => lengthWords(mm, 'metric');
  return success(
    [
      `${name}, ${METHOD_WORDS[path.method]}`,
      `Mains ${mainsWay(bed)}. Skips: head ${skipWords(bed.skips.head, 'head')}, throat ${skipWords(bed.skips.throat, 'throat')}.`,
      `Crosses from the ${path.crossesFrom}, ${crossWay(path.crossStart, path.crossFinish, path.crossCount)}.`,
      `Knots: ${knotCount(path.knots)} (${path.knots.map(knotWords).join(' · ')}).`,
      '',
      ...lengths.flatMap((piece) => [
        `Cut ${PIECE_WORDS[piece.name]}: ${formatMetres(piece.cutMm)}, ${formatFeet(piece.cutMm)}`,
        ...piece.parts.map(
          ({ name: part, mm }) => `  ${part.padEnd(22)} ${(mm / 10).toFixed(1).padStart(7)} cm`,
        ),
        `  ${measureWords(bed, piece, USUAL_ASSUMPTIONS, words)}`,
      ]),
      '',
      ...coveredHoles(bed, path).map((covered) => `Covered: ${coverWords(covered)}.`),
      ...data.cautions.map((each) => `Caution: ${each}`),
      ...data.assumed.map((each) => `Assumed: ${each}`),
    ].join('\n'),
  );
}
