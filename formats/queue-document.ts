/** A workshop's queue as an open document, and its plan. */
import { z } from 'zod';
import { joined, wallMinutes, wallOf, type Span } from '@/core/queue/clock';
import type { QueueBench, QueueJob } from '@/core/queue/jobs';
import type { QueuePlan } from '@/core/queue/plan';
import type { Result } from '@/core/terms/result';
import { readJson } from './json-document';

const wall = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'a time is written 2026-01-05T09:00')
  .refine((text) => wallOf(wallMinutes(text)) === text, 'there is no such time')
  .transform(wallMinutes);
const minutes = z.number().positive().max(100_000);

const queueDocumentSchema = z
  .strictObject({
    format: z.literal('orthotens-queue/1'),
    now: wall.describe('On the workshop’s clock.'),
    benches: z
      .array(
        z.strictObject({
          name: z.string().min(1).max(80),
          open: z
            .array(
              z
                .tuple([wall, wall])
                .refine(([from, to]) => to > from, 'an opening ends after it begins'),
            )
            .max(2000),
        }),
      )
      .min(1)
      .max(40)
      .refine(
        (benches) => new Set(benches.map(({ name }) => name)).size === benches.length,
        'two benches have the same name',
      ),
    jobs: z
      .array(
        z.strictObject({
          number: z.number().int().min(1),
          minutes,
          promised: wall,
          ready: wall.optional().describe('Before it the racket or its string is not here.'),
          benches: z.array(z.string()).optional().describe('Those that suit it; all without.'),
          minutesAt: z.record(z.string(), minutes).optional(),
        }),
      )
      .max(500)
      .refine(
        (jobs) => new Set(jobs.map(({ number }) => number)).size === jobs.length,
        'two jobs have the same number',
      ),
  })
  .describe('The open jobs of a workshop and the benches that they are strung at.');

/** The published schema, JSON Schema 2020-12. */
export const queueJsonSchema = (): object => ({
  title: 'Orthotens queue',
  ...z.toJSONSchema(queueDocumentSchema, { io: 'input' }),
});

export interface Queue {
  readonly now: number;
  readonly benches: readonly QueueBench[];
  readonly jobs: readonly QueueJob[];
}

/** Reads a queue, or says which part of it is wrong. */
export function readQueue(text: string): Result<Queue> {
  const read = readJson(text, queueDocumentSchema, 'a queue');
  if (!read.ok) return read;
  const { now, benches, jobs } = read.value;
  return {
    ok: true,
    value: {
      now,
      benches: benches.map(({ name, open }) => ({
        name,
        open: joined(open.map(([from, to]): Span => [from, to])),
      })),
      jobs: jobs.map(({ ready, benches: suited, minutesAt, ...job }) => ({
        ...job,
        ready: ready ?? -Infinity,
        ...(suited && { benches: suited }),
        ...(minutesAt && { minutesAt }),
      })),
    },
  };
}

/** What becomes of it, for programs. */
export const queueReport = ({ placed, cost }: QueuePlan) => ({
  jobs: placed.map(({ number, bench, start, finish, lateMin }) => ({
    number,
    bench,
    start: wallOf(start),
    finish: wallOf(finish),
    lateMin,
  })),
  maxLateMin: cost.most,
});
