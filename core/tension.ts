/** A starting point for the pull, with its reasons, and what to be careful of. */
import type { Family } from './family';
import { printedRange, type FrameSpec } from './frame';
import type { Sport } from './sport';
import {
  formatTension,
  newtons,
  roundToTicketStep,
  type TensionUnit,
  type TicketTension,
} from './units';

export interface StartStep {
  readonly what: string;
  readonly why: string;
  readonly source: 'common practice' | 'from memory';
  /** What the pull is after this step, N, not yet rounded. */
  readonly mainN: number;
  readonly crossN: number;
}

export interface StartingPoint {
  readonly steps: readonly StartStep[];
  /** Rounded to the smallest step worth writing down. */
  readonly ticket: TicketTension;
}

/** For a frame whose range nobody can read. Tennis: common practice, no source; the others from memory. */
const UNKNOWN_FRAME: Record<Sport, { readonly n: number; readonly text: string }> = {
  tennis: { n: newtons(23.5, 'kg'), text: '23 to 24 kg, an adult tennis frame of unknown range' },
  badminton: { n: newtons(24, 'lb'), text: '24 lb, a badminton frame of unknown range' },
  squash: { n: newtons(26, 'lb'), text: '26 lb, a squash frame of unknown range' },
};

/** Common practice takes 5 to 10 % off; the middle of that. */
const MONOFILAMENT_SHARE = 0.075;
const MONOFILAMENT_MOST_N = newtons(27, 'kg');
const BADMINTON_CROSSES_N = newtons(2, 'lb');

/** Where to start for a frame and two string families, in the unit the ticket will be written in. */
export function startingPoint(
  spec: FrameSpec,
  mainFamily: Family,
  crossFamily: Family,
  unit: TensionUnit,
): StartingPoint {
  const range = printedRange(spec);
  const unknown = UNKNOWN_FRAME[spec.sport];
  const startN = range ? (range.minN + range.maxN) / 2 : unknown.n;
  const steps: StartStep[] = [
    {
      what: range ? 'Middle of the printed range' : 'Usual start',
      why: range
        ? `The throat says ${formatTension(range.minN, spec.tension?.unit ?? unit)} to ${formatTension(range.maxN, spec.tension?.unit ?? unit)}; its middle leaves room both ways.`
        : `${unknown.text}. Read the range in the throat when there is one.`,
      source: !range && spec.sport !== 'tennis' ? 'from memory' : 'common practice',
      mainN: startN,
      crossN: startN,
    },
  ];
  const step = (
    what: string,
    why: string,
    mainBy: (n: number) => number,
    crossBy: (n: number) => number,
  ) => {
    const { mainN, crossN } = steps.at(-1) as StartStep;
    steps.push({
      what,
      why,
      source: 'common practice',
      mainN: mainBy(mainN),
      crossN: crossBy(crossN),
    });
  };
  const softer = (family: Family) => (n: number) =>
    family === 'monofilament' ? n * (1 - MONOFILAMENT_SHARE) : n;
  if (spec.sport !== 'badminton' && [mainFamily, crossFamily].includes('monofilament'))
    step(
      'Monofilament lower',
      'Monofilament is stiff: it takes 5 to 10 % less than a soft string for a like feel.',
      softer(mainFamily),
      softer(crossFamily),
    );
  if (spec.sport === 'badminton')
    step(
      'Crosses 2 lb higher',
      'A badminton frame keeps its shape when the crosses pull a little more than the mains.',
      (n) => n,
      (n) => n + BADMINTON_CROSSES_N,
    );
  const last = steps.at(-1) as StartStep;
  return {
    steps,
    ticket: {
      mainN: roundToTicketStep(last.mainN, unit),
      crossN: roundToTicketStep(last.crossN, unit),
      unit,
    },
  };
}

/** The last pull before a tie-off, 10 % up, to make up for draw-back at the knot. Common practice. */
export const knotPull = (n: number, unit: TensionUnit): number => roundToTicketStep(n * 1.1, unit);

/**
 * Pulls of the outermost strings from the inside out, N, when each is pulled `byN` lower than the one
 * inside it. Some makers ask for it on very large heads (common practice: 58, then 53, 48, 43 lb).
 */
export const steppedPulls = (n: number, strings: number, byN: number): readonly number[] =>
  Array.from({ length: strings }, (_, i) => n - (i + 1) * byN);

/** What to be careful of with this ticket on this frame; nothing is refused. */
export function tensionCautions(
  spec: FrameSpec,
  ticket: TicketTension,
  mainFamily: Family,
  crossFamily: Family,
): readonly string[] {
  const cautions: string[] = [];
  const range = printedRange(spec);
  const rangeUnit = spec.tension?.unit ?? ticket.unit;
  for (const [strings, n, family] of [
    ['Mains', ticket.mainN, mainFamily],
    ['Crosses', ticket.crossN, crossFamily],
  ] as const) {
    const typed = formatTension(n, ticket.unit);
    if (range && n > range.maxN + 0.01)
      cautions.push(
        `${strings} at ${typed} are above the printed maximum of ${formatTension(range.maxN, rangeUnit)}. String it so only with the owner's written word; the maker's instructions come first.`,
      );
    if (range && n < range.minN - 0.01)
      cautions.push(
        `${strings} at ${typed} are below the printed range, which starts at ${formatTension(range.minN, rangeUnit)}.`,
      );
    if (family === 'monofilament' && n > MONOFILAMENT_MOST_N + 0.01)
      cautions.push(
        `${strings}: monofilament is not pulled above ${formatTension(MONOFILAMENT_MOST_N, 'kg')}; it loses its play and is hard on the arm.`,
      );
  }
  return cautions;
}
