/** The application servers, one for the workshop and one for the demo: started in the background, remembered, stopped. */
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { z } from 'zod';
import type { Entrances } from '@/db/rights';
import { backupPlace } from './backups';
import { serveArguments } from './build';
import { databaseName } from './databases';
import { deskEnvironment } from './stand-in';
import {
  fail,
  freePort,
  HOUSE,
  houseSecret,
  openLog,
  pause,
  processAlive,
  remember,
  remembered,
  ROOT,
} from './house';

export type Served = 'workshop' | 'demo';

/** Each has a port of its own, so that a page left open on one never meets the other. */
const FIRST_PORTS: Readonly<Record<Served, number>> = { workshop: 3400, demo: 3420 };

const serverSchema = z.object({
  pid: z.number(),
  port: z.number(),
  /** Made for this start; the server that answers with it is the one that was started. */
  run: z.string(),
  databaseUrl: z.string(),
  madeFrom: z.string(),
});
type Server = z.infer<typeof serverSchema>;

const memoryOf = (served: Served): string => `server-${served}.json`;
const addressOf = (port: number) => `http://127.0.0.1:${port}`;

async function answers({ pid, port, run }: Pick<Server, 'pid' | 'port' | 'run'>): Promise<boolean> {
  if (!processAlive(pid)) return false;
  try {
    const response = await fetch(`${addressOf(port)}/health`, {
      signal: AbortSignal.timeout(2000),
    });
    return response.ok && (await response.text()) === `orthotens ${run}`;
  } catch {
    return false;
  }
}

export async function stopServer(served: Served): Promise<boolean> {
  const known = remembered(memoryOf(served), serverSchema);
  if (!known || !(await answers(known))) return false;
  process.kill(known.pid, 'SIGTERM');
  for (let i = 0; i < 50 && processAlive(known.pid); i++) await pause(100);
  return true;
}

/** Stops both servers, so that none serves pages from under a build; says of the other that it is down. */
export async function stopForBuild(starting: Served): Promise<void> {
  await stopServer(starting);
  const [other, command]: readonly [Served, string] =
    starting === 'demo' ? ['workshop', 'npm start'] : ['demo', 'npm run demo'];
  if (await stopServer(other))
    console.log(
      `The ${other} is stopped, because the application is built anew; ${command} brings it back.`,
    );
}

/** What a server must know to let people in, and to keep what they do. */
export const serverEnvironment = (
  owner: string,
  { records, doors }: Entrances,
): Record<string, string> => ({
  DATABASE_URL: records,
  ORTHOTENS_DOORS_URL: doors,
  // For the daily backup alone, which holds everything.
  ORTHOTENS_OWNER_URL: owner,
  ORTHOTENS_SECRET: houseSecret(),
  ORTHOTENS_MESSAGES: join(HOUSE, 'messages', databaseName(owner)),
  BETTER_AUTH_TELEMETRY: '0',
});

/** Makes sure that this build serves this database, and returns the address. */
export async function ensureServer(
  served: Served,
  databaseUrl: string,
  entrances: Entrances,
  madeFrom: string,
): Promise<string> {
  const known = remembered(memoryOf(served), serverSchema);
  const same = known?.databaseUrl === databaseUrl && known.madeFrom === madeFrom;
  if (known && same && (await answers(known))) return addressOf(known.port);
  await stopServer(served);
  const port = await freePort(known?.port ?? FIRST_PORTS[served]);
  const log = openLog(`server-${served}.log`);
  const run = randomUUID();
  const { folder, tools } = backupPlace(databaseUrl);
  const child = spawn(process.execPath, serveArguments(port), {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', log, log],
    env: {
      ...process.env,
      ...serverEnvironment(databaseUrl, entrances),
      ...(served === 'demo' && { ORTHOTENS_DEMO: '1', ...deskEnvironment() }),
      NODE_ENV: 'production',
      ORTHOTENS_RUN: run,
      ORTHOTENS_BACKUPS: folder,
      ORTHOTENS_LOG: join(HOUSE, `server-${served}.log`),
      ORTHOTENS_VERSION: tools.application,
      ...(tools.programs !== undefined && { ORTHOTENS_PROGRAMS: tools.programs }),
    },
  });
  child.unref();
  const started = { pid: child.pid ?? 0, port, run, databaseUrl, madeFrom };
  for (let i = 0; i < 300; i++) {
    if (await answers(started)) {
      remember(memoryOf(served), started);
      return addressOf(port);
    }
    await pause(100);
  }
  return fail(
    `The server did not answer for ${databaseName(databaseUrl)}. Its log: ${join(HOUSE, `server-${served}.log`)}`,
  );
}
