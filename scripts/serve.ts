/**
 * Serves a build by as many processes as there are cores, four at most, on one port; `-H` and `-p` as Next.js takes them. One
 * that dies is started again. Nothing of a workshop is kept in a process: all of it is in the database, and what one process
 * writes the others hear of (`db/live.ts`).
 */
import cluster from 'node:cluster';
import { availableParallelism } from 'node:os';
import { z } from 'zod';
import { NO_PROXY, proxiesNamed } from '@/app/forwarded';
import { NEXT } from './build';
import { fail, SERVES } from './house';

const MOST = 4;
/**
 * A connection that nobody uses stays open for longer than the minute a proxy in front keeps it: closed here first, what is
 * sent on it at that moment is lost. The framework passes actions on in the same way.
 */
const IDLE_CONNECTION_MS = 75_000;
/** A build that cannot start at all must not be tried for ever: one that ends so soon without having served. */
const SHORTEST_LIFE_MS = 2000;

const asked = z.coerce
  .number()
  .int()
  .min(1)
  .max(64)
  .optional()
  .safeParse(process.env.ORTHOTENS_PROCESSES);
if (!asked.success)
  fail('ORTHOTENS_PROCESSES is how many processes serve: a whole number, from 1.');
if (!proxiesNamed(process.env.ORTHOTENS_PROXY)) fail(NO_PROXY);
const processes = asked.data ?? Math.min(MOST, availableParallelism());

cluster.setupPrimary({
  exec: NEXT,
  args: ['start', '--keepAliveTimeout', String(IDLE_CONNECTION_MS), ...process.argv.slice(2)],
  execArgv: [],
});

let stopping = false;
function start(isFirst: boolean): void {
  const began = Date.now();
  let served = false;
  // What is done once for all of them, such as the daily backup, is done by the first.
  const worker = cluster.fork({ ORTHOTENS_FIRST: isFirst ? '1' : '' });
  worker.once('listening', () => {
    served = true;
    process.send?.(SERVES);
  });
  worker.on('exit', (code, signal) => {
    if (stopping) return;
    if (!served && Date.now() - began < SHORTEST_LIFE_MS)
      fail(`A server ended at once (${signal ?? code}).`);
    console.error(`A server ended (${signal ?? code}); it is started again.`);
    start(isFirst);
  });
}
for (let i = 0; i < processes; i++) start(i === 0);

function end(signal: NodeJS.Signals): void {
  stopping = true;
  for (const worker of Object.values(cluster.workers ?? {})) worker?.process.kill(signal);
}
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => end(signal));
// Whoever keeps it (`keep.ts`) is gone.
process.on('disconnect', () => end('SIGTERM'));
