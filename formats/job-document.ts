/** A closed job as an open document: one JSON object, versioned, from which it can be planned anew. */
import { strungWords } from '@/core/record/as-strung';
import { z } from 'zod';
import { jobOf, type Job } from '@/core/bench/job';
import { studyFrame } from '@/core/frame/bed';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { USUAL_MACHINE } from '@/core/house/machine';
import { jobBooksSchema, type JobBooks } from '@/core/papers/payment';
import { jobRecordSchema, type JobRecord } from '@/core/record/record';
import { failure, success, type Result } from '@/core/terms/result';
import { readJson } from './json-document';

const JOB_FORMAT = 'orthotens-job/1';

const jobDocumentSchema = z
  .strictObject({
    format: z.literal(JOB_FORMAT),
    number: z.number().int().min(1),
    handedOver: z.iso.datetime().describe('When its ticket was closed, UTC.'),
    record: jobRecordSchema.describe('Lengths in mm, pulls in N, money in minor units.'),
    books: jobBooksSchema
      .optional()
      .describe(
        'What it cost, what was paid of it and when it was collected; money in minor units.',
      ),
  })
  .describe('A closed job.');

export type JobDocument = z.infer<typeof jobDocumentSchema>;

/** The published schema, JSON Schema 2020-12. */
export const jobJsonSchema = (): object => ({
  title: 'Orthotens job',
  ...z.toJSONSchema(jobDocumentSchema, { io: 'input' }),
});

export const jobDocument = (
  number: number,
  closedAt: Date,
  record: JobRecord,
  books?: JobBooks,
): JobDocument => ({
  format: JOB_FORMAT,
  number,
  handedOver: closedAt.toISOString(),
  record,
  ...(books && { books }),
});

/** Reads a document, or says which part of it is wrong. */
export const readJobDocument = (text: string): Result<JobDocument> =>
  readJson(text, jobDocumentSchema, 'a job');

/** The same job planned anew by the core of today, from what its record settled. */
export function planAnew({ record }: JobDocument): Result<Job> {
  const { frame, setup, plan, advice } = record;
  const { bed, problems } = studyFrame(frame);
  if (!bed) return failure('job.no bed', { why: problems[0]?.problem ?? '' });
  return success(
    jobOf({
      bed,
      mains: setup.mains,
      crosses: setup.crosses,
      tension: setup,
      choice: plan,
      cutFrom: plan.cutFrom,
      remnantsMm: plan.remnantsMm,
      assumptions: plan.assumptions,
      learnt: {},
      house: advice?.house ?? USUAL_HOUSE,
      machine: USUAL_MACHINE,
      notes: frame.stringing.notes ?? '',
    }),
  );
}

/** What comes out anew, beside what its record has; for programs. */
export function jobReport(document: JobDocument, { plan, sequence }: Job) {
  const { record } = document;
  return {
    format: 'orthotens-job-report/1',
    number: document.number,
    client: record.client,
    racket: record.racket,
    ticket: strungWords(record),
    pieces: plan.pieces.map(({ name, cutMm }) => ({
      name,
      cutMm,
      recordedCutMm: record.plan.pieces.find((piece) => piece.name === name)?.rawCutMm ?? null,
    })),
    knots: plan.path.knots.map(({ ties, hole, side }) => ({ ties, hole: hole.label, side })),
    steps: sequence.ok ? sequence.value.steps.length : null,
    pulls: sequence.ok
      ? sequence.value.steps.flatMap(({ pullN }) => (pullN === undefined ? [] : [pullN]))
      : [],
  };
}
