import { z } from 'zod';
import { textIn } from '@/core/measure/typed';
import type { Sport } from '@/core/terms/sport';
import type { Talk } from '@/core/advice/talk';
import type { TensionUnit } from '@/core/measure/units';
import { readStrings, stringsShape, type ReadStrings } from './strings-entry';
import { talkEntrySchema } from './talk-entry';

/** A setup as it was read: what was said, and the strings. */
interface ReadSetup extends ReadStrings {
  readonly talk: Talk;
  readonly switched: Readonly<Record<string, boolean>>;
  readonly todaysRules: boolean;
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
      ...stringsShape,
    })
    .transform(({ talk, switched, todaysRules, ...strings }, context): ReadSetup => ({
      talk,
      switched,
      todaysRules,
      ...readStrings(strings, sport, unit, context),
    }));

export type SetupEntry = z.input<ReturnType<typeof setupSchema>>;
