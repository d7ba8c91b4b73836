import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { emptyClientEntry } from '@/app/(house)/clients/client-entry';
import { fillWithDemo } from '@/db/demo/fill';
import { actionsOf, callAction, type Target } from '@/scripts/actions';
import { databaseBeside, databaseName, onServer } from '@/scripts/databases';
import { playEvil } from '@/scripts/evil-stringer';
import { targetAt } from '@/scripts/hostile-target';
import { bringUpToDate } from '@/scripts/open';
import { serverEnvironment } from '@/scripts/server';
import { OwnServer } from './at-the-bench';

// A house of its own, whose tables are locked and whose connections are ended: one test after the other.
test.describe.configure({ mode: 'serial' });

/** A word that stands nowhere else: where it is found, somebody's words went. */
const CANARY = 'Quillanthrope';
const client = { ...emptyClientEntry, name: CANARY };

let address: string;
let log: string;
let server: OwnServer;
let target: Target;

test.beforeAll(async () => {
  address = await databaseBeside(process.env.ORTHOTENS_OWNER_URL ?? '', 'under_attack');
  const entrances = await bringUpToDate(address, fillWithDemo);
  log = join(mkdtempSync(join(tmpdir(), 'orthotens-log-')), 'server.log');
  server = await OwnServer.open(serverEnvironment(address, entrances), log);
  target = await targetAt(server.origin, address, process.env.ORTHOTENS_BUILD ?? '', 'all');
});
test.afterAll(() => server.kill());

interface Got {
  readonly status: number;
  readonly again: string | null;
  readonly text: string;
}

async function get(path: string): Promise<Got> {
  const { origin, cookie } = target;
  const answer = await fetch(origin + path, { headers: { cookie }, redirect: 'manual' });
  const again = answer.headers.get('retry-after');
  return { status: answer.status, again, text: await answer.text() };
}

function isLater(answer: Got): void {
  expect(answer).toMatchObject({ status: 503, again: '3' });
  // A page is drawn in the browser; whoever reads a table gets the sentence.
  if (!answer.text.startsWith('<!DOCTYPE'))
    expect(answer.text).toContain('cannot be read just now');
}

const addClient = () => {
  const [id = ''] = actionsOf(target.build).find(([, name]) => name === 'addClient') ?? [];
  return callAction(target, id, [target.workshopId, crypto.randomUUID(), client]);
};

const OTHERS = ['/strings', '/workshop/machines', '/frames'];

test('somebody who strings here and has a code and no password gets nowhere', async () => {
  // The whole of it, two thousand tries, is `npm run bench -- trial`.
  const { tries, got } = await playEvil(target, address, 120, 5);
  expect([tries, got]).toEqual([120, []]);
});

test('a file that asks for much is read beside the others, not before them', async () => {
  const { origin, cookie, workshopId } = target;
  let isRead = false;
  const heavy = fetch(`${origin}/clients/import/file`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin, cookie },
    body: JSON.stringify({
      madeFor: workshopId,
      message: {
        text: `Name\n${'"a"b'.repeat(700_000)}`,
        mapping: { name: [0], contact: [], address: [], notes: [] },
      },
    }),
  }).then(async (answer) => {
    const text = await answer.text();
    isRead = true;
    return text;
  });
  let meanwhile = 0;
  for (; !isRead && meanwhile < 10; meanwhile++)
    expect((await get('/workshop/machines')).status).toBe(200);
  expect([meanwhile, isRead]).toEqual([10, false]);
  expect(await heavy).toMatch(/quote|too long to read/);
  // Four million empty rows are counted, not read.
  const empty = await fetch(`${origin}/clients/import/file`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin, cookie },
    body: JSON.stringify({
      madeFor: workshopId,
      message: {
        text: `Name\nAda${'\n'.repeat(4_000_000)}`,
        mapping: { name: [0], contact: [], address: [], notes: [] },
      },
    }),
  });
  expect(await empty.text()).toContain('100,000');
});

test('a locked table, used up connections and a database that goes hold up nobody else, are answered with later, and leave nobody’s words in the log', async () => {
  for (const path of [...OTHERS, '/clients', '/clients/table'])
    expect([path, (await get(path)).status]).toEqual([path, 200]);
  await onServer(address, async (connection) => {
    await connection.query('begin');
    await connection.query('lock table clients in access exclusive mode');
    const stuck = Array.from({ length: 30 }, (_, i) =>
      get(i % 2 ? `/clients?q=${CANARY}` : '/clients/table'),
    );
    // Others are served as long as the table is locked, however many wait for it.
    for (const path of OTHERS) expect([path, (await get(path)).status]).toEqual([path, 200]);
    for (const answer of await Promise.all(stuck)) isLater(answer);
    const refused = await addClient();
    expect(refused.status).toBe(200);
    expect(refused.text).toContain('Nothing was saved');
    // A connection that is ended in the middle of its question.
    const ended = get(`/clients?q=${CANARY}`);
    await expect
      .poll(async () => {
        const { rowCount } = await connection.query(
          `select pg_terminate_backend(pid) from pg_stat_activity where wait_event_type = 'Lock' and datname = current_database()`,
        );
        return rowCount;
      })
      .toBeGreaterThan(0);
    isLater(await ended);
    await connection.query('rollback');
  });
  expect((await get('/clients')).status).toBe(200);

  // Nobody is let in any more, and those who were are put out.
  const limit = (most: number) =>
    onServer(address, (connection) =>
      connection.query(`alter database "${databaseName(address)}" connection limit ${most}`),
    );
  await limit(0);
  try {
    await onServer(address, (connection) =>
      connection.query(
        'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
      ),
    );
    isLater(await get(`/clients?q=${CANARY}`));
    const signIn = await fetch(`${target.origin}/doors/sign-in/username`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: target.origin },
      body: JSON.stringify({ username: CANARY, password: `${CANARY} ${CANARY}` }),
    });
    expect([signIn.status, signIn.headers.get('retry-after')]).toEqual([503, '3']);
  } finally {
    await limit(-1);
  }
  await expect.poll(async () => (await get('/clients')).status).toBe(200);

  // A value that a table refuses.
  await onServer(address, (connection) =>
    connection.query(`alter table clients add constraint none_such check (name !~ '${CANARY}')`),
  );
  expect((await addClient()).text).toContain('The records do not take that');
  const written = readFileSync(log, 'utf8');
  expect(written).toContain('Failed query');
  // Who came in and who was refused is in it, by number.
  expect(written).toMatch(/"who":"[0-9a-f-]{36}","what":"came in","where":"\/hands\/change"/);
  expect(written).toMatch(/"what":"was refused at","where":"\/sign-in\/username"/);
  expect(written).toMatch(/"who":"[0-9a-f-]{36}","what":"may not"/);
  for (const kept of [CANARY, target.cookie.split('=')[1] ?? CANARY, '$argon', 'scrypt'])
    expect(written).not.toContain(kept);
});
