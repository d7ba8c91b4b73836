import { z } from 'zod';
import { familySchema } from '@/core/family';
import { parseGauge } from '@/core/gauge';
import { parseLength, parseMoney } from '@/core/notation';
import { nameText, noteText, reading } from '@/core/reading';
import { failure, success, type Result } from '@/core/result';
import { sportSchema, type Sport } from '@/core/sport';
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

export const stringEntrySchema = z
  .object({
    name: nameText('the string a name'),
    sport: sportSchema,
    family: familySchema,
    gauges: z.string(),
    set: reading(parseSet),
    price: reading(parseMoney),
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
  notes: '',
};

export const stringEntryOf = (string: StringFacts): StringEntry => ({
  name: string.name,
  sport: string.sport,
  family: string.family,
  gauges: string.gaugesMm.map((mm) => mm.toFixed(2)).join(' '),
  set: String(string.setMm / 1000),
  price: (string.setPriceMinor / 100).toFixed(2),
  notes: string.notes,
});
