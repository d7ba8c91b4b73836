/** What the commands of the command line have in common. */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { Result } from '@/core/terms/result';

/** One sentence, and the exit code for bad input. */
export function refuse(sentence: string): never {
  console.error(sentence);
  process.exit(2);
}

export const print = (data: unknown): void => console.log(JSON.stringify(data, null, 2));

/** Where a file of the person who calls is; they may stand anywhere. */
const placeOf = (file: string): string => resolve(process.env.INIT_CWD ?? '.', file);

const unread = (file: string): never =>
  refuse(`The file ${file} cannot be read: is its name right?`);

export function textOf(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : placeOf(file), 'utf8');
  } catch {
    return unread(file);
  }
}

export function bytesOf(file: string): Uint8Array {
  try {
    return readFileSync(file === '-' ? 0 : placeOf(file));
  } catch {
    return unread(file);
  }
}

/** What came of it, or its sentence with the file that it is about. */
export function valueOf<T>(file: string, result: Result<T>): T {
  return result.ok ? result.value : refuse(`${file}: ${result.problem}`);
}
