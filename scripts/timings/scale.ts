/**
 * `npm run bench -- scale` fills a house of its own with 100,000 jobs of 10,000 clients, made from those of the demo,
 * and times every page and the search at one and at fifty users, beside bare SQL and a route that does nothing. A house
 * with the demo's own 400 jobs is asked in turn with it, so that what is said are ratios within one run.
 */
import { performance } from 'node:perf_hooks';
import { sql } from 'drizzle-orm';
import { openDatabase, type Database } from '@/db/connection';
import { fillWithDemo } from '@/db/demo/fill';
import { workAt } from '@/db/walls';
import { actionsOf, callAction } from '../actions';
import { databaseBeside, workDatabase } from '../databases';
import { serveDemo, type BenchHouse } from './house';
import { pause } from '../house';
import { bringUpToDate } from '../open';
import { askPage, DAILY, pagesOf } from './pages';
import { summed, timedInTurn, type Ask, type Timed } from './timed';

const JOBS = 100_000;
const CLIENTS = 10_000;
const TIMES = 15;
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
      select gen_random_uuid(), t.workshop_id, 1000 + n, gen_random_uuid(), r.id, now() - interval '1 minute' * (${JOBS} - n) * 20 - (t.closed_at - t.taken_in), t.promised, t.wish, t.condition, t.main_string_id, t.main_gauge_mm, t.cross_string_id, t.cross_gauge_mm, t.main_n, t.cross_n, t.tension_unit, t.method, t.short_side, t.cross_start, t.cut_from, t.remnants_mm,
        now() - interval '1 minute' * (${JOBS} - n) * 20, t.labour_minor, t.string_minor, t.to_pay_minor, coalesce(t.to_pay_minor, 0), now(), jsonb_set(t.record, '{client}', to_jsonb(c.name)), 1
      from generate_series(1, ${JOBS}) n
      join (select *, row_number() over (order by number) k, count(*) over () of from tickets where closed_at is not null) t on t.k = 1 + n % t.of
      join (select *, row_number() over (order by id) k, count(*) over () of from rackets where mark like 'M%') r on r.k = 1 + (n * 7919) % r.of
      join clients c on c.id = r.client_id`);
    // What those jobs were cut from: a set each, of which nothing is left. A foreign key is looked up as its table was when it
    // was last looked at.
    await run('analyze tickets');
    for (const table of ['stock_lengths', 'stock_moves'])
      await run(`alter table ${table} disable trigger length_left`);
    await run(`
      insert into stock_lengths (id, workshop_id, string_id, gauge_mm, kind, mm, left_mm, price_minor, day, at)
      select t.id, t.workshop_id, t.main_string_id, t.main_gauge_mm, 'set', 12200, 0, 1150, t.closed_at::date, t.closed_at
      from tickets t where t.number > 1000 and t.main_string_id is not null`);
    await run('analyze stock_lengths');
    await run(`
      insert into stock_moves (id, workshop_id, length_id, kind, mm, ticket_id, note, at)
      select gen_random_uuid(), l.workshop_id, l.id, 'cut', -6100, l.id, piece, l.at
      from stock_lengths l join tickets t on t.id = l.id, (values ('mains'), ('crosses')) pieces (piece)`);
    for (const table of ['stock_lengths', 'stock_moves'])
      await run(`alter table ${table} enable trigger length_left`);
    // And what the trail says of each: that it was taken in, set up and handed over.
    await run(`
      insert into trail (workshop_id, person_id, at, about, row_id, name, deed, changes)
      select t.workshop_id, (select id from people where username = 'hesper'), t.taken_in + n * interval '1 hour', 'tickets', t.id, 'No. ' || t.number, case n when 1 then 'added' else 'changed' end, '{"main_n": [null, 200]}'
      from tickets t, generate_series(1, 3) n where t.number > 1000 order by t.number, n`);
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

const SEARCH = 'search';

/** How long answers take many users at once, who go from page to page and look at each for a while. */
async function timedTogether(
  asks: ReadonlyMap<string, Ask>,
  times: number,
  readsMs: number,
): Promise<ReadonlyMap<string, Timed>> {
  const names = [...asks.keys()];
  const took = new Map(names.map((name) => [name, [] as number[]]));
  let next = 0;
  const user = async () => {
    while (next < times * names.length) {
      const i = next++;
      const name = names[i % names.length] ?? '';
      await pause(2 * readsMs * Math.random());
      const started = performance.now();
      await asks.get(name)?.(i);
      took.get(name)?.push(performance.now() - started);
    }
  };
  await Promise.all(Array.from({ length: USERS }, user));
  return new Map([...took].map(([name, each]) => [name, summed(each)]));
}

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

/** All that is timed, by its name. */
async function asksOf(
  house: BenchHouse,
  pages: ReadonlyMap<string, string>,
): Promise<ReadonlyMap<string, Ask>> {
  const asks = [...pages].map(([name, path]): readonly [string, Ask] => [
    name,
    () => askPage(house, path),
  ]);
  return new Map([...asks, [SEARCH, await searchOf(house)]]);
}

/** The search asked of the database alone, on one connection. */
async function bareSearch(url: string, workshopId: string): Promise<Timed> {
  const { db, close } = openDatabase(url, 'command');
  const ask = (word: string) =>
    db.transaction(async (transaction) => {
      await workAt(transaction, { workshopId });
      await transaction.execute(
        sql`select * from find_in_records(${sql.raw(`array['${word}']`)}, null, null, null, null, 8)`,
      );
    });
  const plain = WORDS.filter((word) => /^[a-z]+$/.test(word));
  const [result] = await timedInTurn(4 * TIMES, [(i) => ask(plain[i % plain.length] ?? '')]);
  await close();
  return result ?? summed([]);
}

const ms = (value: number | undefined): string =>
  (value?.toFixed(value < 10 ? 1 : 0) ?? '').padStart(7);
const ratio = (a: number | undefined, b: number | undefined): string =>
  ((a ?? 0) / (b ?? 1)).toFixed(2).padStart(9);
const row = (name: string, ...times: readonly (Timed | undefined)[]): string =>
  name.padEnd(40) + times.map((each) => ms(each?.p50) + ms(each?.p95)).join('');

const ALL = 'all of these pages';
const together = (all: ReadonlyMap<string, Timed>): Timed =>
  summed([...all].flatMap(([name, { took }]) => (name === '/health' ? [] : took)));

const demo = await workDatabase('demo');
const [url, urlOfFew] = [
  await databaseBeside(demo, 'scale'),
  await databaseBeside(demo, 'scale_few'),
];
const few = await serveDemo(urlOfFew);
await bringUpToDate(url, fillWithDemo);
console.log(`Filling ${JOBS} jobs …`);
const started = performance.now();
const command = openDatabase(url, 'command');
await grow(command.db);
console.log(`… filled in ${Math.round((performance.now() - started) / 1000)} s.`);
const house = await serveDemo(url);

const asks = await asksOf(house, await pagesOf(command.db, false));
// The first look at Today works ten thousand due days out; what the database does about that within a minute, it does now.
await asks.get('/')?.(0);
await command.db.execute(sql`vacuum analyze beds_out`);
await command.close();
const commandOfFew = openDatabase(urlOfFew, 'command');
const asksOfFew = await asksOf(few, await pagesOf(commandOfFew.db, true));
await commandOfFew.close();
const ones = new Map<string, Timed>();
console.log(
  `\nms, p50 and p95                            400 jobs   ${JOBS} jobs     ratio of p50`,
);
for (const [name, ask] of asks) {
  const [before, one] = await timedInTurn(TIMES, [asksOfFew.get(name) ?? ask, ask]);
  if (one) ones.set(name, one);
  console.log(row(name, before, one) + ratio(one?.p50, before?.p50));
}
console.log(row('search, bare SQL', undefined, await bareSearch(url, house.workshopId)));
few.stop();

const daily = new Map([...asks].filter(([name]) => name === SEARCH || DAILY.includes(name)));
const onesOfDay = new Map([...ones].filter(([name]) => daily.has(name)));
ones.set(ALL, together(onesOfDay));
console.log(
  `\nms, p50 and p95                            one user   ${USERS} who read      ratio of p95`,
);
const reading = await timedTogether(daily, 3 * TIMES, READS_MS);
for (const [name, read] of [...reading, [ALL, together(reading)] as const])
  console.log(row(name, ones.get(name), read) + ratio(read.p95, ones.get(name)?.p95));

console.log(`\nms, p50 and p95                            ${USERS} at once, without a pause`);
const atOnce = await timedTogether(daily, TIMES, 0);
for (const [name, at] of [...atOnce, [ALL, together(atOnce)] as const]) console.log(row(name, at));
house.stop();
