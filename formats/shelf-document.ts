/** What lies on the shelf and what is to be cut, as an open document, and the plan of it. */
import { z } from 'zod';
import {
  cutFrom,
  STOCK_KINDS,
  type CuttingPlan,
  type StockLength,
  type WantedPiece,
} from '@/core/shelf/cutting';
import { MOST_MINOR } from '@/core/measure/money';
import type { Result } from '@/core/terms/result';
import { readJson } from './json-document';

const id = z.string().min(1).max(80);
const mm = z.number().positive().max(1_000_000);
const alone = <T extends { readonly id: string }>(rows: readonly T[]): boolean =>
  new Set(rows.map((row) => row.id)).size === rows.length;

const shelfDocumentSchema = z
  .strictObject({
    format: z.literal('orthotens-shelf/1'),
    usefulMm: z.number().min(0).max(100_000).describe('What is left and shorter is scrap.'),
    stock: z
      .array(
        z.strictObject({
          id,
          kind: z.enum(STOCK_KINDS),
          mm,
          price: z.number().min(0).max(MOST_MINOR).describe('What opening it costs, minor units.'),
          string: z.string().max(120).optional(),
        }),
      )
      .max(500)
      .refine(alone, 'two lengths have the same id'),
    pieces: z
      .array(
        z.strictObject({
          id,
          mm,
          string: z.string().max(120).optional(),
          job: z.string().max(80).optional().describe('Its pieces are cut together or not at all.'),
          promised: z.string().max(40).optional().describe('Anything that sorts by time.'),
        }),
      )
      .max(200)
      .refine(alone, 'two pieces have the same id'),
  })
  .describe('Lengths of string, and the pieces that are to be cut from them.');

/** The published schema, JSON Schema 2020-12. */
export const shelfJsonSchema = (): object => ({
  title: 'Orthotens shelf',
  ...z.toJSONSchema(shelfDocumentSchema, { io: 'input' }),
});

export interface Shelf {
  readonly usefulMm: number;
  readonly stock: readonly StockLength[];
  readonly pieces: readonly WantedPiece[];
}

/** Reads a shelf, or says which part of it is wrong. */
export const readShelf = (text: string): Result<Shelf> =>
  readJson(text, shelfDocumentSchema, 'a shelf');

/** What is cut from what, for programs. */
export function shelfReport({ stock, pieces, usefulMm }: Shelf): Omit<CuttingPlan, 'exact'> {
  const { cuts, unserved, openedPrice, scrapMm } = cutFrom(stock, pieces, usefulMm);
  return { cuts, unserved, openedPrice, scrapMm };
}
