/** A job with nothing out of the ordinary, and whatever a test wants otherwise. */
import { jobOf, type Job, type JobQuestion } from '../bench/job';
import { USUAL_ASSUMPTIONS } from '../cut/lengths';
import { USUAL_HOUSE } from '../house/house-rules';
import { USUAL_MACHINE } from '../house/machine';
import type { JobString } from '../strings/job-string';
import { ticketOf } from './advice-case';

export const MONOFILAMENT: JobString = {
  name: 'S',
  family: 'monofilament',
  shape: 'round',
  gaugeMm: 1.25,
  suppliedByClient: false,
  setMm: 12_200,
  stretch: null,
};

export const usualJob = (asked: Pick<JobQuestion, 'bed'> & Partial<JobQuestion>): Job =>
  jobOf({
    mains: MONOFILAMENT,
    crosses: MONOFILAMENT,
    tension: ticketOf(24, 23, 'kg'),
    choice: { method: 'two-piece', shortSide: 'left', crossStart: 'left' },
    cutFrom: 'one set',
    remnantsMm: [],
    assumptions: USUAL_ASSUMPTIONS,
    learnt: {},
    house: USUAL_HOUSE,
    machine: USUAL_MACHINE,
    notes: '',
    ...asked,
  });
