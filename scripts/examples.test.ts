import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { newtons } from '@/core/measure/units';
import { usual } from '@/core/testing/usual';
import { ROOT } from './house';

interface Example {
  readonly code: string;
  readonly answer: string;
}

const CORE = join(ROOT, 'core');

/** The lines `expression // answer` below each `@example` of a file. */
function examplesIn(text: string): readonly Example[] {
  return [...text.matchAll(/@example\n((?: *\* (?!@).*\n)+)/g)].flatMap(([, block = '']) =>
    block
      .split('\n')
      .map((line) => /^ *\* (.+?) \/\/ (.+)$/.exec(line))
      .flatMap((found) => (found ? [{ code: found[1] ?? '', answer: found[2] ?? '' }] : [])),
  );
}

/** What an expression of a module comes to: in reach are its own names, and `usual`, the job of `core/testing/usual.ts`. */
function valueOf(expression: string, names: Readonly<Record<string, unknown>>): unknown {
  return new Function(...Object.keys(names), `return (${expression});`)(
    ...Object.values(names),
  ) as unknown;
}

/** Figures of an example are rounded as they are written. */
function rounded(value: unknown, digits: number): unknown {
  if (typeof value === 'number') return Number(value.toFixed(digits));
  if (Array.isArray(value)) return value.map((each) => rounded(each, digits));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [key, rounded(each, digits)]),
  );
}

const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
  .map((file) => ({ file, examples: examplesIn(readFileSync(join(CORE, file), 'utf8')) }))
  .filter(({ examples }) => examples.length > 0);

describe.each(files)('the examples of core/$file', ({ file, examples }) => {
  it.each(examples)('$code', async ({ code, answer }) => {
    const own = (await import(join(CORE, file))) as Record<string, unknown>;
    const names = { usual, newtons, ...own };
    const digits = Math.max(
      0,
      ...[...answer.matchAll(/\d\.(\d+)/g)].map(([, each = '']) => each.length),
    );
    expect(rounded(valueOf(code, names), digits)).toEqual(valueOf(answer, names));
  });
});

/** The name of what an import brings in, and the file that it comes from. */
function importsOf(file: string): readonly string[] {
  const text = readFileSync(join(ROOT, file), 'utf8');
  return [...text.matchAll(/import (?:type )?\{([^}]*)\} from '([^']+)'/g)].flatMap(
    ([, names = '', from = '']) => {
      const path = from.startsWith('@/') ? from.slice(2) : join(dirname(file), from);
      return names.split(',').map((name) => `${path} ${name.trim().split(' ')[0]}`);
    },
  );
}

/** The functions of a file of the core that have no example. */
function withoutExample(file: string): readonly string[] {
  const text = readFileSync(join(CORE, file), 'utf8');
  return [
    ...text.matchAll(/(\*\/\n)?export (?:function (\w+)|const (\w+) = (?:<.*>)?\()/g),
  ].flatMap(({ index, 1: documented, 2: named, 3: arrow }) => {
    const docs = documented ? text.slice(text.lastIndexOf('/**', index), index) : '';
    return docs.includes('@example') ? [] : [named ?? arrow ?? ''];
  });
}

it('every function that another chapter or the application calls has one', () => {
  const sources = ['core', 'app', 'ui', 'db', 'formats', 'workers', 'scripts'].flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
      .map((file) => join(folder, file)),
  );
  const called = new Map(sources.map((file) => [file, new Set(importsOf(file))] as const));
  const chapterOf = (file: string) => file.split('/').slice(0, 2).join('/');
  const lacking = sources
    .filter((file) => file.startsWith('core/') && !file.startsWith('core/testing/'))
    .flatMap((file) =>
      withoutExample(file.slice('core/'.length))
        .filter((name) =>
          [...called].some(
            ([by, names]) =>
              chapterOf(by) !== chapterOf(file) &&
              !by.startsWith('core/testing/') &&
              names.has(`${file.replace(/\.ts$/, '')} ${name}`),
          ),
        )
        .map((name) => `${file}: ${name}`),
    );
  expect(lacking).toEqual([]);
});

it('examples stand in every chapter', () => {
  const chapters = new Set(files.map(({ file }) => file.split('/')[0]));
  expect([...chapters].sort()).toEqual([
    'advice',
    'ageing',
    'balance',
    'bench',
    'counter',
    'cut',
    'frame',
    'house',
    'load',
    'maths',
    'measure',
    'papers',
    'path',
    'queue',
    'reading',
    'record',
    'shelf',
    'sound',
    'strings',
    'terms',
    'tournament',
  ]);
  expect(files.reduce((sum, { examples }) => sum + examples.length, 0)).toBeGreaterThan(190);
});
