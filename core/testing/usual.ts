/** What the examples of the core speak of: one usual job, 16 × 19 at 24/23 kg with monofilament, in two pieces. */
import type { AdviceCase } from '../advice/rule';
import { strungWith, adviceCase } from './advice-case';
import { benchPlan, FRAME, sequenceFor } from './bench-job';
import { bedOf } from './frame-spec';
import { usualJob } from './jobs';
import { recordOf } from './records';

const bed = bedOf(FRAME);
const job = usualJob({ bed });
const plan = benchPlan(FRAME, 'two-piece', { tension: job.tension });
const about: AdviceCase = adviceCase();

export const usual = {
  bed,
  spec: bed.spec,
  job,
  path: job.plan.path,
  tension: job.tension,
  house: job.house,
  plan,
  sequence: sequenceFor(plan),
  about,
  strung: strungWith('monofilament'),
  record: recordOf(),
} as const;
