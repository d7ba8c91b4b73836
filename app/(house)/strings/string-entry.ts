import { z } from 'zod';
import { familySchema } from '@/core/family';
import { parseGauge } from '@/core/gauge';
import { parseLength, parseMoney } from '@/core/notation';
import { nameText, noteText, optionalReading, reading } from '@/core/reading';
import { failure, success, type Result } from '@/core/result';
import { sportSchema, type Sport } from '@/core/sport';
import { roundTo } from '@/core/units';
import type { StringFacts } from '@/db/strings';

function parseGauges(text: string, sport: Sport): Result<readonly number[]> {
  const gauges: number[] = [];
  for (const word of text
    .trim()
    .split(/[\s;/]+/)
    .filter(Boolean)) {
    const gauge = parseGauge(word, sport);
    if (!gauge.ok) return gauge;
    if (!gauges.includes(gauge.value)) gauges.push(gauge.value);
  }
  if (gauges.length === 0)
    return failure('Write the thicknesses it is sold in: 1.25 1.30, or 16L 16.');
  return success(gauges.sort((a, b) => a - b));
}

/** The shortest and longest sets that are sold, with room: 5 m for one side, 15 m for very large heads. */
function parseSet(text: string): Result<number> {
  const length = parseLength(text, 'm');
  if (!length.ok || (length.value >= 4000 && length.value <= 20_000)) return length;
  return failure('A set holds 4 to 20 m: 12.2 m (40 ft) in tennis, 10 m in badminton.');
}

/** Percent longer under pull, as a fraction. */
function parseStretch(text: string): Result<number> {
  const percent = /^(\d{1,2}(?:[.,]\d)?)\s*%?$/.exec(text.trim())?.[1];
  const fraction = Number(percent?.replace(',', '.')) / 100;
  return percent !== undefined && fraction <= 0.25
    ? success(fraction)
    : failure('Write by how many percent it is longer under pull: 0 to 25, such as 4.');
}

export const stringEntrySchema = z
  .object({
    name: nameText('the string a name'),
    sport: sportSchema,
    family: familySchema,
    gauges: z.string(),
    set: reading(parseSet),
    price: reading(parseMoney),
    stretch: optionalReading(parseStretch),
    notes: noteText,
  })
  .transform((entry, context): StringFacts => {
    const gauges = parseGauges(entry.gauges, entry.sport);
    if (!gauges.ok) context.addIssue({ code: 'custom', path: ['gauges'], message: gauges.problem });
    return {
      name: entry.name,
      sport: entry.sport,
      family: entry.family,
      gaugesMm: gauges.ok ? [...gauges.value] : [],
      setMm: entry.set,
      setPriceMinor: entry.price,
      stretch: entry.stretch,
      notes: entry.notes,
    };
  });

export type StringEntry = z.input<typeof stringEntrySchema>;

export const emptyStringEntry: StringEntry = {
  name: '',
  sport: 'tennis',
  family: 'synthetic gut',
  gauges: '',
  set: '12.2',
  price: '',
  stretch: '',
  notes: '',
};

export const stringEntryOf = (string: StringFacts): StringEntry => ({
  name: string.name,
  sport: string.sport,
  family: string.family,
  gauges: string.gaugesMm.map((mm) => mm.toFixed(2)).join(' '),
  set: String(roundTo(string.setMm / 1000, 0.001)),
  price: (string.setPriceMinor / 100).toFixed(2),
  stretch: string.stretch === null ? '' : String(roundTo(string.stretch * 100, 0.1)),
  notes: string.notes,
});
