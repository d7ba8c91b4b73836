/** For whom the maker or the stringer would not use a string. */
import { z } from 'zod';

export const notForSchema = z.enum([
  'arm trouble',
  'juniors',
  'slow swings',
  'string breakers',
  'damp',
]);
/** Who may not want a string. */
export type NotFor = z.infer<typeof notForSchema>;
