import { z } from 'zod';
import { handSchema } from '@/core/bench/times';
import { cutAssumptionsSchema } from '@/core/cut/lengths';
import { moneyFigure, parseMoney } from '@/core/measure/money';
import { parseLength } from '@/core/measure/parsing';
import { methodPreferenceSchema } from '@/core/cut/methods';
import { nameText, optionalTyped, typed, textIn } from '@/core/measure/typed';
import { centimetreFigure } from '@/core/measure/units';
import type { WorkshopFacts } from '@/db/workshop';

export const timeZone = textIn.refine(
  (name) => {
    try {
      return Boolean(new Intl.DateTimeFormat('en', { timeZone: name }));
    } catch {
      return false;
    }
  },
  { message: 'Write a place the clock knows, such as Europe/Lisbon.' },
);

export const currency = textIn
  .trim()
  .toUpperCase()
  .refine((code) => Intl.supportedValuesOf('currency').includes(code), {
    message: 'Write the three letters of the currency, such as EUR.',
  });

/** Lengths at the machine, typed in centimetres. */
const machineLength = typed((text) => parseLength(text, 'cm'));

const LIMITS = {
  gripperMm: 'The gripper is 10 to 90 cm from the frame: 36 on most machines.',
  knotMm: 'A knot takes 2 to 20 cm.',
  tailMm: 'A tail is 2 to 30 cm long.',
  marginMm: 'A margin is at most 50 cm.',
  armSpanMm: 'An arm span is 100 to 250 cm.',
} as const;

export const workshopSchema = z
  .object({
    name: nameText('the workshop a name'),
    tensionUnit: z.enum(['kg', 'lb']),
    lengthSystem: z.enum(['metric', 'imperial']),
    currency,
    timeZone,
    /** In the currency above. */
    labour: textIn,
    gripperMm: machineLength,
    knotMm: machineLength,
    tailMm: machineLength,
    marginMm: machineLength,
    armSpanMm: optionalTyped((text) => parseLength(text, 'cm')),
    methodPreference: methodPreferenceSchema,
    hand: handSchema,
  })
  .transform((entry, context): WorkshopFacts => {
    const { labour, gripperMm, knotMm, tailMm, marginMm, armSpanMm, ...rest } = entry;
    const cutAssumptions = { gripperMm, knotMm, tailMm, marginMm, armSpanMm };
    for (const { path } of cutAssumptionsSchema.safeParse(cutAssumptions).error?.issues ?? []) {
      const field = path[0] as keyof typeof LIMITS;
      context.addIssue({ code: 'custom', path: [field], message: LIMITS[field] });
    }
    const money = parseMoney(entry.currency)(labour);
    if (!money.ok) context.addIssue({ code: 'custom', path: ['labour'], message: money.problem });
    return { ...rest, labourMinor: money.ok ? money.value : 0, cutAssumptions };
  });

export type WorkshopEntry = z.input<typeof workshopSchema>;

export const workshopEntryOf = ({
  labourMinor,
  cutAssumptions,
  ...rest
}: WorkshopFacts): WorkshopEntry => ({
  name: rest.name,
  tensionUnit: rest.tensionUnit,
  lengthSystem: rest.lengthSystem,
  currency: rest.currency,
  timeZone: rest.timeZone,
  labour: moneyFigure(labourMinor, rest.currency),
  gripperMm: centimetreFigure(cutAssumptions.gripperMm),
  knotMm: centimetreFigure(cutAssumptions.knotMm),
  tailMm: centimetreFigure(cutAssumptions.tailMm),
  marginMm: centimetreFigure(cutAssumptions.marginMm),
  armSpanMm: cutAssumptions.armSpanMm === null ? '' : centimetreFigure(cutAssumptions.armSpanMm),
  methodPreference: rest.methodPreference,
  hand: rest.hand,
});
