import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  realpathSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client } from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

/** Houses are tried as commands meet them: each start is a process of its own. */
const place = mkdtempSync(join(tmpdir(), 'orthotens-cluster-'));
let house = join(place, 'first');

interface Start {
  readonly ok: boolean;
  /** The last line that it printed: the address. */
  readonly url: string;
  readonly text: string;
}

const CODE = `
  const { workDatabase, testDatabase } = await import('./scripts/databases.ts');
  const { stopCluster } = await import('./scripts/cluster.ts');
  const [what] = process.argv.slice(1);
  console.log(String(what === 'stop' ? stopCluster() : what === 'unit tests' ? await testDatabase(what) : await workDatabase(what)));
`;

function start(what = 'workshop', env: Record<string, string> = {}): Promise<Start> {
  return new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', '--input-type=module', '-e', CODE, what],
      {
        cwd: join(import.meta.dirname, '..'),
        env: { ...process.env, DATABASE_URL: '', ORTHOTENS_HOUSE: house, ...env },
      },
    );
    let text = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk: Buffer) => (text += String(chunk)));
    child.on('close', (code) =>
      resolve({ ok: code === 0, url: text.trim().split('\n').at(-1) ?? '', text }),
    );
  });
}

async function ask(url: string, sql: string): Promise<unknown[]> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<Record<string, unknown>>(sql)).rows;
  } finally {
    await client.end();
  }
}

const data = () => realpathSync(join(house, 'postgres'));
const serverPid = () => readFileSync(join(data(), 'postmaster.pid'), 'utf8').split('\n')[0] ?? '';
const KEPT = [{ n: 7 }];
const kept = (url: string) => ask(url, 'select n from kept');

beforeAll(() => {
  // The database's own user must be able to enter the folder when the tests run as root.
  chmodSync(place, 0o755);
  mkdirSync(house, { mode: 0o755 });
});

afterAll(async () => {
  await start('stop');
  rmSync(place, { recursive: true, force: true });
});

describe('the project’s own database server', () => {
  it('two cold starts at once make one cluster, with a password, on the loopback only', async () => {
    const [one, two] = await Promise.all([start(), start()]);
    expect(one.ok, one.text).toBe(true);
    expect(two.url).toBe(one.url);
    expect([one, two].filter(({ text }) => text.includes('Creating')).length).toBe(1);
    expect(await ask(one.url, 'show listen_addresses')).toEqual([
      { listen_addresses: '127.0.0.1' },
    ]);
    expect(readFileSync(join(data(), 'pg_hba.conf'), 'utf8')).not.toMatch(/^[^#]*\btrust\b/m);
    const wrong = new URL(one.url);
    wrong.password = 'guess';
    await expect(ask(wrong.toString(), 'select 1')).rejects.toThrow(/password/);
    await ask(one.url, 'create table kept (n int)');
    await ask(one.url, 'insert into kept values (7)');
  });

  it('comes back with its records after kill -9, and when its lock names somebody else', async () => {
    const pid = serverPid();
    spawnSync('kill', ['-9', pid]);
    const { url } = await start();
    expect(serverPid()).not.toBe(pid);
    expect(await kept(url)).toEqual(KEPT);
    expect((await start('stop')).url).toBe('true');
    writeFileSync(join(data(), 'postmaster.pid'), `${process.pid}\n${data()}\n`);
    expect(await kept((await start()).url)).toEqual(KEPT);
  });

  it('logs for its owner only, and no value that stood in a statement', async () => {
    const { url } = await start();
    await expect(
      ask(url, `insert into kept select 'a secret'::text::int where true`),
    ).rejects.toThrow();
    await ask(url, 'create table single (who text unique)');
    await ask(url, `insert into single values ('Secret Person')`);
    await expect(ask(url, `insert into single values ('Secret Person')`)).rejects.toThrow();
    const logs = readdirSync(join(data(), 'log')).map((name) => join(data(), 'log', name));
    expect(logs.length).toBeGreaterThan(0);
    for (const log of logs) {
      expect(statSync(log).mode & 0o077).toBe(0);
      expect(readFileSync(log, 'utf8')).not.toContain('Secret Person');
    }
  });
});

describe('a start never erases', () => {
  const memory = () => join(house, 'cluster.json');

  it.each([
    ['torn', () => writeFileSync(memory(), '{"port": 54')],
    ['missing', () => rmSync(memory())],
    [
      'that names a folder elsewhere',
      () =>
        writeFileSync(
          memory(),
          JSON.stringify({ port: 54710, password: 'x', dataFolder: '/nowhere/postgres' }),
        ),
    ],
  ])('with a memory file %s it takes up the records that are there', async (_, spoil) => {
    spoil();
    const { ok, url, text } = await start();
    expect(ok, text).toBe(true);
    expect(await kept(url)).toEqual(KEPT);
    expect(statSync(memory()).mode & 0o077).toBe(0);
  });

  it('when the house has moved, and when a copy of it runs beside it, each has its own records', async () => {
    await start('stop');
    const first = house;
    const moved = join(place, 'moved');
    renameSync(first, moved);
    house = moved;
    expect(await kept((await start()).url)).toEqual(KEPT);
    await start('stop');
    // As `cp -a` does it: owners and rights stay.
    spawnSync('cp', ['-a', moved, join(place, 'copy')]);
    const original = await start();
    house = join(place, 'copy');
    const copy = await start();
    expect(copy.ok, copy.text).toBe(true);
    await ask(copy.url, 'insert into kept values (8)');
    expect(await kept(original.url)).toEqual(KEPT);
    expect(await kept(copy.url)).toHaveLength(2);
    await start('stop');
    house = moved;
  });

  it('a folder that cannot be understood is refused with what to do, and left as it is', async () => {
    await start('stop');
    const real = data();
    const aside = `${real}-aside`;
    renameSync(real, aside);
    const gone = await start();
    expect(gone.ok).toBe(false);
    expect(gone.text).toContain('Put that folder back');
    mkdirSync(real);
    writeFileSync(join(real, 'letter.txt'), 'mine');
    const foreign = await start();
    expect(foreign.ok).toBe(false);
    expect(foreign.text).toContain('no database that PostgreSQL could open');
    expect(readFileSync(join(real, 'letter.txt'), 'utf8')).toBe('mine');
    rmSync(real, { recursive: true });
    renameSync(aside, real);
    const version = readFileSync(join(real, 'PG_VERSION'), 'utf8');
    writeFileSync(join(real, 'PG_VERSION'), '9\n');
    expect((await start()).text).toContain('written by PostgreSQL 9');
    writeFileSync(join(real, 'PG_VERSION'), version);
    expect(await kept((await start()).url)).toEqual(KEPT);
    cpSync(memory(), `${memory()}.keep`);
    expect(existsSync(join(real, 'PG_VERSION'))).toBe(true);
  });
});

describe('databases by purpose', () => {
  it('gives tests databases of their own, empty each time', async () => {
    const { url } = await start('unit tests');
    await ask(url, 'create table leftover (n int)');
    const again = await start('unit tests');
    expect(again.url).toBe(url);
    await expect(ask(again.url, 'select * from leftover')).rejects.toThrow(/does not exist/);
  });

  it('with a DATABASE_URL the demo and the tests stand beside it, and only in what they made', async () => {
    const own = await start();
    const named = { DATABASE_URL: own.url };
    expect((await start('workshop', named)).url).toBe(own.url);
    const shop = new URL(own.url);
    shop.pathname = '/shop';
    await ask(own.url, 'create database shop');
    const demo = await start('demo', { DATABASE_URL: shop.toString() });
    expect(new URL(demo.url).pathname).toBe('/shop_demo');
    expect((await start('demo', { DATABASE_URL: shop.toString() })).url).toBe(demo.url);
    expect(
      new URL((await start('unit tests', { DATABASE_URL: shop.toString() })).url).pathname,
    ).toBe('/shop_test_unit');
    // Somebody's real database that happens to have such a name.
    await ask(own.url, 'create database till_demo');
    await ask(own.url, 'create database till_test_unit');
    shop.pathname = '/till';
    for (const purpose of ['demo', 'unit tests']) {
      const refused = await start(purpose, { DATABASE_URL: shop.toString() });
      expect(refused.ok).toBe(false);
    }
    shop.pathname = '/shop';
    await ask(own.url, 'create database till');
    shop.pathname = '/till';
    for (const purpose of ['demo', 'unit tests']) {
      const refused = await start(purpose, { DATABASE_URL: shop.toString() });
      expect(refused.text).toContain('was not made for');
    }
  });

  it('an address that leads nowhere, or is none, gets a sentence', async () => {
    const nowhere = await start('workshop', { DATABASE_URL: 'postgres://a:b@127.0.0.1:1/shop' });
    expect(nowhere.ok).toBe(false);
    expect(nowhere.text).toContain('cannot be reached');
    const none = await start('demo', { DATABASE_URL: 'the usual one' });
    expect(none.text).toContain('is no address of a database');
    for (const { text } of [nowhere, none]) expect(text).not.toMatch(/\n\s+at /);
  });
});
