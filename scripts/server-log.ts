/** The server's log tells what went wrong, and nothing of what people wrote: no parameters, no values, no rows. */
import { copyFile, stat, truncate } from 'node:fs/promises';
import { DrizzleQueryError } from 'drizzle-orm/errors';

interface DatabaseError extends Error {
  readonly code?: string;
  readonly constraint?: string;
}

/** An error as it may stand in a log: a failed query without its parameters, the cause without its values. */
export function quietly(error: unknown): unknown {
  if (!(error instanceof DrizzleQueryError)) return error;
  const cause = error.cause as DatabaseError | undefined;
  const where = (error.stack ?? '')
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .join('\n');
  // A value that a column refuses stands in quotes in the message of the database.
  const why = (cause?.message ?? '').replaceAll(/"[^"]*"$/g, '"…"');
  return `Failed query: ${error.query}\n${[cause?.code, cause?.constraint, why].filter(Boolean).join(', ')}\n${where}`;
}

/** Has everything that goes to the error log pass through `quietly`. */
export function quietErrors(): void {
  const say = console.error.bind(console);
  console.error = (...said: readonly unknown[]) => say(...said.map(quietly));
}

const MOST_BYTES = 5_000_000;
const HOUR_MS = 60 * 60_000;

/** Puts a log aside that has grown long while it is written to; the one that was aside goes. */
export async function putAsideWhenLong(log: string, mostBytes = MOST_BYTES): Promise<void> {
  const { size } = await stat(log);
  if (size <= mostBytes) return;
  await copyFile(log, `${log}.1`);
  await truncate(log);
}

/** Looks at the log every hour, for as long as this process lives. */
export function keepLogShort(log: string): void {
  setInterval(() => void putAsideWhenLong(log).catch(() => undefined), HOUR_MS).unref();
}
