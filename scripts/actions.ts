/** The server actions of a build, called as a page calls them. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';

export interface Target {
  readonly origin: string;
  /** Of somebody who is signed in there. */
  readonly cookie: string;
  /** Folder of the build that it serves. */
  readonly build: string;
  readonly workshopId: string;
  /** Rows that are there, so that some requests get past the first door. */
  readonly ids: readonly string[];
  readonly tickets: readonly number[];
}

const manifestSchema = z.object({
  node: z.record(
    z.string(),
    z.object({ exportedName: z.string(), workers: z.record(z.string(), z.unknown()) }),
  ),
});

/** The first page that has an action, of those whose address is the same for everybody. */
const pageOf = (pages: readonly string[]): string | undefined =>
  pages
    .filter((page) => !page.includes('['))
    .map((page) =>
      page
        .replace(/^app/, '')
        .replace(/\/page$/, '')
        .replaceAll(/\/\([^)]+\)/g, ''),
    )
    .find((page) => page !== '');

/** The actions of a build by the id that pages call them with, each with a page of its own where there is one. */
export function actionsOf(
  build: string,
): readonly (readonly [id: string, name: string, page: string | undefined])[] {
  const text = readFileSync(join(build, 'server', 'server-reference-manifest.json'), 'utf8');
  return Object.entries(manifestSchema.parse(JSON.parse(text)).node).map(
    ([id, { exportedName, workers }]) => [id, exportedName, pageOf(Object.keys(workers))],
  );
}

/** Calls an action as a page does, of its own page or from another one, and gives the answer as it came. */
export async function callAction(
  { origin, cookie }: Pick<Target, 'origin' | 'cookie'>,
  id: string,
  args: readonly unknown[],
  page = '/me',
): Promise<{ readonly status: number; readonly text: string }> {
  const ask = async () => {
    const answer = await fetch(origin + page, {
      method: 'POST',
      headers: { 'next-action': id, 'content-type': 'text/plain;charset=UTF-8', origin, cookie },
      body: JSON.stringify(args),
      redirect: 'manual',
    });
    return { status: answer.status, text: await answer.text() };
  };
  const answer = await ask();
  // An action of another page is passed on by the framework over a connection of its own; where that breaks, a busy machine's
  // for instance, it answers with nothing. Every action says something.
  return answer.text === '' ? ask() : answer;
}
