import { z } from 'zod';
import { READING_KINDS } from '@/core/ageing/readings';
import { decimal, plainFigures } from '@/core/measure/figures';
import { lineText } from '@/core/measure/typed';
import { newtons, type TensionUnit } from '@/core/measure/units';
import { textIn } from '@/core/measure/typed';
import type { ReadingFacts } from '@/db/readings';

/** What a reading of each kind can be, in its own unit, and how that is said. */
const LIMITS = {
  tap: [150, 3000, 'A pitch is 150 to 3000 Hz: 512.3.'],
  tester: [1, 999, 'A tester’s figure is 1 to 999.'],
  weight: [0.2, 60, 'A bed goes in 0.2 to 60 mm under a weight.'],
} as const;
const SCALE_N = [30, 450] as const;

const numberIn = (text: string): number =>
  /^\d{1,5}(?:[.,]\d{1,3})?$/.test(plainFigures(text)) ? decimal(plainFigures(text)) : NaN;

/** A reading as it is typed, for a bed that was strung on a day; `now` on the workshop’s clock. */
export const readingSchema = (unit: TensionUnit, strungDay: string, now: string) =>
  z
    .object({
      kind: z.enum(READING_KINDS),
      value: textIn,
      mass: textIn,
      unit: lineText('the unit'),
      day: z.union(
        [z.iso.date(), z.literal('')],
        'Write the day as 2026-02-04, or leave it empty.',
      ),
    })
    .transform((entry, context): ReadingFacts => {
      const add = (path: string, message: string) =>
        context.addIssue({ code: 'custom', path: [path], message });
      const typed = numberIn(entry.value);
      const value = entry.kind === 'spring scale' ? newtons(typed, unit) : typed;
      const [least, most, sentence] =
        entry.kind === 'spring scale'
          ? [...SCALE_N, `A spring scale says the pull of a string in ${unit}: 22.5.`]
          : LIMITS[entry.kind];
      if (!(value >= least && value <= most)) add('value', sentence);
      const mass = numberIn(entry.mass);
      if (entry.kind === 'weight' && !(mass >= 100 && mass <= 20_000))
        add('mass', 'Which mass, in grams, 100 to 20000? It is compared with itself.');
      const day = entry.day || now.slice(0, 10);
      if (day < strungDay)
        add('day', `It was strung on ${strungDay}: nothing was measured before.`);
      if (day > now.slice(0, 10)) add('day', 'That day is still to come.');
      return {
        takenOn: day === now.slice(0, 10) ? now : `${day}T12:00`,
        kind: entry.kind,
        value,
        massG: entry.kind === 'weight' ? mass : null,
        unit: entry.kind === 'tester' ? entry.unit : '',
      };
    });

export type ReadingEntry = z.input<ReturnType<typeof readingSchema>>;

export const NO_READING: ReadingEntry = { kind: 'tester', value: '', mass: '', unit: '', day: '' };
