/** The application server: started in the background, remembered, and stopped again. */
import { spawn } from 'node:child_process';
import { openSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { NEXT } from './build';
import { fail, freePort, HOUSE, pause, processAlive, remember, remembered, ROOT } from './house';

const serverSchema = z.object({
  pid: z.number(),
  port: z.number(),
  databaseUrl: z.string(),
  madeFrom: z.string(),
});

const MEMORY = 'server.json';
const addressOf = (port: number) => `http://127.0.0.1:${port}`;

async function answers(port: number): Promise<boolean> {
  try {
    const response = await fetch(`${addressOf(port)}/health`, {
      signal: AbortSignal.timeout(2000),
    });
    return response.ok && (await response.text()) === 'orthotens';
  } catch {
    return false;
  }
}

export async function stopServer(): Promise<boolean> {
  const known = remembered(MEMORY, serverSchema);
  if (!known || !processAlive(known.pid) || !(await answers(known.port))) return false;
  process.kill(known.pid, 'SIGTERM');
  for (let i = 0; i < 50 && processAlive(known.pid); i++) await pause(100);
  return true;
}

/** Makes sure that this build serves this database, and returns the address. */
export async function ensureServer(databaseUrl: string, madeFrom: string): Promise<string> {
  const known = remembered(MEMORY, serverSchema);
  const same = known?.databaseUrl === databaseUrl && known.madeFrom === madeFrom;
  if (known && same && processAlive(known.pid) && (await answers(known.port)))
    return addressOf(known.port);
  await stopServer();
  const port = await freePort(known?.port ?? 3410);
  const log = openSync(join(HOUSE, 'server.log'), 'a');
  const child = spawn(process.execPath, [NEXT, 'start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', log, log],
    env: { ...process.env, DATABASE_URL: databaseUrl, NODE_ENV: 'production' },
  });
  child.unref();
  for (let i = 0; i < 300; i++) {
    if (await answers(port)) {
      remember(MEMORY, { pid: child.pid, port, databaseUrl, madeFrom });
      return addressOf(port);
    }
    await pause(100);
  }
  return fail(`The server did not answer. Its log: ${join(HOUSE, 'server.log')}`);
}
