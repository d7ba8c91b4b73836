/** Starts the stand-ins of outside devices in the background for the demo, and stops them again. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { z } from 'zod';
import { DESK_GREETING } from './desk-server';
import { HEAD_GREETING } from './head-server';
import { openLog, pause, processAlive, remember, remembered, ROOT } from './house';

interface StandIn {
  /** Its script, and what it is remembered and logged under. */
  readonly name: 'head' | 'desk';
  readonly port: number;
  readonly health: string;
  readonly greeting: string;
  /** What is so without it. */
  readonly without: string;
}

/** Where the demo's machine looks for its head. */
const HEAD: StandIn = {
  name: 'head',
  port: 3411,
  health: '/',
  greeting: HEAD_GREETING,
  without: 'The stand-in tension head did not start; machines are worked by hand.',
};
const DESK: StandIn = {
  name: 'desk',
  port: 3412,
  health: '/health',
  greeting: DESK_GREETING,
  without: 'The stand-ins for label printer and mail did not start; messages wait in the outbox.',
};

export const DESK_PAGE = `http://127.0.0.1:${DESK.port}`;
/** Where a server that goes with the stand-ins finds them. */
export const deskEnvironment = (port = DESK.port): Record<string, string> => ({
  ORTHOTENS_LABEL_PRINTER: `127.0.0.1:${port + 1}`,
  ORTHOTENS_SMTP: `smtp://127.0.0.1:${port + 2}`,
});

const memorySchema = z.object({ pid: z.number() });
const memoryOf = ({ name }: StandIn): string => `${name}.json`;

async function answers({ port, health, greeting }: StandIn): Promise<boolean> {
  try {
    const response = await fetch(`http://127.0.0.1:${port}${health}`, {
      signal: AbortSignal.timeout(2000),
    });
    return (await response.text()) === greeting;
  } catch {
    return false;
  }
}

/** Makes sure that one answers; nothing fails where it does not. */
async function ensure(standIn: StandIn): Promise<void> {
  if (await answers(standIn)) return;
  const log = openLog(`${standIn.name}.log`);
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', join(ROOT, 'scripts', `${standIn.name}.ts`), String(standIn.port)],
    { cwd: ROOT, detached: true, stdio: ['ignore', log, log] },
  );
  child.unref();
  for (let i = 0; i < 100; i++) {
    if (await answers(standIn)) return remember(memoryOf(standIn), { pid: child.pid });
    await pause(100);
  }
  console.log(standIn.without);
}

async function stop(standIn: StandIn): Promise<boolean> {
  const known = remembered(memoryOf(standIn), memorySchema);
  if (!known || !processAlive(known.pid) || !(await answers(standIn))) return false;
  process.kill(known.pid, 'SIGTERM');
  return true;
}

export const ensureStandIns = async (): Promise<void> => {
  await Promise.all([ensure(HEAD), ensure(DESK)]);
};

/** Whether any was running. */
export const stopStandIns = async (): Promise<boolean> =>
  (await Promise.all([stop(HEAD), stop(DESK)])).some(Boolean);
