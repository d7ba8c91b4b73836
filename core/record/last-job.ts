/** What advice asks of the record of the job before. */
import type { LastJob } from '../advice/rule';
import type { JobRecord } from './record';

/**
 * The last job as its record has it.
 *
 * @example
 * lastJobOf({ setup: { mains: usual.strung.mains, crosses: usual.strung.crosses, ...usual.tension }, advice: null }).tension.unit // 'kg'
 */
export function lastJobOf({ setup, advice }: Pick<JobRecord, 'setup' | 'advice'>): LastJob {
  const { mains, crosses, mainN, crossN, unit } = setup;
  const of = ({ family, gaugeMm, shape }: typeof mains) => ({ family, gaugeMm, shape });
  return {
    strung: { mains: of(mains), crosses: of(crosses) },
    tension: { mainN, crossN, unit },
    pull: advice?.house.benchPull ?? null,
    talk: advice?.talk ?? null,
  };
}
