/** The application servers, one for the workshop and one for the demo: started in the background, remembered, stopped. */
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import type { Entrances } from '@/db/rights';
import { backupPlace } from './backups';
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

const KEEPER = join(ROOT, 'scripts', 'keep.ts');

const logOf = (served: Served): string => `server-${served}.log`;
const memoryOf = (served: Served): string => `server-${served}.json`;
const addressOf = (port: number) => `http://127.0.0.1:${port}`;

type Started = Pick<Server, 'pid' | 'port' | 'run'>;

/** Whether this very server answers, with its database. */
async function isServing({ pid, port, run }: Started): Promise<boolean> {
  if (!processAlive(pid)) return false;
  try {
    const response = await fetch(`${addressOf(port)}/health`, {
      signal: AbortSignal.timeout(4000),
    });
    return response.ok && (await response.text()) === `orthotens ${run}`;
  } catch {
    return false;
  }
}

/** Whether a process is the one of this start: its number may be another's by now. It need not answer. */
function isOfStart({ pid, run }: Started): boolean {
  try {
    const environment = readFileSync(join('/proc', String(pid), 'environ'), 'utf8');
    return environment.split('\0').includes(`ORTHOTENS_RUN=${run}`);
  } catch {
    return false;
  }
}

export async function stopServer(served: Served): Promise<boolean> {
  const known = remembered(memoryOf(served), serverSchema);
  if (!known || !isOfStart(known)) return false;
  process.kill(known.pid, 'SIGTERM');
  for (let i = 0; i < 70 && processAlive(known.pid); i++) await pause(100);
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
  { records, doors, wallKey }: Entrances,
): Record<string, string> => ({
  DATABASE_URL: records,
  ORTHOTENS_DOORS_URL: doors,
  ORTHOTENS_WALL_KEY: wallKey,
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
  if (known && same && (await isServing(known))) return addressOf(known.port);
  await stopServer(served);
  const { folder, tools } = backupPlace(databaseUrl);
  const env = {
    ...process.env,
    ...serverEnvironment(databaseUrl, entrances),
    ...(served === 'demo' && { ORTHOTENS_DEMO: '1', ...deskEnvironment() }),
    NODE_ENV: 'production',
    ORTHOTENS_BACKUPS: folder,
    ORTHOTENS_LOG: join(HOUSE, logOf(served)),
    ORTHOTENS_VERSION: tools.application,
    ...(tools.programs !== undefined && { ORTHOTENS_PROGRAMS: tools.programs }),
    // A database elsewhere is kept up by whoever runs it.
    ...(!process.env.DATABASE_URL && { ORTHOTENS_KEEPS_DATABASE: '1' }),
  } as const;
  let wanted = known?.port ?? FIRST_PORTS[served];
  for (let tries = 0; tries < 3; tries++) {
    const port = await freePort(wanted);
    const started = startKeeper(served, port, env);
    if (await isUp(started)) {
      remember(memoryOf(served), { ...started, databaseUrl, madeFrom });
      return addressOf(port);
    }
    if (processAlive(started.pid)) process.kill(started.pid, 'SIGTERM');
    // Somebody may have taken the port meanwhile.
    wanted = port + 1;
  }
  return fail(
    `The server did not answer for ${databaseName(databaseUrl)}. Its log: ${join(HOUSE, logOf(served))}`,
  );
}

/** Starts what keeps a server up on a port. */
function startKeeper(served: Served, port: number, env: NodeJS.ProcessEnv): Started {
  const log = openLog(logOf(served));
  const run = randomUUID();
  const child = spawn(process.execPath, ['--import', 'tsx', KEEPER, String(port)], {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', log, log],
    env: { ...env, ORTHOTENS_RUN: run },
  });
  child.unref();
  return { pid: child.pid ?? 0, port, run };
}

/** Waits until a server answers, or is given up. */
async function isUp(started: Started): Promise<boolean> {
  for (let i = 0; i < 300; i++) {
    if (await isServing(started)) return true;
    if (i > 0 && !processAlive(started.pid)) return false;
    await pause(100);
  }
  return false;
}

/** Waits for as long as a server is kept, for whoever supervises this command. */
export async function stayWith(served: Served): Promise<never> {
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.on(signal, () => void stopServer(served).then(() => process.exit(0)));
  for (;;) {
    const known = remembered(memoryOf(served), serverSchema);
    if (!known || !processAlive(known.pid)) return fail('The server is not kept any more.');
    await pause(1000);
  }
}
