/**
 * JSON columns that are read through their schema. A document carries the number of its shape beside its own
 * keys; an older one is brought up to date by the written steps, one after the other, before it is read, and
 * written in the latest shape when it is next changed. How a shape is changed: docs/how-to-add.md.
 */
import { customType } from 'drizzle-orm/pg-core';
import type { z } from 'zod';

type Stored = Readonly<Record<string, unknown>>;

export interface Shape<T> {
  /** For whoever reads of a document that cannot be read. */
  readonly name: string;
  readonly schema: z.ZodType<T>;
  /** From shape 1 to 2, from 2 to 3, …; a document without a number is of shape 1. */
  readonly steps: readonly ((old: Stored) => Stored)[];
}

/** A document that no step and no schema can make sense of. */
export class UnreadableDocument extends Error {
  override name = 'UnreadableDocument';
}

/** What could never be read again, refused before it is kept. */
export class UnwritableDocument extends Error {
  override name = 'UnwritableDocument';
}

const issueIn = ({ issues: [issue] }: z.ZodError): string =>
  `${issue?.path.join('.') ?? ''} ${issue?.message ?? ''}`;

const latest = ({ steps }: Shape<unknown>): number => steps.length + 1;

/** A stored document as what it is today. */
export function readDocument<T>(shape: Shape<T>, stored: Stored): T {
  const { shape: number = 1, ...document } = stored;
  if (typeof number !== 'number' || number < 1 || number > latest(shape))
    throw new UnreadableDocument(
      `${shape.name} has the shape ${String(number)}, and this version knows shapes up to ${latest(shape)}: it was written by a later one.`,
    );
  const now = shape.steps.slice(number - 1).reduce<Stored>((old, step) => step(old), document);
  const read = shape.schema.safeParse(now);
  if (read.success) return read.data;
  throw new UnreadableDocument(`${shape.name} cannot be read: ${issueIn(read.error)}`);
}

/** A document with the number of its shape, as it is stored; what could not be read again is not written. */
export function writeDocument<T extends object>(shape: Shape<T>, value: T): Stored {
  const { error } = shape.schema.safeParse(value);
  if (error) throw new UnwritableDocument(`${shape.name} cannot be kept: ${issueIn(error)}`);
  return { ...value, shape: latest(shape) };
}

/** A JSON column of documents of a shape. */
export const document = <T extends object>(shape: Shape<T>) =>
  customType<{ data: T; driverData: string | Stored }>({
    dataType: () => 'jsonb',
    toDriver: (value) => JSON.stringify(writeDocument(shape, value)),
    fromDriver: (stored) =>
      readDocument(shape, typeof stored === 'string' ? (JSON.parse(stored) as Stored) : stored),
  })();
