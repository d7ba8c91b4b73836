/**
 * `npm run bench -- import` brings 100,000 clients and 100,000 jobs of before into a house of its own, through its door as a
 * browser sends them, beside bare inserts of as many rows into a table without anything on it.
 */
import { performance } from 'node:perf_hooks';
import { sql } from 'drizzle-orm';
import { openDatabase } from '@/db/connection';
import { CLIENT_FIELDS } from '@/formats/client-import';
import { JOB_FIELDS } from '@/formats/job-import';
import { serveDemo } from './house';
import { databaseBeside, workDatabase } from '../databases';
import { fail } from '../house';

const ROWS = 100_000;
/** What is asked of each, s. */
const GOAL_S = 30;

const url = await databaseBeside(await workDatabase('demo'), 'import');
const house = await serveDemo(url);

async function bring(path: string, message: object): Promise<number> {
  const started = performance.now();
  const answer = await fetch(house.origin + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', cookie: house.cookie, origin: house.origin },
    body: JSON.stringify({ madeFor: house.workshopId, message }),
  });
  const last = (await answer.text()).trim().split('\n').at(-1) ?? '';
  if (!answer.ok || !last.includes('"ok":true')) fail(`${path} answered ${answer.status}: ${last}`);
  return (performance.now() - started) / 1000;
}

const mappingOf = (fields: readonly string[], columns: Readonly<Record<string, number>>): object =>
  Object.fromEntries(
    fields.map((field) => [field, columns[field] === undefined ? [] : [columns[field]]]),
  );

const rows = <T>(row: (i: number) => T): readonly T[] =>
  Array.from({ length: ROWS }, (_, i) => row(i));

const clients = ['Name,Mail', ...rows((i) => `Person ${i} Oakley,p${i}@court.example`)].join('\n');
const jobs = [
  'Date,Client,Racket,Mains,Tension',
  ...rows(
    (i) =>
      `${2000 + (i % 25)}-0${1 + (i % 9)}-1${i % 10},Person ${i % 20_000} Oakley,Frame ${i % 30},String ${i % 50},${20 + (i % 9)}`,
  ),
].join('\n');

const seconds = (value: number) => `${value.toFixed(1).padStart(6)} s`;
const clientsS = await bring('/clients/import/file', {
  text: clients,
  mapping: mappingOf(CLIENT_FIELDS, { name: 0, contact: 1 }),
});
console.log(`${ROWS} clients brought in   ${seconds(clientsS)}   (asked: ${GOAL_S} s)`);
const jobsS = await bring('/jobs/import/file', {
  text: jobs,
  mapping: mappingOf(JOB_FIELDS, { day: 0, client: 1, racket: 2, mains: 3, tension: 4 }),
  dayOrder: 'day first',
});
console.log(`${ROWS} jobs brought in      ${seconds(jobsS)}   (asked: ${GOAL_S} s)`);
house.stop();

const { db, close } = openDatabase(url, 'command');
const started = performance.now();
await db.execute(sql`create table bare (id uuid, name text, contact text)`);
await db.execute(
  sql`insert into bare select gen_random_uuid(), 'Person ' || n, 'p' || n from generate_series(1, ${ROWS}) n`,
);
const bareS = (performance.now() - started) / 1000;
const [counted] = (
  await db.execute<{ clients: number; jobs: number }>(
    sql`select (select count(*)::int from clients) as clients, (select count(*)::int from earlier_jobs) as jobs`,
  )
).rows;
await db.execute(sql`drop table bare`);
await close();

console.log(`as many bare rows            ${seconds(bareS)}`);
console.log(`now here: ${counted?.clients} clients, ${counted?.jobs} jobs of before`);
