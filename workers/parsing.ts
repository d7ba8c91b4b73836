/** Reads one long file, in a process of its own beside the one that answers people (`app/parse-apart.ts`). */
import { PARSERS, type Parsers } from './parsers';

export interface ParsingQuestion {
  readonly reader: keyof Parsers;
  readonly given: readonly unknown[];
}

process.once('message', ({ reader, given }: ParsingQuestion) => {
  const read = PARSERS[reader] as (...args: readonly unknown[]) => unknown;
  process.send?.(read(...given), () => process.disconnect());
});
