import { z } from 'zod';
import { parseGauge } from '@/core/gauge';
import { parseTicketTension } from '@/core/notation';
import type { Sport } from '@/core/sport';
import type { TensionUnit } from '@/core/units';
import type { SetupFacts } from '@/db/tickets';

const chosen = (what: string) => z.uuid(`Choose the string for the ${what}.`);

/** String, thickness and pull as they are typed on a ticket. */
export const setupSchema = (sport: Sport, unit: TensionUnit) =>
  z
    .object({
      mainStringId: chosen('mains'),
      mainGauge: z.string(),
      mainSupplied: z.boolean(),
      hybrid: z.boolean(),
      crossStringId: z.string(),
      crossGauge: z.string(),
      crossSupplied: z.boolean(),
      tension: z.string(),
    })
    .transform((entry, context): SetupFacts => {
      const add = (path: string, message: string) =>
        context.addIssue({ code: 'custom', path: [path], message });
      if (entry.hybrid && !z.uuid().safeParse(entry.crossStringId).success)
        add('crossStringId', 'Choose the string for the crosses.');
      const mainGauge = parseGauge(entry.mainGauge, sport);
      if (!mainGauge.ok) add('mainGauge', mainGauge.problem);
      const crossGauge = entry.hybrid ? parseGauge(entry.crossGauge, sport) : mainGauge;
      if (entry.hybrid && !crossGauge.ok) add('crossGauge', crossGauge.problem);
      const tension = parseTicketTension(entry.tension, sport, unit);
      if (!tension.ok) add('tension', tension.problem);
      return {
        mainStringId: entry.mainStringId,
        mainGaugeMm: mainGauge.ok ? mainGauge.value : null,
        mainSupplied: entry.mainSupplied,
        crossStringId: entry.hybrid ? entry.crossStringId : entry.mainStringId,
        crossGaugeMm: crossGauge.ok ? crossGauge.value : null,
        crossSupplied: entry.hybrid ? entry.crossSupplied : entry.mainSupplied,
        mainN: tension.ok ? tension.value.mainN : null,
        crossN: tension.ok ? tension.value.crossN : null,
        tensionUnit: tension.ok ? tension.value.unit : null,
      };
    });

export type SetupEntry = z.input<ReturnType<typeof setupSchema>>;
