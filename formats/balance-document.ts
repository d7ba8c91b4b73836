/** A racket and what is put on it, or what it should come to, as an open document. */
import { z } from 'zod';
import { swingFromPendulum, withParts, type Figures, type Part } from '@/core/balance/racket';
import { matchPair, MOST_PLACES, reach, usualPlaces, type Place } from '@/core/balance/reach';
import { roundTo } from '@/core/measure/units';
import { failure, success, type Result } from '@/core/terms/result';
import { readJson } from './json-document';

const mass = z.number().min(20).max(1500);
const at = z.number().min(-50).max(1200);

const racketSchema = z
  .strictObject({
    massG: mass,
    balanceMm: z.number().min(50).max(900).describe('From the butt.'),
    swingKgCm2: z
      .number()
      .min(1)
      .max(1000)
      .optional()
      .describe('About the axis 10 cm from the butt.'),
    pendulum: z
      .strictObject({
        pivotMm: z.number().min(0).max(900),
        periodS: z.number().min(0.2).max(5).describe('There and back.'),
      })
      .optional()
      .describe('From which the swing weight is worked out where it is not given.'),
  })
  .refine(({ swingKgCm2, pendulum }) => swingKgCm2 !== undefined || pendulum !== undefined, {
    error: 'its swing weight is neither given nor to be worked out of a pendulum',
    path: ['swingKgCm2'],
  });

const placeSchema = z.strictObject({
  name: z.string().min(1).max(60),
  atMm: at,
  longMm: z.number().min(0).max(800).optional(),
  mostG: z.number().min(0).max(100).default(20),
});

const balanceDocumentSchema = z
  .strictObject({
    format: z.literal('orthotens-balance/1').optional(),
    racket: racketSchema,
    parts: z
      .array(
        z.strictObject({
          massG: z.number().min(-200).max(200).describe('Below 0 where it is taken off.'),
          atMm: at,
          longMm: z.number().min(0).max(800).optional(),
        }),
      )
      .max(50)
      .optional(),
    target: z
      .strictObject({
        massG: mass,
        balanceMm: z.number().min(50).max(900),
        swingKgCm2: z.number().min(1).max(1000),
      })
      .optional(),
    twin: racketSchema.optional().describe('The racket that it is to be matched with.'),
    places: z.array(placeSchema).max(MOST_PLACES).optional(),
  })
  .refine((document) => [document.parts, document.target, document.twin].some(Boolean), {
    error: 'it says neither what is put on, nor what it should come to, nor its twin',
    path: ['parts'],
  })
  .describe('A racket with what is put on it, or with what it should come to.');

type BalanceDocument = z.output<typeof balanceDocumentSchema>;

/** The published schema, JSON Schema 2020-12. */
export const balanceJsonSchema = (): object => ({
  title: 'Orthotens balance',
  ...z.toJSONSchema(balanceDocumentSchema, { io: 'input' }),
});

const figuresOf = ({
  massG,
  balanceMm,
  swingKgCm2,
  pendulum,
}: BalanceDocument['racket']): Result<Figures> => {
  if (swingKgCm2 !== undefined) return success({ massG, balanceMm, swingKgCm2 });
  if (!pendulum) return failure('balance.pivot');
  const swing = swingFromPendulum({ massG, balanceMm, ...pendulum });
  return swing.ok ? success({ massG, balanceMm, swingKgCm2: swing.value }) : swing;
};

const partOf = ({ massG, atMm, longMm }: NonNullable<BalanceDocument['parts']>[number]): Part => ({
  massG,
  atMm,
  ...(longMm !== undefined && { longMm }),
});
const placeOf = ({ name, atMm, longMm, mostG }: z.output<typeof placeSchema>): Place => ({
  name,
  atMm,
  mostG,
  ...(longMm !== undefined && { longMm }),
});

const rounded = ({ massG, balanceMm, swingKgCm2 }: Figures): Figures => ({
  massG: roundTo(massG, 0.001),
  balanceMm: roundTo(balanceMm, 0.001),
  swingKgCm2: roundTo(swingKgCm2, 0.001),
});
const roundedPuts = (puts: readonly { readonly name: string; readonly massG: number }[]) =>
  puts.map(({ name, massG }) => ({ name, massG: roundTo(massG, 0.001) }));

export interface BalanceReport {
  readonly before: Figures;
  /** With the parts, or with the masses that were found. */
  readonly after: Figures;
  readonly masses?: readonly { readonly name: string; readonly massG: number }[];
  readonly twinMasses?: readonly { readonly name: string; readonly massG: number }[];
  readonly reached?: boolean;
  readonly words?: string;
}

/** Reads a balance document and works it out, or says which part of it is wrong. */
export function balanceReport(text: string): Result<BalanceReport> {
  const read = readJson(text, balanceDocumentSchema, 'a balance');
  if (!read.ok) return read;
  const { racket, parts = [], target, twin, places } = read.value;
  const bare = figuresOf(racket);
  if (!bare.ok) return bare;
  const before = withParts(bare.value, parts.map(partOf));
  if (!before.ok) return before;
  const known = places?.map(placeOf) ?? usualPlaces('tennis');
  if (target) {
    const { puts, figures, reached } = reach(before.value, target, known);
    return success({
      before: rounded(before.value),
      after: rounded(figures),
      masses: roundedPuts(puts),
      reached,
      words: reached
        ? 'So it comes to what is wanted.'
        : 'No masses at these places bring it there: this is as near as they come.',
    });
  }
  if (twin) {
    const other = figuresOf(twin);
    if (!other.ok) return other;
    const matched = matchPair(before.value, other.value, known);
    return success({
      before: rounded(before.value),
      after: rounded(matched.figures),
      masses: roundedPuts(matched.one),
      twinMasses: roundedPuts(matched.other),
      reached: matched.reached,
      words: matched.reached
        ? 'So both come to the same three figures.'
        : 'No masses at these places make the two alike.',
    });
  }
  return success({ before: rounded(bare.value), after: rounded(before.value) });
}
