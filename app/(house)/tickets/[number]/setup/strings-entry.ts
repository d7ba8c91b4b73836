import { z } from 'zod';
import { lineText, textIn } from '@/core/measure/typed';
import { parseGauge } from '@/core/measure/gauge';
import { parseTicketTension } from '@/core/measure/parsing';
import type { Sport } from '@/core/terms/sport';
import type { TensionUnit, TicketTension } from '@/core/measure/units';

const chosen = (what: string) => z.uuid(`Choose the string for the ${what}.`);

interface ReadString {
  readonly id: string;
  readonly gaugeMm: number;
  readonly supplied: boolean;
}

/** The strings of a bed as they were read: two of them, and a pull where somebody typed one. */
export interface ReadStrings {
  readonly mains: ReadString;
  readonly crosses: ReadString;
  /** Null goes by the advice. */
  readonly tension: TicketTension | null;
  readonly ownWord: string;
  readonly overPrint: string;
}

/** Strings, thickness and pull as they are typed. */
export const stringsShape = {
  mainStringId: chosen('mains'),
  mainGauge: textIn,
  mainSupplied: z.boolean(),
  hybrid: z.boolean(),
  crossStringId: textIn,
  crossGauge: textIn,
  crossSupplied: z.boolean(),
  tension: textIn,
  /** Why a bed that safety or an arm speaks against is strung all the same. */
  ownWord: lineText('your word'),
  /** Its owner's word where more is pulled than the frame prints. */
  overPrint: lineText('the owner’s word'),
};

const stringsObject = z.object(stringsShape);
export type StringsEntry = z.input<typeof stringsObject>;

/** Nothing chosen yet. */
export const NO_STRINGS: StringsEntry = {
  mainStringId: '',
  mainGauge: '',
  mainSupplied: false,
  hybrid: false,
  crossStringId: '',
  crossGauge: '',
  crossSupplied: false,
  tension: '',
  ownWord: '',
  overPrint: '',
};

/** Reads what was typed for a sport; a sentence at each field that does not hold. */
export function readStrings(
  entry: z.output<typeof stringsObject>,
  sport: Sport,
  unit: TensionUnit,
  context: Pick<z.core.$RefinementCtx, 'addIssue'>,
): ReadStrings {
  const add = (path: string, message: string) =>
    context.addIssue({ code: 'custom', path: [path], message });
  if (entry.hybrid && !z.uuid().safeParse(entry.crossStringId).success)
    add('crossStringId', 'Choose the string for the crosses.');
  const mainGauge = parseGauge(entry.mainGauge, sport);
  if (!mainGauge.ok) add('mainGauge', mainGauge.problem);
  const crossGauge = entry.hybrid ? parseGauge(entry.crossGauge, sport) : mainGauge;
  if (entry.hybrid && !crossGauge.ok) add('crossGauge', crossGauge.problem);
  const typed = entry.tension.trim() !== '';
  const tension = parseTicketTension(entry.tension, sport, unit);
  if (typed && !tension.ok) add('tension', tension.problem);
  const mains = {
    id: entry.mainStringId,
    gaugeMm: mainGauge.ok ? mainGauge.value : 0,
    supplied: entry.mainSupplied,
  };
  return {
    mains,
    crosses: entry.hybrid
      ? {
          id: entry.crossStringId,
          gaugeMm: crossGauge.ok ? crossGauge.value : 0,
          supplied: entry.crossSupplied,
        }
      : mains,
    tension: tension.ok ? tension.value : null,
    ownWord: entry.ownWord,
    overPrint: entry.overPrint,
  };
}

/** The strings of a bed by themselves. */
export const stringsSchema = (sport: Sport, unit: TensionUnit) =>
  stringsObject.transform((entry, context) => readStrings(entry, sport, unit, context));

const FIELDS = Object.keys(stringsShape) as (keyof StringsEntry)[];

/** Only what an entry says of its strings. */
export const stringsIn = (entry: StringsEntry): StringsEntry =>
  Object.fromEntries(FIELDS.map((field) => [field, entry[field]])) as StringsEntry;

export const sameStrings = (a: StringsEntry, b: StringsEntry): boolean =>
  FIELDS.every((field) => a[field] === b[field]);
