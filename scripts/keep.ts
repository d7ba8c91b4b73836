/**
 * Keeps a server up, and the database of this house under it: what of them ends by itself is started again, for as long as this
 * process lives. It ends with the word to end, and takes the server along.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { z } from 'zod';
import { serveArguments } from './build';
import { fail, pause, ROOT, SERVES } from './house';
import { isRefused } from './databases';

/** Between two looks at the database. */
const LOOK_MS = 2000;
/** A server that lives longer than this was well; one that does not is tried again after a longer and longer while. */
const WELL_MS = 5000;
const SHORTEST_PAUSE_MS = 200;
const LONGEST_PAUSE_MS = 8000;
/** Until a server that was told to end is ended. */
const END_MS = 4000;

const port = z.coerce.number().int().min(1).max(65_535).safeParse(process.argv[2]);
if (!port.success) fail('Which port? It is the one thing that this is told.');

let stopping = false;
let server: ChildProcess | undefined;

/** One life of the server; says how it ended, and whether it served. */
const serve = (on: number): Promise<{ readonly end: string; readonly served: boolean }> =>
  new Promise((resolve) => {
    let served = false;
    // It ends when this process does, however that ends: the channel between them closes.
    server = spawn(process.execPath, serveArguments(on), {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    server.on('message', (message) => {
      if (message === SERVES) served = true;
    });
    server.once('error', ({ message }) => resolve({ end: message, served }));
    server.once('exit', (code, signal) => resolve({ end: String(signal ?? code), served }));
  });

async function keepServer(on: number): Promise<void> {
  let wait = SHORTEST_PAUSE_MS;
  for (let lives = 1; ; lives++) {
    const began = Date.now();
    const { end, served } = await serve(on);
    if (stopping) process.exit(0);
    const wasWell = Date.now() - began > WELL_MS;
    // Whoever starts it looks for another port, or says that it does not start.
    if (lives === 1 && !served) fail(`The server ended at once (${end}).`);
    wait = wasWell ? SHORTEST_PAUSE_MS : Math.min(LONGEST_PAUSE_MS, 2 * wait);
    console.error(`The server ended (${end}); it is started again.`);
    await pause(wait);
  }
}

/** Starts the database of this house, as a command of its own does it. */
const raiseDatabase = (): Promise<unknown> =>
  new Promise((resolve) =>
    spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'scripts', 'raise.ts')], {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
    })
      .once('exit', resolve)
      .once('error', resolve),
  );

async function keepDatabase(address: string): Promise<void> {
  for (;;) {
    await pause(LOOK_MS);
    if (stopping || !(await isRefused(address))) continue;
    console.error('The database ended; it is started again.');
    await raiseDatabase();
  }
}

for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.on(signal, () => {
    stopping = true;
    server?.kill('SIGTERM');
    setTimeout(() => server?.kill('SIGKILL'), END_MS).unref();
  });

const { ORTHOTENS_KEEPS_DATABASE: keeps, ORTHOTENS_OWNER_URL: address } = process.env;
if (keeps === '1' && address) void keepDatabase(address);
await keepServer(port.data);
