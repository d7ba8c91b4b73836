/** The server's log tells what went wrong, and nothing of what people wrote: no parameters, no values, no rows. */
import { copyFile, stat, truncate } from 'node:fs/promises';

interface Told extends Error {
  /** Of a query that failed, as the database's library says it. Each bundle of a build has that class for itself. */
  readonly query?: unknown;
  readonly code?: unknown;
  readonly constraint?: unknown;
}

/** Of a failed query its message holds the parameters, up to where it was asked. */
const withoutParameters = (text: string): string =>
  text.replaceAll(/\nparams: [^]*?(?=\n\s+at |$)/g, '');

/** A value that a column refuses stands in the message of the database in quotes, or to its end. */
const withoutValues = (text: string): string =>
  text.replaceAll(/"[^"]*"/g, '"…"').replace(/: .*$/s, ': …');

const framesOf = ({ stack = '' }: Error): string =>
  stack
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .join('\n');

const isSqlState = (code: unknown): code is string =>
  typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code);

function lineOf(error: Told): string {
  if (typeof error.query === 'string') return `Failed query: ${error.query}\n${framesOf(error)}`;
  if (isSqlState(error.code))
    return [error.code, error.constraint, withoutValues(error.message)].filter(Boolean).join(', ');
  return withoutParameters(error.stack ?? error.message);
}

const DEEPEST_CAUSE = 6;

/** What may stand in a log of what was said to it: an error without parameters and values, with its causes. */
export function quietly(said: unknown): unknown {
  if (typeof said === 'string') return withoutParameters(said);
  if (!(said instanceof Error)) return said;
  const lines: string[] = [];
  for (let each: unknown = said; each instanceof Error; each = each.cause) {
    lines.push(lineOf(each));
    if (lines.length === DEEPEST_CAUSE) break;
  }
  const { digest } = said as { digest?: unknown };
  return [...lines, ...(typeof digest === 'string' ? [`digest ${digest}`] : [])].join('\n');
}

/** Has everything that goes to the error log pass through `quietly`. */
export function quietErrors(): void {
  // Whoever read the log is gone: to say that in the log would be an error again, without end.
  for (const out of [process.stdout, process.stderr]) out.on('error', () => undefined);
  for (const kind of ['error', 'warn'] as const) {
    const say = console[kind].bind(console);
    console[kind] = (...said: readonly unknown[]) => say(...said.map(quietly));
  }
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
