/** The shapes of the documents that the database keeps, and how older ones become today's. */
import { mergedClientSchema } from '@/core/advice/one-client';
import { adviceRecordSchema } from '@/core/advice/record';
import { SILENT, talkSchema } from '@/core/advice/talk';
import { keptBalanceSchema } from '@/core/balance/parts';
import { keptPlanSchema } from '@/core/bench/kept-plan';
import { deedSchema } from '@/core/bench/log';
import { extraWorkSchema } from '@/core/counter/extra-work';
import { inspectionSchema } from '@/core/counter/inspection';
import { cutAssumptionsSchema } from '@/core/cut/lengths';
import { frameSpecSchema } from '@/core/frame/frame';
import { keptHouseSchema } from '@/core/house/house-rules';
import { invoiceSchema } from '@/core/papers/invoice';
import { templatesSchema } from '@/core/papers/messages';
import { benchHoursSchema, eventDaysSchema } from '@/core/queue/hours';
import { lastLookSchema } from '@/core/reading/last-look';
import { bedSeenSchema, type BedSeen } from '@/core/reading/seen';
import { drawnSchema } from '@/core/record/drawn';
import { jobRecordSchema, type JobRecord } from '@/core/record/record';
import { standingOrdersSchema } from '@/core/tournament/orders';
import { z } from 'zod';
import type { Shape } from './document';

const shape = <T>(
  name: string,
  schema: Shape<T>['schema'],
  ...steps: Shape<T>['steps']
): Shape<T> => ({ name, schema, steps });

export const CUT_ASSUMPTIONS = shape('What a cut assumes', cutAssumptionsSchema);

export const HOUSE_RULES = shape('The house rules', keptHouseSchema);

/** What was not asked yet was not said. */
export const TALK = shape('What a client said', talkSchema, (old) => ({ ...SILENT, ...old }));

/** A client before and after another one was merged into them. */
export const MERGED = shape(
  'What a merge made of a client',
  z.object({
    before: mergedClientSchema.extend({ mayWriteSince: z.iso.datetime().nullable() }),
    after: mergedClientSchema,
  }),
);

export const BUILD = shape('What is said of a racket', talkSchema.shape.racket, (old) => ({
  ...SILENT.racket,
  ...old,
}));

export const BENCH_HOURS = shape('When a bench is open', benchHoursSchema);

export const EVENT_DAYS = shape('The days of an event', eventDaysSchema);

export const STANDING_ORDERS = shape(
  'The standing orders of a player',
  z.object({ orders: standingOrdersSchema }),
);

export const BALANCE = shape('What a racket weighs where', keptBalanceSchema);

export const FRAME_SPEC = shape('What is read from a frame', frameSpecSchema);

export const ADVICE = shape('The advice of a job', adviceRecordSchema);

export const JOB_RECORD = shape<JobRecord>('The record of a job', jobRecordSchema);

export const DRAWN = shape('What a job drew', drawnSchema);

export const INSPECTION = shape('What was seen at the counter', inspectionSchema);

export const EXTRA_WORK = shape('The extra work of a ticket', extraWorkSchema);

/** What nobody looked at was not seen. */
export const BED_SEEN = shape<BedSeen>('What was seen of a bed', bedSeenSchema);

export const LAST_LOOK = shape('The last look at a job', lastLookSchema);

export const INVOICE = shape('An invoice', invoiceSchema);

export const TEMPLATES = shape('The words to clients', templatesSchema);

/** A plan as the steps at the bench were counted in it. */
export const KEPT_PLAN = shape('A plan at the bench', keptPlanSchema);

export const DEED = shape('What was done at the bench', deedSchema);
