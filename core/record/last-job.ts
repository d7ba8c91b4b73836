/** What advice asks of the record of the job before. */
import type { LastJob } from '../advice/rule';
import { inTheRacket } from './as-strung';
import type { JobRecord } from './record';

/**
 * The last job as its record has it.
 *
 * @example
 * lastJobOf({ setup: { mains: usual.strung.mains, crosses: usual.strung.crosses, ...usual.tension }, advice: null, strung: null }).tension.unit // 'kg'
 */
export function lastJobOf({
  setup,
  advice,
  strung,
}: Pick<JobRecord, 'setup' | 'advice' | 'strung'>): LastJob {
  const { mains, crosses } = setup;
  const of = ({ family, gaugeMm, shape }: typeof mains) => ({ family, gaugeMm, shape });
  return {
    strung: { mains: of(mains), crosses: of(crosses) },
    tension: inTheRacket({ setup, strung }),
    advised: advice?.advised ?? null,
    pull: advice?.house.benchPull ?? null,
    talk: advice?.talk ?? null,
  };
}
