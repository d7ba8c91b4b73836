/** The pages of the guide, as they stand in `docs/guide`. */
import { readFile, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { Marked } from 'marked';

// The server runs in the folder of the application.
const DOCS = join(process.cwd(), 'docs');
const CONTENTS = 'README';

export interface GuidePage {
  readonly title: string;
  /** Without its title. */
  readonly html: string;
}

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

/** Beside the place itself nobody needs its picture. */
export async function guideBeside(place: string): Promise<GuidePage | undefined> {
  const page = await guidePage(place);
  return page && { ...page, html: page.html.replace(/<p><img [^>]*><\/p>/g, '') };
}

/** A page by the name of its place, the contents without one; nothing where there is no such page. */
export async function guidePage(place: string = CONTENTS): Promise<GuidePage | undefined> {
  if (!(await readdir(join(DOCS, 'guide'))).includes(`${place}.md`)) return undefined;
  const text = await readFile(join(DOCS, 'guide', `${place}.md`), 'utf8');
  const [, title = '', body = ''] = /^# (.*)\n([^]*)$/.exec(text) ?? [];
  return { title, html: await marked.parse(body) };
}

/** A picture by its name; nothing where there is none. */
export async function guidePicture(name: string): Promise<Buffer | undefined> {
  const folder = join(DOCS, 'screenshots');
  return (await readdir(folder)).includes(name) ? readFile(join(folder, name)) : undefined;
}
