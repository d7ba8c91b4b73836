/** Whose hands a job went through. */
import { z } from 'zod';

/** Somebody who strung, and who watched them where a learner did. */
const strungSchema = z.object({ name: z.string(), watcher: z.string().nullable() });

/** By name; null where nobody has done it yet, or nobody was signed in. */
export const handNamesSchema = z.object({
  takenInBy: z.string().nullable(),
  setUpBy: z.string().nullable(),
  /** The one who made most of the steps first. */
  strungBy: z.array(strungSchema).readonly(),
  handedOverBy: z.string().nullable(),
});
export type TicketHandNames = z.infer<typeof handNamesSchema>;

interface HandWords {
  readonly deed: string;
  readonly who: string;
}

/**
 * Who did what on a job, in the order of the work; what nobody has done is left out.
 *
 * @example handsWords({ takenInBy: 'Ada', setUpBy: null, strungBy: [{ name: 'Bo', watcher: 'Ada' }], handedOverBy: null }).map(({ deed, who }) => `${deed} ${who}`) // → ['taken in by Ada', 'strung by Bo (Ada watched)']
 */
export function handsWords(hands: TicketHandNames): readonly HandWords[] {
  const strung = hands.strungBy
    .map(({ name, watcher }) => (watcher === null ? name : `${name} (${watcher} watched)`))
    .join(', ');
  const all: readonly (readonly [deed: string, who: string | null])[] = [
    ['taken in by', hands.takenInBy],
    ['set up by', hands.setUpBy],
    ['strung by', strung],
    ['handed over by', hands.handedOverBy],
  ];
  return all.flatMap(([deed, who]) => (who ? [{ deed, who }] : []));
}
