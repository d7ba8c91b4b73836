import { z } from 'zod';
import { lineText, textIn } from '@/core/measure/typed';
import { parseGauge } from '@/core/measure/gauge';
import { parseTicketTension } from '@/core/measure/parsing';
import type { Sport } from '@/core/terms/sport';
import type { Talk } from '@/core/advice/talk';
import type { TensionUnit, TicketTension } from '@/core/measure/units';
import { talkEntrySchema } from './talk-entry';

const chosen = (what: string) => z.uuid(`Choose the string for the ${what}.`);

interface ReadString {
  readonly id: string;
  readonly gaugeMm: number;
  readonly supplied: boolean;
}

/** A setup as it was read: two strings, and a pull where somebody typed one. */
export interface ReadSetup {
  readonly talk: Talk;
  readonly switched: Readonly<Record<string, boolean>>;
  readonly todaysRules: boolean;
  readonly mains: ReadString;
  readonly crosses: ReadString;
  /** Null goes by the advice. */
  readonly tension: TicketTension | null;
  readonly ownWord: string;
  readonly overPrint: string;
}

/** Talk, strings, thickness and pull as they are typed. */
export const setupSchema = (sport: Sport, unit: TensionUnit) =>
  z
    .object({
      talk: talkEntrySchema(sport, unit),
      /** Steps of the staircase switched by hand. */
      switched: z.record(textIn.max(60), z.boolean()),
      /** The house rules of today instead of those the job was begun with. */
      todaysRules: z.boolean(),
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
    })
    .transform((entry, context): ReadSetup => {
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
        talk: entry.talk,
        switched: entry.switched,
        todaysRules: entry.todaysRules,
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
    });

export type SetupEntry = z.input<ReturnType<typeof setupSchema>>;
