/** Which deed stands at each page, route and action, as the sources say it. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ALL_DEEDS, type Deed } from '@/core/house/policy';
import { ROOT } from './house';

const APP = join(ROOT, 'app');
const DEED: ReadonlySet<string> = new Set(ALL_DEEDS);

interface Gate {
  /** A file of a page or route, or the name of an action. */
  readonly name: string;
  /** Nothing where no deed is asked for. */
  readonly deed: Deed | undefined;
}

const read = (file: string): string => readFileSync(join(APP, file), 'utf8');
const asDeed = (text: string | undefined): Deed | undefined =>
  text !== undefined && DEED.has(text) ? (text as Deed) : undefined;

const files = (pattern: RegExp): readonly string[] =>
  readdirSync(APP, { recursive: true, encoding: 'utf8' })
    .filter((file) => pattern.test(file))
    .toSorted((a, b) => a.localeCompare(b));

/** Pages and routes behind the doors. */
export const pageGates = (): readonly Gate[] =>
  files(/^\((house|bench|print|wall)\)\/.*(page\.tsx|route\.ts)$/).map((name) => ({
    name,
    deed: asDeed(
      /(?:openFor|fileRoute|longRoute|letIn)\((?:[\w.]+, )?\s*'([^']+)'/.exec(read(name))?.[1],
    ),
  }));

/** What can be called from a page: everything that a file of actions lets out. */
export const actionGates = (): readonly Gate[] =>
  files(/\.ts$/)
    .filter((file) => read(file).startsWith("'use server'"))
    .flatMap((file) => {
      const text = read(file);
      return [...text.matchAll(/export (?:async function|const) (\w+)/g)].map(
        ([, name = '']): Gate => ({
          name,
          deed: asDeed(new RegExp(`export const ${name} = action\\(\\s*'([^']+)'`).exec(text)?.[1]),
        }),
      );
    });
