/** Work beside the stringing, agreed with the client before it starts. */
import { z } from 'zod';
import { linesMinor } from '../measure/money';

export const EXTRA_KINDS = ['grommet set', 'bumper', 'grip', 'sleeve', 'lead', 'other'] as const;
export type ExtraKind = (typeof EXTRA_KINDS)[number];

const extraLineSchema = z.object({
  kind: z.enum(EXTRA_KINDS),
  name: z.string().max(120),
  quantity: z.number().int().min(1).max(99),
  /** Of one, in minor units. */
  unitMinor: z.number().int().min(0),
  /** Hundredths of a percent: 2000 is 20 %. */
  taxBp: z.number().int().min(0).max(10_000),
});

export type ExtraLine = z.infer<typeof extraLineSchema>;

export const extraWorkSchema = z.object({
  lines: z.array(extraLineSchema).max(30),
  /** How the client said yes, when, and to whom; null until they have. */
  agreed: z.object({ how: z.string().max(400), day: z.string(), by: z.string() }).nullable(),
});

export type ExtraWork = z.infer<typeof extraWorkSchema>;

export const NO_EXTRA_WORK: ExtraWork = { lines: [], agreed: null };

/**
 * What the extra work comes to, minor units.
 *
 * @example
 * extraWorkMinor({ lines: [{ kind: 'grip', name: 'Grip', quantity: 2, unitMinor: 600, taxBp: 0 }], agreed: null }) // 1200
 */
export const extraWorkMinor = (extra: ExtraWork | null): number => linesMinor(extra?.lines ?? []);

/**
 * Whether there is work on the ticket that the client has not said yes to.
 *
 * @example
 * waitsForYes(NO_EXTRA_WORK) // false
 */
export const waitsForYes = (extra: ExtraWork | null): boolean =>
  (extra?.lines.length ?? 0) > 0 && extra?.agreed === null;

/**
 * The same lines as before, so that an earlier yes still holds.
 *
 * @example
 * isSameWork([], []) // true
 */
export const isSameWork = (before: readonly ExtraLine[], after: readonly ExtraLine[]): boolean =>
  JSON.stringify(before) === JSON.stringify(after);

/**
 * `2 × grip, lead`.
 *
 * @example
 * extraWorkWords(NO_EXTRA_WORK) // ''
 */
export const extraWorkWords = (extra: ExtraWork | null): string =>
  (extra?.lines ?? [])
    .map(({ quantity, name }) => (quantity > 1 ? `${quantity} × ${name}` : name))
    .join(', ');
