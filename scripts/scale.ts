/**
 * `npm run bench -- scale` fills a house of its own with 100,000 jobs of 10,000 clients, made from those of the demo,
 * and times every page and the search at one and at fifty users, beside bare SQL and a route that does nothing. The
 * same is timed at the demo's own 400 jobs first, so that what is said are ratios within one run.
 */
import { performance } from 'node:perf_hooks';
import { sql } from 'drizzle-orm';
import { openDatabase, type Database } from '@/db/connection';
import { actionsOf, callAction } from './hostile';
import { databaseBeside, workDatabase } from './databases';
import { serveDemo, type BenchHouse } from './bench-house';
import { fail } from './house';

const JOBS = 100_000;
const CLIENTS = 10_000;
const TIMES = 25;
const USERS = 50;
/** How long somebody looks at a page before they ask for the next, on average. */
const READS_MS = 5000;

/** Names by syllables, so that a search has something to tell apart. */
const NAME = sql.raw(
  `initcap((array['bra','cle','dor','fen','gil','hal','iv','jor','kel','lor'])[1 + n % 10] || (array['wick','mere','stow','ley','ford','garth','holt','by','combe','den'])[1 + n / 10 % 10] || (array['a','e','i','o','u','ia','en','is','or','el'])[1 + n / 100 % 10]) || ' ' || initcap((array['tarn','brack','quill','ros','pell','griff','hawk','marl','vos','lur'])[1 + n / 1000 % 10] || (array['moor','weth','mere','gate','worth','ash','oake','by','well','combe'])[1 + n / 7 % 10])`,
);

/** Copies of what the demo has, until there are as many as are asked for. */
async function grow(db: Database): Promise<void> {
  await db.transaction(async (transaction) => {
    const run = (statement: string) => transaction.execute(sql.raw(statement));
    // A trail of what nobody did would only slow this down.
    for (const table of ['clients', 'rackets', 'tickets'])
      await run(`alter table ${table} disable trigger write_trail`);
    for (const trigger of ['found', 'tell_day', 'beds_out'])
      await run(`alter table tickets disable trigger ${trigger}`);
    await transaction.execute(sql`
      insert into clients (id, workshop_id, name, contact, notes)
      select gen_random_uuid(), (select id from workshops), ${NAME}, 'c' || n || '@court.example', '' from generate_series(1, ${CLIENTS}) n`);
    await run(`
      insert into rackets (id, workshop_id, client_id, frame_id, label, mark, notes)
      select gen_random_uuid(), c.workshop_id, c.id, f.id, f.name, 'M' || row_number() over (), ''
      from (select *, row_number() over (order by id) n from clients where contact like 'c%@court.example') c
      join (select *, row_number() over (order by id) k, count(*) over () of from frames) f on f.k = 1 + c.n % f.of`);
    await run(`
      insert into tickets (id, workshop_id, number, request_key, racket_id, taken_in, promised, wish, condition, main_string_id, main_gauge_mm, cross_string_id, cross_gauge_mm, main_n, cross_n, tension_unit, method, short_side, cross_start, cut_from, remnants_mm, closed_at, labour_minor, string_minor, to_pay_minor, paid_minor, collected_at, record, version)
      select gen_random_uuid(), t.workshop_id, 1000 + n, gen_random_uuid(), r.id, t.taken_in, t.promised, t.wish, t.condition, t.main_string_id, t.main_gauge_mm, t.cross_string_id, t.cross_gauge_mm, t.main_n, t.cross_n, t.tension_unit, t.method, t.short_side, t.cross_start, t.cut_from, t.remnants_mm,
        now() - interval '1 minute' * (${JOBS} - n) * 20, t.labour_minor, t.string_minor, t.to_pay_minor, coalesce(t.to_pay_minor, 0), now(), jsonb_set(t.record, '{client}', to_jsonb(c.name)), 1
      from generate_series(1, ${JOBS}) n
      join (select *, row_number() over (order by number) k, count(*) over () of from tickets where closed_at is not null) t on t.k = 1 + n % t.of
      join (select *, row_number() over (order by id) k, count(*) over () of from rackets where mark like 'M%') r on r.k = 1 + (n * 7919) % r.of
      join clients c on c.id = r.client_id`);
    await run(`update workshops set next_ticket = 1001 + ${JOBS}`);
    await run('select count(keep_found_ticket(id)) from tickets where number > 1000');
    await run('select count(keep_bed_out(id)) from rackets');
    for (const trigger of ['found', 'tell_day', 'beds_out'])
      await run(`alter table tickets enable trigger ${trigger}`);
    for (const table of ['clients', 'rackets', 'tickets'])
      await run(`alter table ${table} enable trigger write_trail`);
  });
  await db.execute(sql`vacuum analyze`);
}

interface Timed {
  readonly p50: number;
  readonly p95: number;
}

function summed(ms: readonly number[]): Timed {
  const sorted = ms.toSorted((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return { p50: at(0.5), p95: at(0.95) };
}

async function timed(
  times: number,
  users: number,
  ask: (i: number) => Promise<unknown>,
  readsMs = 0,
): Promise<Timed> {
  // Every process that serves has to have seen the page.
  for (let i = 0; i < 8; i++) await ask(i);
  const took: number[] = [];
  let next = 0;
  const user = async () => {
    while (next < times) {
      const i = next++;
      if (readsMs > 0)
        await new Promise((resolve) => setTimeout(resolve, 2 * readsMs * Math.random()));
      const started = performance.now();
      await ask(i);
      took.push(performance.now() - started);
    }
  };
  await Promise.all(Array.from({ length: users }, user));
  return summed(took);
}

/** A page far down a list; with 400 jobs there are eight. */
const DEEP = '/jobs?page=200';
const DEEP_OF_FEW = '/jobs?page=7';

/** The pages that a day goes through; the open tickets are the demo's own, so they are the same at both sizes. */
const PAGES = [
  '/health',
  '/',
  '/take-in',
  '/tickets/401/inspect',
  '/tickets/401/setup',
  '/tickets/401/cut',
  '/bench/401',
  '/tickets/401/hand-over',
  '/jobs',
  '/jobs?order=price',
  '/jobs?sport=badminton&state=not+paid',
  '/jobs?find=keel',
  DEEP,
  '/jobs/398',
  '/clients',
  '/clients?find=a',
  '/rackets',
  '/money',
  '/shelf',
  '/workshop/people',
] as const;

const WORDS = [
  'brack',
  'vosmoor',
  'brewick',
  'dorley ros',
  '23/22',
  'keel',
  'last march',
  '401',
  'clewikc',
];

async function searchOf({ origin, cookie, workshopId }: BenchHouse) {
  const [id = ''] = actionsOf('.next').find(([, name]) => name === 'findAnything') ?? [];
  return (i: number) =>
    callAction({ origin, cookie }, id, [workshopId, WORDS[i % WORDS.length] ?? '']);
}

async function measure(
  house: BenchHouse,
  users: number,
  { readsMs = 0, few = false }: { readonly readsMs?: number; readonly few?: boolean } = {},
): Promise<ReadonlyMap<string, Timed>> {
  const found = new Map<string, Timed>();
  for (const path of PAGES)
    found.set(
      path,
      await timed(
        users === 1 ? TIMES : 2 * users,
        users,
        async () => {
          const asked = house.origin + (few && path === DEEP ? DEEP_OF_FEW : path);
          const answer = await fetch(asked, { headers: { cookie: house.cookie } });
          await answer.text();
          if (!answer.ok) fail(`${path} answered ${answer.status}.`);
        },
        readsMs,
      ),
    );
  found.set(
    'search',
    await timed(users === 1 ? 4 * TIMES : 4 * users, users, await searchOf(house), readsMs),
  );
  return found;
}

/** The same search asked of the database alone, on one connection. */
async function bareSearch(url: string, workshopId: string): Promise<Timed> {
  const { db, close } = openDatabase(url, 'command');
  const ask = (word: string) =>
    db.transaction(async (transaction) => {
      await transaction.execute(sql`select set_config('orthotens.workshop', ${workshopId}, true)`);
      await transaction.execute(
        sql`select * from find_in_records(${sql.raw(`array['${word}']`)}, null, null, null, null, 8)`,
      );
    });
  const plain = WORDS.filter((word) => /^[a-z]+$/.test(word));
  const result = await timed(4 * TIMES, 1, (i) => ask(plain[i % plain.length] ?? ''));
  await close();
  return result;
}

const ms = (value: number | undefined): string =>
  (value ?? 0).toFixed(value !== undefined && value < 10 ? 1 : 0).padStart(7);

const url = await databaseBeside(await workDatabase('demo'), 'scale');
let house = await serveDemo(url);
console.log('At 400 jobs …');
const small = await measure(house, 1, { few: true });
house.stop();
console.log(`Filling ${JOBS} jobs …`);
const started = performance.now();
const command = openDatabase(url, 'command');
await grow(command.db);
await command.close();
console.log(`… filled in ${Math.round((performance.now() - started) / 1000)} s.`);
house = await serveDemo(url);
const large = await measure(house, 1);
const many = await measure(house, USERS);
const reading = await measure(house, USERS, { readsMs: READS_MS });
const bare = await bareSearch(url, house.workshopId);
house.stop();

const ratio = (a: number | undefined, b: number | undefined): string =>
  ((a ?? 0) / (b ?? 1)).toFixed(2).padStart(9);
console.log(
  `\n                                            400 jobs   ${JOBS} jobs, ms      ratio   ${USERS} at once   ${USERS} who read    ratio`,
);
console.log(
  '                                          p50    p95    p50    p95    of p50    p50    p95    p50    p95   of p95',
);
for (const [name, one] of large) {
  const before = small.get(name);
  const at = many.get(name);
  const read = reading.get(name);
  console.log(
    `${name.padEnd(40)}${ms(before?.p50)}${ms(before?.p95)}${ms(one.p50)}${ms(one.p95)}${ratio(one.p50, before?.p50)}${ms(at?.p50)}${ms(at?.p95)}${ms(read?.p50)}${ms(read?.p95)}${ratio(read?.p95, one.p95)}`,
  );
}
console.log(`${'search, bare SQL'.padEnd(40)}${' '.repeat(14)}${ms(bare.p50)}${ms(bare.p95)}`);
