import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
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

/** What an expression of a module comes to, its own names in reach. */
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
    const names = (await import(join(CORE, file))) as Record<string, unknown>;
    const digits = Math.max(
      0,
      ...[...answer.matchAll(/\d\.(\d+)/g)].map(([, each = '']) => each.length),
    );
    expect(rounded(valueOf(code, names), digits)).toEqual(valueOf(answer, names));
  });
});

it('examples stand in every chapter', () => {
  const chapters = new Set(files.map(({ file }) => file.split('/')[0]));
  expect([...chapters].sort()).toEqual([
    'advice',
    'bench',
    'cut',
    'frame',
    'house',
    'maths',
    'measure',
    'path',
    'strings',
    'terms',
  ]);
  expect(files.reduce((sum, { examples }) => sum + examples.length, 0)).toBeGreaterThan(60);
});
