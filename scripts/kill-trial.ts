/** Benches that send their steps while the server is killed and its database cuts every line: what was said to be kept is kept, once. */
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { count, eq, sql } from 'drizzle-orm';
import { openDatabase, type Database } from '@/db/connection';
import { benchDeeds, tickets } from '@/db/ticket-schema';
import { NEXT } from './build';
import type { Target } from './actions';
import { freePort, pause, ROOT } from './house';

export interface KillReport {
  readonly rounds: number;
  readonly sent: number;
  readonly kept: number;
  /** Events that a bench was told are kept, and are not there. */
  readonly lost: number;
  readonly doubled: number;
}

/** Starts a server over a database, and waits until it answers. */
export async function serve(
  environment: Readonly<Record<string, string>>,
  port: number,
  build: string,
): Promise<ChildProcess> {
  const server = spawn(process.execPath, [NEXT, 'start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: ROOT,
    stdio: 'ignore',
    env: {
      ...process.env,
      ...environment,
      ORTHOTENS_DEMO: '1',
      ORTHOTENS_BUILD: build,
      NODE_ENV: 'production',
    },
  });
  for (let i = 0; i < 200; i++) {
    const up = await fetch(`http://127.0.0.1:${port}/health`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (up) return server;
    await pause(50);
  }
  throw new Error('The server of the trial did not start.');
}

/** Cuts every other connection to the database, as its crash does. */
const cutLines = (db: Database) =>
  db.execute(
    sql`select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()`,
  );

export async function killTrial(
  target: Target,
  databaseUrl: string,
  environment: Readonly<Record<string, string>>,
  build: string,
  rounds: number,
): Promise<KillReport> {
  const port = await freePort(3800);
  const number = target.tickets[0] ?? 0;
  const bench = randomUUID();
  const told = new Set<string>();
  const sent = new Set<string>();
  const waiting: object[] = [];
  const { db, close } = openDatabase(databaseUrl, 'command');
  let server = await serve(environment, port, build);
  const send = async (): Promise<void> => {
    const deeds = waiting.slice(0, 50);
    const response = await fetch(`http://127.0.0.1:${port}/bench/${number}/deeds`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: target.cookie },
      body: JSON.stringify({ madeFor: target.workshopId, known: 0, deeds }),
      signal: AbortSignal.timeout(5000),
    });
    if (!response.ok) throw new Error(String(response.status));
    await response.json();
    for (const deed of deeds) told.add((deed as { id: string }).id);
    waiting.splice(0, deeds.length);
  };
  try {
    for (let round = 0; round < rounds; round++) {
      for (let i = 0; i < 40; i++) {
        const id = randomUUID();
        sent.add(id);
        waiting.push({
          id,
          bench,
          plan: '0badcafe',
          at: new Date().toISOString(),
          done: 0,
          deed: { kind: 'note', text: `round ${round}` },
        });
      }
      const sending = send().catch(() => undefined);
      await pause(5 * (round % 12));
      if (round % 2) await cutLines(db).catch(() => undefined);
      else {
        server.kill('SIGKILL');
        await new Promise((resolve) => server.once('exit', resolve));
      }
      await sending;
      if (round % 2 === 0) server = await serve(environment, port, build);
    }
    for (let i = 0; i < 100 && waiting.length > 0; i++) {
      await send().catch(() => pause(100));
    }
    const [ticket] = await db
      .select({ id: tickets.id })
      .from(tickets)
      .where(eq(tickets.number, number));
    const rows = await db
      .select({ id: benchDeeds.id, n: count() })
      .from(benchDeeds)
      .where(sql`${benchDeeds.ticketId} = ${ticket?.id} and ${benchDeeds.bench} = ${bench}`)
      .groupBy(benchDeeds.id);
    const there = new Set(rows.map(({ id }) => id));
    return {
      rounds,
      sent: sent.size,
      kept: there.size,
      lost: [...sent].filter((id) => !there.has(id)).length,
      doubled: rows.filter(({ n }) => n > 1).length,
    };
  } finally {
    server.kill('SIGKILL');
    await close();
  }
}
