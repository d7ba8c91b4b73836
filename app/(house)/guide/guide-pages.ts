/** The pages of the guide, as they stand in `docs/guide`. */
import { readFile, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { cache } from 'react';
import { Marked } from 'marked';
import type { GuidePage } from '@/ui/guide-page';

// The server runs in the folder of the application.
const DOCS = join(process.cwd(), 'docs');
const CONTENTS = 'README';

/** Links lead to pages of the application, and pictures come through it. */
const address = (href: string): string =>
  href.startsWith('../screenshots/')
    ? `/guide/pictures/${href.slice('../screenshots/'.length)}`
    : `/guide${href === `${CONTENTS}.md` ? '' : `/${href.replace(/\.md$/, '')}`}`;

const marked = new Marked({
  walkTokens(token) {
    if ((token.type === 'link' || token.type === 'image') && typeof token.href === 'string')
      token.href = address(token.href);
  },
});

/** A page by the name of its place, the contents without one; nothing where there is no such page. */
export const guidePage = cache(async (place: string = CONTENTS): Promise<GuidePage | undefined> => {
  if (!(await readdir(join(DOCS, 'guide'))).includes(`${place}.md`)) return undefined;
  const text = await readFile(join(DOCS, 'guide', `${place}.md`), 'utf8');
  const [, title = '', body = ''] = /^# (.*)\n([^]*)$/.exec(text) ?? [];
  return { title, html: await marked.parse(body) };
});

/** Beside the place itself nobody needs its picture. */
export async function guideBeside(place: string): Promise<GuidePage | undefined> {
  const page = await guidePage(place);
  return page && { ...page, html: page.html.replace(/<p><img [^>]*><\/p>/g, '') };
}

/** A picture by its name; nothing where there is none. */
export async function guidePicture(name: string): Promise<Buffer | undefined> {
  const folder = join(DOCS, 'screenshots');
  return (await readdir(folder)).includes(name) ? readFile(join(folder, name)) : undefined;
}
