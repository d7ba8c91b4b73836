/** Long files are read in a process of their own, so that others are answered meanwhile, and within bounds. */
import { spawn, type Serializable } from 'node:child_process';
import { PARSERS, type Parsers } from '@/workers/parsers';
import type { ParsingQuestion } from '@/workers/parsing';
import { inTheQueue } from './in-the-queue';

/** Shorter files are read at once: to begin apart takes longer. */
const LONG_LETTERS = 200_000;
/** Nobody's file takes so long; a transaction that waits for it stands that long, too. */
const LONGEST_MS = 12_000;
const MOST_MEMORY_MB = 1200;
const ALONE = ['--import', 'tsx', `--max-old-space-size=${MOST_MEMORY_MB}`];
const PARSING = 'workers/parsing.ts';

const TOO_HEAVY =
  'That file takes too long to read. Nothing was brought in: bring it in as several smaller ones.';

export type ParsedApart<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string };

type Given<R extends keyof Parsers> = Parameters<Parsers[R]>;
type Said<R extends keyof Parsers> = ReturnType<Parsers[R]>;

/** Each reader by what it is given and says, so that the compiler sees that the two belong together. */
const READERS: { readonly [R in keyof Parsers]: (...given: Given<R>) => Said<R> } = PARSERS;

/** What one of the readers says to a file; or that the file asks too much. */
export function parseApart<R extends keyof Parsers>(
  reader: R,
  ...given: Given<R>
): Promise<ParsedApart<Said<R>>> {
  return given[0].length < LONG_LETTERS
    ? Promise.resolve({ ok: true, value: READERS[reader](...given) })
    : inTheQueue('read', () => inProcessOfItsOwn({ reader, given }));
}

const inProcessOfItsOwn = <T>(question: ParsingQuestion): Promise<ParsedApart<T>> =>
  new Promise((resolve) => {
    // As the start commands run it: the sources stand beside the build.
    const reading = spawn(process.execPath, [...ALONE, PARSING], {
      cwd: process.cwd(),
      // Nothing of the house's secrets is needed to read a file.
      env: { PATH: process.env.PATH, NODE_ENV: process.env.NODE_ENV },
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    });
    const late = setTimeout(() => reading.kill('SIGKILL'), LONGEST_MS);
    const end = (answer: ParsedApart<T>) => {
      clearTimeout(late);
      resolve(answer);
    };
    const tooHeavy = () => end({ ok: false, problem: TOO_HEAVY });
    reading.once('message', (value) => end({ ok: true, value: value as T }));
    reading.once('error', tooHeavy);
    // Where it has answered before, this is one word too late and changes nothing.
    reading.once('exit', tooHeavy);
    reading.send(question as unknown as Serializable, (error) => error && tooHeavy());
  });
