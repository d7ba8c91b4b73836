import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { expect, it } from 'vitest';
import { ROOT } from './house';

/** What each module imports of this house, types too, by path from its root. */
function imports(folders: readonly string[]): ReadonlyMap<string, readonly string[]> {
  const files = folders.flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.tsx?$/.test(file))
      .map((file) => join(folder, file)),
  );
  const known = new Set(files);
  return new Map(
    files.map((file) => {
      const text = readFileSync(join(ROOT, file), 'utf8');
      const named = [...text.matchAll(/^(?:import|export)\b[^;]*?from '([@.][^']*)';/gms)].map(
        ([, spec = '']) =>
          spec.startsWith('@/') ? spec.slice(2) : normalize(join(dirname(file), spec)),
      );
      const found = named.flatMap((path) =>
        [`${path}.ts`, `${path}.tsx`, path].filter((each) => known.has(each)),
      );
      return [file, found] as const;
    }),
  );
}

/** A way from a module back to itself, if there is one. */
function circle(graph: ReadonlyMap<string, readonly string[]>): readonly string[] | undefined {
  const done = new Set<string>();
  const walk = (file: string, way: readonly string[]): readonly string[] | undefined => {
    if (way.includes(file)) return [...way.slice(way.indexOf(file)), file];
    if (done.has(file)) return undefined;
    for (const next of graph.get(file) ?? []) {
      const found = walk(next, [...way, file]);
      if (found) return found;
    }
    done.add(file);
    return undefined;
  };
  for (const file of graph.keys()) {
    const found = walk(file, []);
    if (found) return found;
  }
  return undefined;
}

it('no module imports itself by a detour, not even for a type', () => {
  const graph = imports(['app', 'core', 'db', 'formats', 'scripts', 'ui', 'workers']);
  expect(graph.size).toBeGreaterThan(200);
  expect(circle(graph)).toBeUndefined();
  // It would be found.
  expect(
    circle(
      new Map([
        ['a', ['b']],
        ['b', ['c']],
        ['c', ['b']],
      ]),
    ),
  ).toEqual(['b', 'c', 'b']);
});
