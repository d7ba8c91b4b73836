/** Starts the stand-in head in the background for the demo, and stops it again. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { z } from 'zod';
import { HEAD_GREETING } from './head-server';
import { openLog, pause, processAlive, remember, remembered, ROOT } from './house';

/** Where the demo's machine looks for its head. */
export const HEAD_PORT = 3411;
const MEMORY = 'head.json';
const memorySchema = z.object({ pid: z.number() });

async function answers(): Promise<boolean> {
  try {
    const response = await fetch(`http://127.0.0.1:${HEAD_PORT}`, {
      signal: AbortSignal.timeout(2000),
    });
    return (await response.text()) === HEAD_GREETING;
  } catch {
    return false;
  }
}

/** Makes sure that a head answers; without one every machine is worked by hand, so nothing fails. */
export async function ensureHead(): Promise<void> {
  if (await answers()) return;
  const log = openLog('head.log');
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', join(ROOT, 'scripts', 'head.ts'), String(HEAD_PORT)],
    { cwd: ROOT, detached: true, stdio: ['ignore', log, log] },
  );
  child.unref();
  for (let i = 0; i < 100; i++) {
    if (await answers()) return remember(MEMORY, { pid: child.pid });
    await pause(100);
  }
  console.log('The stand-in tension head did not start; machines are worked by hand.');
}

export async function stopHead(): Promise<boolean> {
  const known = remembered(MEMORY, memorySchema);
  if (!known || !processAlive(known.pid) || !(await answers())) return false;
  process.kill(known.pid, 'SIGTERM');
  return true;
}
