/** Which right stands at each page, route and action, as the sources say it. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ALL_RIGHTS, type Right } from '@/core/house/role-rights';
import { ROOT } from './house';

const APP = join(ROOT, 'app');
const DEED: ReadonlySet<string> = new Set(ALL_RIGHTS);

interface Gate {
  /** A file of a page or route, or the name of an action. */
  readonly name: string;
  /** Nothing where no right is asked for. */
  readonly right: Right | undefined;
}

const read = (file: string): string => readFileSync(join(APP, file), 'utf8');
const asRight = (text: string | undefined): Right | undefined =>
  text !== undefined && DEED.has(text) ? (text as Right) : undefined;

const files = (pattern: RegExp): readonly string[] =>
  readdirSync(APP, { recursive: true, encoding: 'utf8' })
    .filter((file) => pattern.test(file))
    .toSorted((a, b) => a.localeCompare(b));

/** Pages and routes behind the doors. */
export const pageGates = (): readonly Gate[] =>
  files(/^\((house|bench|print|wall)\)\/.*(page\.tsx|route\.ts)$/).map((name) => ({
    name,
    right: asRight(
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
          right: asRight(
            new RegExp(`export const ${name} = action\\(\\s*'([^']+)'`).exec(text)?.[1],
          ),
        }),
      );
    });
