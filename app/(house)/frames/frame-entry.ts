import { z } from 'zod';
import { checkFrame } from '@/core/frame/contradictions';
import type { FrameProblem, FrameSpec } from '@/core/frame/frame';
import { methodSchema } from '@/core/terms/method';
import {
  parseCount,
  parseHoleLabels,
  parseHoleNumber,
  parseHoleNumbers,
  parseLength,
  parseRow,
  parseStepDown,
  parseTensionRange,
  parseTieOffs,
  parseWidths,
} from '@/core/measure/parsing';
import { endSchema } from '@/core/terms/ends';
import { OUTLINE_FAMILIES } from '@/core/frame/outline';
import { nameText, noteText, optionalTyped, typed, textIn } from '@/core/measure/typed';
import { ruledRowsOf } from '@/core/frame/ruled';
import { sportSchema, type Sport } from '@/core/terms/sport';
import { inTensionUnit, otherTensionUnit, type TensionUnit } from '@/core/measure/units';

export const OUTLINES = [...OUTLINE_FAMILIES, 'measured'] as const;

const headLength = typed((text) => parseLength(text, 'mm'));

const start = z.enum(['by the bridge', 'head', 'throat']);

/** A frame as it is typed: everything text, read into a spec. Whether its facts hold together is not asked. */
export const frameEntryReading = (houseUnit: TensionUnit) =>
  z
    .object({
      name: nameText('the frame a name'),
      sport: sportSchema,
      lengthMm: headLength,
      widthMm: headLength,
      outline: z.enum(OUTLINES),
      widths: typed(parseWidths),
      mains: typed(parseCount),
      crosses: typed(parseCount),
      bridgeHoles: optionalTyped(parseCount),
      headSkip: optionalTyped(parseHoleNumbers),
      throatSkip: optionalTyped(parseHoleNumbers),
      headOutermost: optionalTyped(parseHoleNumber),
      throatOutermost: optionalTyped(parseHoleNumber),
      shared: typed(parseHoleLabels),
      tieOff: typed(parseTieOffs),
      double: typed(parseHoleLabels),
      ports: typed(parseHoleLabels),
      range: textIn,
      headMm: typed(parseRow),
      sideMm: typed(parseRow),
      throatMm: typed(parseRow),
      mainsStart: start,
      crossesFrom: endSchema,
      reversedOuterMains: z.boolean(),
      methods: z.array(methodSchema),
      stepDown: typed(parseStepDown),
      benchNotes: noteText,
      ownerInsists: z.boolean(),
    })
    .transform((entry, context): { name: string; spec: FrameSpec } => {
      const range =
        entry.range.trim() === '' ? null : parseTensionRange(entry.range, entry.sport, houseUnit);
      if (range && !range.ok)
        context.addIssue({ code: 'custom', path: ['range'], message: range.problem });
      const rows = [entry.headMm, entry.sideMm, entry.throatMm];
      const spec: FrameSpec = {
        sport: entry.sport,
        head: {
          lengthMm: entry.lengthMm,
          widthMm: entry.widthMm,
          outline: entry.outline === 'measured' ? [...entry.widths] : entry.outline,
        },
        pattern: { mains: entry.mains, crosses: entry.crosses },
        bridgeHoles: entry.bridgeHoles,
        tension: range?.ok
          ? {
              min: inTensionUnit(range.value.minN, range.value.unit),
              max: inTensionUnit(range.value.maxN, range.value.unit),
              unit: range.value.unit,
            }
          : null,
        holes: {
          head: { skip: entry.headSkip && [...entry.headSkip], outermost: entry.headOutermost },
          throat: {
            skip: entry.throatSkip && [...entry.throatSkip],
            outermost: entry.throatOutermost,
          },
          shared: [...entry.shared],
          tieOff: [...entry.tieOff],
          double: [...entry.double],
          ports: [...entry.ports],
          positionsMm: rows.some((row) => row.length > 0)
            ? { head: [...entry.headMm], side: [...entry.sideMm], throat: [...entry.throatMm] }
            : null,
        },
        stringing: {
          mainsStart: entry.mainsStart === 'by the bridge' ? null : entry.mainsStart,
          methods: entry.methods,
          crossesFrom: entry.crossesFrom === 'throat' ? 'throat' : null,
          reversedOuterMains: entry.reversedOuterMains,
          stepDown: entry.stepDown && { ...entry.stepDown },
          notes: entry.benchNotes,
        },
        ownerInsists: entry.ownerInsists,
      };
      return { name: entry.name, spec };
    });

type Frame = z.output<ReturnType<typeof frameEntryReading>>;

/** Says each problem at the field of the form that it is about. */
function sayAtFields(
  problems: readonly FrameProblem[],
  { spec }: Frame,
  add: (issue: { code: 'custom'; path: string[]; message: string }) => void,
): void {
  const measured = typeof spec.head.outline !== 'string';
  for (const { field, problem } of problems)
    add({
      code: 'custom',
      path: [field === 'outline' && measured ? 'widths' : field],
      message: problem,
    });
}

/** The same, refused at its fields while its facts contradict one another. */
export const frameEntrySchema = (houseUnit: TensionUnit) =>
  frameEntryReading(houseUnit).transform((frame, context) => {
    const checked = checkFrame(frame.spec);
    if (!checked.ok) sayAtFields(checked.problems, frame, (issue) => context.addIssue(issue));
    return frame;
  });

/** The same on a page, where somebody else counts: the solver never works on the page's own thread. */
export const frameEntryCountedBy = (
  houseUnit: TensionUnit,
  problemsOf: (spec: FrameSpec) => Promise<readonly FrameProblem[]>,
) =>
  frameEntryReading(houseUnit).transform(async (frame, context) => {
    sayAtFields(await problemsOf(frame.spec), frame, (issue) => context.addIssue(issue));
    return frame;
  });

export type FrameEntry = z.input<ReturnType<typeof frameEntryReading>>;

/** A usual frame of each sport, to start typing from. Common practice, no source. */
const USUAL: Record<
  Sport,
  Pick<FrameEntry, 'lengthMm' | 'widthMm' | 'outline' | 'mains' | 'crosses' | 'bridgeHoles'>
> = {
  tennis: {
    lengthMm: '336',
    widthMm: '248',
    outline: 'oval',
    mains: '16',
    crosses: '19',
    bridgeHoles: '8',
  },
  badminton: {
    lengthMm: '240',
    widthMm: '186',
    outline: 'squared oval',
    mains: '22',
    crosses: '21',
    bridgeHoles: '8',
  },
  squash: {
    lengthMm: '330',
    widthMm: '180',
    outline: 'egg',
    mains: '14',
    crosses: '18',
    bridgeHoles: '6',
  },
};

export const emptyFrameEntry = (sport: Sport, name = ''): FrameEntry => ({
  name,
  sport,
  ...USUAL[sport],
  widths: '',
  headSkip: '',
  throatSkip: '',
  headOutermost: '',
  throatOutermost: '',
  shared: '',
  tieOff: '',
  double: '',
  ports: '',
  range: '',
  headMm: '',
  sideMm: '',
  throatMm: '',
  mainsStart: 'by the bridge',
  crossesFrom: 'head',
  reversedOuterMains: false,
  methods: [],
  stepDown: '',
  benchNotes: '',
  ownerInsists: false,
});

const row = (values: readonly number[] | null | undefined): string =>
  !values ? '' : values.length === 0 ? 'none' : values.join(' ');

/** A stored frame as its form shows it. */
export function frameEntryOf(name: string, spec: FrameSpec): FrameEntry {
  const { head, holes, stringing, tension } = spec;
  const rows = ruledRowsOf(spec);
  const { stepDown } = stringing;
  return {
    name,
    sport: spec.sport,
    lengthMm: String(head.lengthMm),
    widthMm: String(head.widthMm),
    outline: typeof head.outline === 'string' ? head.outline : 'measured',
    widths:
      typeof head.outline === 'string'
        ? ''
        : head.outline.map(({ fromHeadMm, widthMm }) => `${fromHeadMm}:${widthMm}`).join(' '),
    mains: String(spec.pattern.mains),
    crosses: String(spec.pattern.crosses),
    bridgeHoles: spec.bridgeHoles === null ? '' : String(spec.bridgeHoles),
    headSkip: row(holes.head.skip),
    throatSkip: row(holes.throat.skip),
    headOutermost: holes.head.outermost === null ? '' : String(holes.head.outermost),
    throatOutermost: holes.throat.outermost === null ? '' : String(holes.throat.outermost),
    shared: holes.shared.join(' '),
    tieOff: holes.tieOff.join(' '),
    double: holes.double.join(' '),
    ports: holes.ports.join(' '),
    range: tension ? `${tension.min}-${tension.max} ${tension.unit}` : '',
    headMm: rows?.head.join(' ') ?? '',
    sideMm: rows?.side.join(' ') ?? '',
    throatMm: rows?.throat.join(' ') ?? '',
    mainsStart: stringing.mainsStart ?? 'by the bridge',
    crossesFrom: stringing.crossesFrom ?? 'head',
    reversedOuterMains: stringing.reversedOuterMains,
    methods: [...stringing.methods],
    stepDown: stepDown ? `${stepDown.strings} x ${stepDown.by} ${stepDown.unit}` : '',
    // Frames of before it was asked have none.
    benchNotes: stringing.notes ?? '',
    ownerInsists: spec.ownerInsists,
  };
}

/** The range as typed, read again in another unit for the hint below the field. */
export function rangeHint(text: string, sport: Sport, houseUnit: TensionUnit): string | undefined {
  const range = parseTensionRange(text, sport, houseUnit);
  if (!range.ok) return undefined;
  const { minN, maxN, unit } = range.value;
  return [unit, otherTensionUnit(unit)]
    .map((each) => {
      const figure = (n: number) => inTensionUnit(n, each, 0.1);
      return `${figure(minN)} to ${figure(maxN)} ${each}`;
    })
    .join(' · ');
}
