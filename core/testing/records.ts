/** Closed jobs, as several tests need them. */
import { recordJob, type JobRecord } from '../record/record';
import { FRAME } from './bench-job';
import { bedOf } from './frame-spec';
import { usualJob } from './jobs';

/** The record of the usual job, by somebody, for somebody. */
export const recordOf = (changes: Partial<JobRecord> = {}): JobRecord => ({
  ...recordJob({
    job: usualJob({ bed: bedOf(FRAME) }),
    client: 'Ada Brill',
    racket: { frameName: 'Threllan 100', mark: 'A1' },
    advice: null,
    leftOverMm: [null, null],
    bench: null,
    remarks: '',
    hands: {
      takenInBy: 'Nell',
      setUpBy: 'Nell',
      strungBy: [{ name: 'Orrin', watcher: null }],
      handedOverBy: 'Nell',
    },
    inspection: null,
    price: null,
    machine: null,
    dial: null,
    closing: null,
    strung: null,
  }),
  ...changes,
});
