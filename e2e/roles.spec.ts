import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { and, eq, inArray, sql } from 'drizzle-orm';
import { may, ROLES, type Right, type Role } from '@/core/house/role-rights';
import { chanceFrom } from '@/core/maths/chance';
import { openDatabase } from '@/db/connection';
import { clients, frames, machines, rackets, strings } from '@/db/racket-schema';
import { tickets } from '@/db/ticket-schema';
import { demoCookie } from '@/scripts/demo-cookie';
import { actionGates, pageGates } from '@/scripts/gates';
import { argumentsOf } from '@/scripts/action-arguments';
import { actionsOf, callAction, type Target } from '@/scripts/actions';
import { targetAt } from '@/scripts/hostile-target';
import { ROOT } from '@/scripts/house';
import { own } from './bench';
import { comeInAsNew, invite, strangerIn } from './people';

const BUILD = join(ROOT, process.env.ORTHOTENS_BUILD ?? '.next');
const OWNER_URL = process.env.ORTHOTENS_OWNER_URL ?? '';

const NAMES: Readonly<Record<Role, string>> = {
  owner: 'hesper',
  stringer: 'tobin',
  counter: 'maud',
  learner: 'wick',
};
const NOT_YOURS = 'This is not for your role in this workshop';
/** They answer with what they found, and with nothing to who may not look. */
const FINDERS = [
  'bedOf',
  'findAnything',
  'findClients',
  'findFrames',
  'knownAtTheCounter',
  'racketsOfClient',
  'nearClients',
  'offersAtTheCounter',
];
/** What each of them finds of the target, where it is not its name. */
const FOUND: Readonly<Record<string, string>> = {
  bedOf: '"areaMm2"',
  knownAtTheCounter: 'Last job',
  offersAtTheCounter: '"words"',
};
/** What they are asked, for the rows of a target. */
const askedOf = (finder: string, { ids }: Target, text: string): unknown =>
  finder === 'racketsOfClient'
    ? ids[CLIENT]
    : finder === 'knownAtTheCounter'
      ? ids[RACKET]
      : finder === 'offersAtTheCounter'
        ? { racketId: '', frameId: '', count: 1 }
        : finder === 'bedOf'
          ? { racketId: '', frameId: ids[FRAME], clientId: '', again: '', ticket: '' }
          : text;

const [CLIENT, RACKET, FRAME, STRING, MACHINE] = [0, 1, 2, 3, 4] as const;

/** The address of a page for the rows of a target. */
function addressOf(file: string, { ids, tickets: numbers }: Target): string {
  const place = (folder: string): number =>
    folder.includes('clients')
      ? CLIENT
      : folder.includes('rackets')
        ? RACKET
        : folder.includes('strings')
          ? STRING
          : folder.includes('machines')
            ? MACHINE
            : FRAME;
  return (
    '/' +
    file
      .replace(/^\([^)]+\)\//, '')
      .replace(/\/?(page\.tsx|route\.ts)$/, '')
      .replace('[number]', String(numbers[0]))
      .replace('[paper]', 'stub')
      .replace('[id]', ids[place(file)] ?? '')
  );
}

/** A message that a route takes; pages are asked for. */
const sentTo = (path: string, { workshopId, tickets: numbers }: Target): object | undefined =>
  path === '/clients/import/file'
    ? {
        madeFor: workshopId,
        message: {
          text: 'Name\nHostile',
          mapping: { name: [0], contact: [], address: [], notes: [] },
        },
      }
    : path.endsWith('/players/import/file')
      ? {
          madeFor: workshopId,
          message: {
            eventId: workshopId,
            text: 'Name\nHostile',
            mapping: { name: [0], contact: [], orders: [] },
          },
        }
      : path === '/jobs/import/file'
        ? { madeFor: workshopId, message: { documents: '{}' } }
        : path.endsWith('/import/file')
          ? { madeFor: workshopId, message: { key: workshopId, text: 'x' } }
          : path.endsWith('/inspect/photo')
            ? {
                madeFor: workshopId,
                message: { id: workshopId, number: numbers[0], caption: '', data: 'eA==' },
              }
            : /^\/bench\/.*\/deeds$/.test(path)
              ? { madeFor: workshopId, known: 0, deeds: [] }
              : undefined;

async function statusOf(path: string, target: Target): Promise<number> {
  const message = sentTo(path, target);
  const answer = await fetch(target.origin + path, {
    redirect: 'manual',
    headers: {
      cookie: target.cookie,
      ...(message && { 'content-type': 'application/json', origin: target.origin }),
    },
    ...(message && { method: 'POST', body: JSON.stringify(message) }),
  });
  await answer.text();
  return answer.status;
}

/** A role that may do it shows it for this one. */
const isShownBy = (role: Role, right: Right): boolean =>
  may(role, right) && ROLES.slice(ROLES.indexOf(role) + 1).some((other) => may(other, right));

test('every page, route and action asks for the role, and each role gets what the policy says', async ({
  baseURL,
}) => {
  const target = await targetAt(baseURL ?? '', OWNER_URL, process.env.ORTHOTENS_BUILD ?? '', 'own');
  const actions = actionsOf(BUILD);
  for (const role of ROLES) {
    const as = { ...target, cookie: await demoCookie(target.origin, NAMES[role]) };
    for (const { name, right } of pageGates()) {
      // What an owner sees is walked through by every other test; what several roles see, one of them shows.
      if (!right || role === 'owner' || isShownBy(role, right)) continue;
      const path = addressOf(name, as);
      const status = await statusOf(path, as);
      expect([role, path, status === 403]).toEqual([role, path, !may(role, right)]);
      expect([path, status]).not.toEqual([path, 500]);
    }
    for (const { name, right } of actionGates()) {
      if (!right || isShownBy(role, right)) continue;
      const [id, , page] = actions.find(([, each]) => each === name) ?? [''];
      expect([name, id]).not.toEqual([name, '']);
      const args = FINDERS.includes(name)
        ? [askedOf(name, as, 'Hostile')]
        : argumentsOf(name, as, chanceFrom(7));
      const { status, text } = await callAction(as, id, [as.workshopId, ...args], page);
      expect([role, name, status]).toEqual([role, name, 200]);
      const refused = FINDERS.includes(name)
        ? !text.includes(FOUND[name] ?? 'Hostile')
        : text.includes(NOT_YOURS);
      expect([role, name, refused]).toEqual([role, name, !may(role, right)]);
    }
  }
  // Without a cookie nothing is answered at all.
  const nobody = { ...target, cookie: '' };
  for (const { name } of pageGates()) {
    const path = addressOf(name, nobody);
    expect([path, await statusOf(path, nobody)]).toEqual([path, sentTo(path, nobody) ? 401 : 307]);
  }
  for (const [id, name] of actions.filter(([, each]) => !FINDERS.includes(each))) {
    const { text } = await callAction(nobody, id, [
      nobody.workshopId,
      ...argumentsOf(name, nobody, chanceFrom(7)),
    ]);
    expect([name, /"ok":true|"go":/.test(text)]).toEqual([name, false]);
  }
});

test('a role’s pages lead nowhere that is not theirs', async ({ baseURL }) => {
  const origin = baseURL ?? '';
  for (const role of ['counter', 'learner', 'stringer'] as const) {
    const cookie = await demoCookie(origin, NAMES[role]);
    const known = new Set(['/']);
    const barred: string[] = [];
    // Of the many rows that a page is of, two are enough.
    const kinds = new Map<string, number>();
    for (const path of known) {
      const answer = await fetch(origin + path, { headers: { cookie } });
      const page = await answer.text();
      if (answer.status === 403) barred.push(path);
      for (const [, href = ''] of page.matchAll(/<a [^>]*href="(\/[^"]*)"/g)) {
        const kind = href.replace(/[?#].*$/, '').replaceAll(/[0-9a-f-]{36}|\d+/g, '#');
        const seen = kinds.get(kind) ?? 0;
        if (seen >= 2 || known.has(href)) continue;
        kinds.set(kind, seen + 1);
        known.add(href.replaceAll('&amp;', '&'));
      }
    }
    expect([role, barred]).toEqual([role, []]);
    expect(known.size).toBeGreaterThan(8);
  }
});

/** What stands in the rows of a target. */
async function rowsOf({ workshopId, ids, tickets: numbers }: Target): Promise<string> {
  const { db, close } = openDatabase(OWNER_URL, 'command');
  const texts: unknown[] = [];
  for (const table of [clients, rackets, frames, strings, machines])
    texts.push(
      await db
        .select({ row: sql`${table}::text` })
        .from(table)
        .where(and(eq(table.workshopId, workshopId), inArray(table.id, [...ids]))),
    );
  texts.push(
    await db
      .select({ row: sql`${tickets}::text` })
      .from(tickets)
      .where(and(eq(tickets.workshopId, workshopId), inArray(tickets.number, [...numbers]))),
  );
  await close();
  return JSON.stringify(texts, undefined, 1);
}

test('a hostile second workshop sees and changes nothing of the first, by any page, route, export, search or guessed id', async ({
  page,
  browser,
  baseURL,
}) => {
  const origin = baseURL ?? '';
  const target = await targetAt(origin, OWNER_URL, process.env.ORTHOTENS_BUILD ?? '', 'own');
  // Somebody of this house who owned here once, opened a shop of their own, and was let go.
  const name = own('Corvin Ashgate');
  const username = name
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '')
    .slice(-12);
  await page.goto('/workshop/people');
  const theirs = await strangerIn(browser, origin);
  await comeInAsNew(
    theirs,
    await invite(page, name, `${username}@ashgate.example`, 'owner'),
    username,
  );
  await theirs.getByRole('link', { name }).click();
  await theirs.getByRole('link', { name: 'Another workshop' }).click();
  await theirs.getByText('Open another workshop').click();
  const shop = own('Ashgate Strings');
  await theirs.getByLabel('Name of the workshop').fill(shop);
  await theirs.getByRole('button', { name: 'Open it' }).click();
  await expect(theirs.getByRole('heading', { name: 'Your first racket' })).toBeVisible();
  await expect(theirs.getByText(shop, { exact: true })).toBeVisible();
  // They belong to both, so who owns one of them cannot become them by a link.
  await page.reload();
  const row = page.getByRole('listitem').filter({ hasText: name });
  await row.getByRole('button', { name: 'Link for a password' }).click();
  await expect(row.getByRole('alert')).toContainText('works in another workshop too');
  // They change between them.
  await theirs.goto('/workshops');
  await theirs.getByRole('button', { name: 'The Netloft' }).click();
  await expect(theirs.getByText('Ottiline Brackwether').first()).toBeVisible();
  await theirs.goto('/workshops');
  await theirs.getByRole('button', { name: shop }).click();
  await expect(theirs.getByRole('heading', { name: 'Your first racket' })).toBeVisible();
  // Somebody who works here is asked in there: they take it signed in as themselves, and are where they were.
  const both = own('Berrin Sallowfield');
  const berrin = await strangerIn(browser, origin);
  const address = `${username}b@ashgate.example`;
  await comeInAsNew(berrin, await invite(page, both, address, 'counter'), `${username}b`);
  await theirs.goto('/workshop/people');
  const link = await invite(theirs, both, address, 'counter');
  await berrin.goto(link);
  await berrin.getByRole('button', { name: `Work at ${shop} as ${both}` }).click();
  await expect(berrin.getByRole('button', { name: shop })).toBeVisible();
  await expect(berrin.getByRole('button', { name: 'The Netloft' })).toContainText('you are here');
  await berrin.goto('/clients');
  await expect(berrin.getByText('Ottiline Brackwether').first()).toBeVisible();
  await theirs.reload();
  await expect(theirs.getByRole('listitem').filter({ hasText: both })).toContainText('no code');
  await berrin.context().close();

  await row.getByRole('button', { name: 'Remove this person' }).click();
  await expect(row).toHaveCount(0);

  const cookie = (await theirs.context().cookies())
    .map((each) => `${each.name}=${each.value}`)
    .join('; ');
  const { db, close } = openDatabase(OWNER_URL, 'command');
  const { rows } = await db.execute<{ id: string }>(
    sql`select id from workshops where name = ${shop}`,
  );
  await close();
  const hostile = { ...target, cookie, workshopId: rows[0]?.id ?? '' };
  const before = await rowsOf(target);

  for (const { name: file } of pageGates()) {
    const path = addressOf(file, hostile);
    if (sentTo(path, hostile)) continue;
    for (const query of ['?find=Ottiline', `?ticket=${target.tickets[0]}`]) {
      const answer = await fetch(origin + path + query, {
        headers: { cookie },
        redirect: 'manual',
      });
      const told = /Brackwether|Netloft|Ostrevan|Hostile/.exec(await answer.text())?.[0];
      expect([path + query, told]).toEqual([path + query, undefined]);
      if (/\[(id|number)\]/.test(file)) expect([path, answer.status]).toEqual([path, 404]);
    }
  }
  const actions = actionsOf(BUILD);
  for (const [id, action] of actions)
    for (const madeFor of [target.workshopId, hostile.workshopId]) {
      const args = FINDERS.includes(action)
        ? [askedOf(action, target, 'Brackwether')]
        : argumentsOf(action, target, chanceFrom(11));
      const { text } = await callAction(hostile, id, [madeFor, ...args]);
      if (FINDERS.includes(action))
        expect([action, /Ottiline|Ostrevan|Hostile|Last job|"areaMm2"/.test(text)]).toEqual([
          action,
          false,
        ]);
    }
  for (const [id] of actions.filter(([, each]) => /^(remove|restore)/.test(each)))
    for (const guessed of target.ids) await callAction(hostile, id, [hostile.workshopId, guessed]);
  const deeds = await fetch(`${origin}/bench/${target.tickets[0]}/deeds`, {
    method: 'POST',
    headers: { cookie, origin, 'content-type': 'application/json' },
    body: JSON.stringify({ madeFor: hostile.workshopId, known: 0, deeds: [] }),
  });
  expect(deeds.status).toBe(404);
  const exported = await fetch(`${origin}/frames/document`, { headers: { cookie } });
  // By now they have rows of their own that go by the names that every hostile request uses.
  expect(await exported.text()).not.toMatch(/Ostrevan/);
  const table = await fetch(`${origin}/strings/table`, { headers: { cookie } });
  expect(await table.text()).not.toMatch(/Hostile, of its own|Threllan/);
  expect(await rowsOf(target)).toBe(before);
});
