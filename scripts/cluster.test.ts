import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client } from 'pg';
import type * as ClusterModule from './cluster';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';

const house = mkdtempSync(join(tmpdir(), 'orthotens-cluster-'));
let cluster: typeof ClusterModule;

beforeAll(async () => {
  // The database's own user must be able to enter the folder when the tests run as root.
  chmodSync(house, 0o755);
  vi.stubEnv('ORTHOTENS_HOUSE', house);
  vi.stubEnv('DATABASE_URL', undefined);
  vi.spyOn(console, 'log').mockImplementation(() => undefined);
  cluster = await import('./cluster');
});

afterAll(() => {
  cluster.stopCluster();
  vi.unstubAllEnvs();
  rmSync(house, { recursive: true, force: true });
});

async function ask(url: string, sql: string): Promise<unknown[]> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<Record<string, unknown>>(sql)).rows;
  } finally {
    await client.end();
  }
}

/** Where the cluster really is: elsewhere than in the house when its user cannot enter that. */
const inCluster = (file: string): string => {
  const memory = JSON.parse(readFileSync(join(house, 'cluster.json'), 'utf8')) as {
    dataFolder: string;
  };
  return join(memory.dataFolder, file);
};
const serverPid = () => readFileSync(inCluster('postmaster.pid'), 'utf8').split('\n')[0] ?? '';

describe('the project’s own database server', () => {
  it('is made with a password, on the loopback only, and remembers where it is', async () => {
    const url = await cluster.workDatabase('orthotens');
    expect(await ask(url, 'select 1 as one')).toEqual([{ one: 1 }]);
    expect(await ask(url, 'show listen_addresses')).toEqual([{ listen_addresses: '127.0.0.1' }]);
    expect(readFileSync(inCluster('pg_hba.conf'), 'utf8')).not.toMatch(/^[^#]*\btrust\b/m);

    const wrong = new URL(url);
    wrong.password = 'guess';
    await expect(ask(wrong.toString(), 'select 1')).rejects.toThrow(
      /password authentication failed/,
    );
    expect(await cluster.workDatabase('orthotens')).toBe(url);
    await ask(url, 'create table kept (n int)');
    await ask(url, 'insert into kept values (7)');
  }, 60_000);

  it('comes back with its records after kill -9', async () => {
    const pid = serverPid();
    spawnSync('kill', ['-9', pid]);
    const url = await cluster.workDatabase('orthotens');
    expect(serverPid()).not.toBe(pid);
    expect(await ask(url, 'select n from kept')).toEqual([{ n: 7 }]);
  }, 60_000);

  it('starts although its old lock names a process that is somebody else’s by now', async () => {
    expect(cluster.stopCluster()).toBe(true);
    expect(existsSync(inCluster('postmaster.pid'))).toBe(false);
    writeFileSync(inCluster('postmaster.pid'), `${process.pid}\n${inCluster('')}\n`);
    const url = await cluster.workDatabase('orthotens');
    expect(await ask(url, 'select n from kept')).toEqual([{ n: 7 }]);
  }, 60_000);

  it('gives tests databases of their own, empty each time', async () => {
    const url = await cluster.testDatabase('unit');
    await ask(url, 'create table leftover (n int)');
    const again = await cluster.testDatabase('unit');
    expect(again).toBe(url);
    await expect(ask(again, 'select * from leftover')).rejects.toThrow(/does not exist/);
  }, 60_000);

  it('steps aside for a DATABASE_URL, and tests never use that very database', async () => {
    const own = await cluster.workDatabase('orthotens');
    vi.stubEnv('DATABASE_URL', own);
    expect(await cluster.workDatabase('orthotens_demo')).toBe(own);
    const test = new URL(await cluster.testDatabase('interface'));
    expect(test.pathname).toBe('/orthotens_test_interface');
    expect(await ask(own, 'select n from kept')).toEqual([{ n: 7 }]);
    vi.stubEnv('DATABASE_URL', undefined);
  }, 60_000);
});
