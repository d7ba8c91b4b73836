import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type * as HouseModule from './house';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';

const folder = mkdtempSync(join(tmpdir(), 'orthotens-house-'));
let house: typeof HouseModule;

beforeAll(async () => {
  vi.stubEnv('ORTHOTENS_HOUSE', folder);
  vi.resetModules();
  house = await import('./house');
});
afterAll(() => {
  vi.unstubAllEnvs();
  rmSync(folder, { recursive: true, force: true });
});

describe('what the house remembers', () => {
  const schema = z.object({ port: z.number() });
  it('comes back, and is for its owner only', () => {
    house.remember('thing.json', { port: 7 });
    expect(house.remembered('thing.json', schema)).toEqual({ port: 7 });
    expect(statSync(join(folder, 'thing.json')).mode & 0o077).toBe(0);
  });
  it('is nothing when it is missing, torn or of another shape', () => {
    expect(house.remembered('missing.json', schema)).toBeUndefined();
    writeFileSync(join(folder, 'torn.json'), '{"port": 7');
    expect(house.remembered('torn.json', schema)).toBeUndefined();
    house.remember('other.json', { port: 'seven' });
    expect(house.remembered('other.json', schema)).toBeUndefined();
  });
});

describe('ports and processes', () => {
  it('a taken port is stepped over', async () => {
    const taken = await house.freePort(45_100);
    const server = createServer().listen(taken, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    expect(await house.freePort(taken)).toBeGreaterThan(taken);
    server.close();
  });
  it('a process is alive or not', () => {
    expect(house.processAlive(process.pid)).toBe(true);
    expect(house.processAlive(2 ** 22 - 3)).toBe(false);
  });
});
