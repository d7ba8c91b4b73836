import { z } from 'zod';
import { studyFrame } from '@/core/bed';
import type { FrameSpec } from '@/core/frame';
import {
  parseCount,
  parseHoleLabels,
  parseHoleNumbers,
  parseLength,
  parseRow,
  parseTensionRange,
  parseWidths,
} from '@/core/notation';
import { OUTLINE_FAMILIES } from '@/core/outline';
import { nameText, optionalReading, reading } from '@/core/reading';
import { sportSchema, type Sport } from '@/core/sport';
import { inTensionUnit, otherTensionUnit, type TensionUnit } from '@/core/units';

export const OUTLINES = [...OUTLINE_FAMILIES, 'measured'] as const;

const headLength = reading((text) => parseLength(text, 'mm'));

/** A frame as it is typed: everything text, read into a spec, then studied for contradictions. */
export const frameEntrySchema = (houseUnit: TensionUnit) =>
  z
    .object({
      name: nameText('the frame a name'),
      sport: sportSchema,
      lengthMm: headLength,
      widthMm: headLength,
      outline: z.enum(OUTLINES),
      widths: reading(parseWidths),
      mains: reading(parseCount),
      crosses: reading(parseCount),
      bridgeHoles: reading(parseCount),
      headSkip: optionalReading(parseHoleNumbers),
      throatSkip: optionalReading(parseHoleNumbers),
      shared: reading(parseHoleLabels),
      tieOff: reading(parseHoleLabels),
      range: z.string(),
      mainsMm: optionalReading(parseRow),
      crossesMm: optionalReading(parseRow),
      ownerInsists: z.boolean(),
    })
    .transform((entry, context): { name: string; spec: FrameSpec } => {
      const range =
        entry.range.trim() === '' ? null : parseTensionRange(entry.range, entry.sport, houseUnit);
      if (range && !range.ok)
        context.addIssue({ code: 'custom', path: ['range'], message: range.problem });
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
          head: { skip: entry.headSkip && [...entry.headSkip] },
          throat: { skip: entry.throatSkip && [...entry.throatSkip] },
          shared: [...entry.shared],
          tieOff: [...entry.tieOff],
          positionsMm:
            entry.mainsMm || entry.crossesMm
              ? {
                  mains: entry.mainsMm && [...entry.mainsMm],
                  crosses: entry.crossesMm && [...entry.crossesMm],
                }
              : null,
        },
        ownerInsists: entry.ownerInsists,
      };
      for (const { field, problem } of studyFrame(spec).problems)
        context.addIssue({
          code: 'custom',
          path: [field === 'outline' && entry.outline === 'measured' ? 'widths' : field],
          message: problem,
        });
      return { name: entry.name, spec };
    });

export type FrameEntry = z.input<ReturnType<typeof frameEntrySchema>>;

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
  shared: '',
  tieOff: '',
  range: '',
  mainsMm: '',
  crossesMm: '',
  ownerInsists: false,
});

const row = (values: readonly number[] | null | undefined): string =>
  !values ? '' : values.length === 0 ? 'none' : values.join(' ');

/** A stored frame as its form shows it. */
export const frameEntryOf = (name: string, spec: FrameSpec): FrameEntry => ({
  name,
  sport: spec.sport,
  lengthMm: String(spec.head.lengthMm),
  widthMm: String(spec.head.widthMm),
  outline: typeof spec.head.outline === 'string' ? spec.head.outline : 'measured',
  widths:
    typeof spec.head.outline === 'string'
      ? ''
      : spec.head.outline.map(({ fromHeadMm, widthMm }) => `${fromHeadMm}:${widthMm}`).join(' '),
  mains: String(spec.pattern.mains),
  crosses: String(spec.pattern.crosses),
  bridgeHoles: String(spec.bridgeHoles),
  headSkip: row(spec.holes.head.skip),
  throatSkip: row(spec.holes.throat.skip),
  shared: spec.holes.shared.join(' '),
  tieOff: spec.holes.tieOff.join(' '),
  range: spec.tension ? `${spec.tension.min}-${spec.tension.max} ${spec.tension.unit}` : '',
  mainsMm: row(spec.holes.positionsMm?.mains),
  crossesMm: row(spec.holes.positionsMm?.crosses),
  ownerInsists: spec.ownerInsists,
});

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
