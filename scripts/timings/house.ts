import { spawn } from 'node:child_process';
import { sql } from 'drizzle-orm';
import { openDatabase } from '@/db/connection';
import { fillWithDemo } from '@/db/demo/fill';
import { backupPlace } from '../backups';
import { ensureBuild, serveArguments } from '../build';
import { demoCookie } from '../demo-cookie';
import { fail, freePort, pause, ROOT } from '../house';
import { bringUpToDate } from '../open';
import { serverEnvironment } from '../server';

/** A house of the bench’s own, served as a workshop is, with its owner signed in. */
export interface BenchHouse {
  readonly origin: string;
  readonly cookie: string;
  readonly workshopId: string;
  readonly stop: () => void;
}

/** Serves a database, which is filled with the demo where it is new. */
export async function serveDemo(url: string): Promise<BenchHouse> {
  const entrances = await bringUpToDate(url, fillWithDemo);
  const { good } = await ensureBuild('.next');
  if (!good) fail('The build failed; the lines above say why.');
  const port = await freePort(3900);
  const child = spawn(process.execPath, serveArguments(port), {
    cwd: ROOT,
    stdio: 'ignore',
    env: {
      ...process.env,
      ...serverEnvironment(url, entrances),
      ORTHOTENS_DEMO: '1',
      ORTHOTENS_BACKUPS: backupPlace(url).folder,
      NODE_ENV: 'production',
    },
  });
  const origin = `http://127.0.0.1:${port}`;
  for (let i = 0; i < 300; i++) {
    const up = await fetch(`${origin}/health`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (up) break;
    await pause(100);
  }
  const { db, close } = openDatabase(url, 'command');
  const { rows } = await db.execute<{ id: string }>(sql`select id from workshops`);
  await close();
  return {
    origin,
    cookie: await demoCookie(origin, 'hesper'),
    workshopId: rows[0]?.id ?? '',
    stop: () => child.kill('SIGTERM'),
  };
}
