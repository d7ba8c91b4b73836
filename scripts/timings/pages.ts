/** The pages of a house, each with something to show; by a name that is the same in every house. */
import { sql } from 'drizzle-orm';
import type { Database } from '@/db/connection';
import { PAGES } from '../pages';
import { fail } from '../house';
import type { BenchHouse } from './house';
import { timedInTurn, type Timed } from './timed';

/** A page far down a list; with 400 jobs there are eight. */
const DEEP = '/jobs?page=200';
const DEEP_OF_FEW = '/jobs?page=7';

/** The pages that a day goes through; the open tickets are the demo's own, so they are the same in every house. */
export const DAILY: readonly string[] = [
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
  '/jobs?find=heron',
  DEEP,
  '/jobs/398',
  '/clients',
  '/clients?find=a',
  '/rackets',
  '/money',
  '/shelf',
  '/workshop/people',
];

/** Lists by what few ask for. */
const NARROWED: readonly string[] = [
  '/clients?find=brackwether',
  '/jobs?order=client&down=no',
  '/jobs?order=racket&down=no',
  '/jobs?order=mains',
  '/jobs?order=number',
  '/jobs?find=ottiline',
  '/jobs?find=ottiline&order=price',
  '/jobs?string=Cordwane+Keel',
  '/jobs?by=Tobin+Ravelstock',
  '/jobs?least=20&most=30',
  '/jobs?from=2026-01-01',
  '/jobs?state=not+collected',
  '/jobs?state=corrected',
  '/rackets?find=heron',
  '/workshop/trail?find=tobin',
  '/workshop/trail?ticket=398',
];

/** Of one row: its address before the id and after it, and where a row is to be had. */
const OF_ROWS: readonly (readonly [before: string, after: string, id: string])[] = [
  [
    '/clients/',
    '',
    'select client_id from rackets join tickets on racket_id = rackets.id where number = 401',
  ],
  ['/rackets/', '', 'select racket_id from tickets where number = 401'],
  ['/rackets/', '/ageing', 'select racket_id from tickets where number = 401'],
  ['/rackets/', '/balance', 'select racket_id from tickets where number = 401'],
  ['/rackets/', '/reading', 'select racket_id from tickets where number = 401'],
  [
    '/frames/',
    '',
    'select frame_id from rackets join tickets on racket_id = rackets.id where number = 401',
  ],
  [
    '/frames/',
    '/load',
    'select frame_id from rackets join tickets on racket_id = rackets.id where number = 401',
  ],
  ['/strings/', '', 'select main_string_id from tickets where number = 398'],
  ['/workshop/machines/', '', 'select id from machines order by name limit 1'],
  ['/workshop/benches/', '', 'select id from benches order by name limit 1'],
  ['/events/', '', 'select id from events limit 1'],
  ['/events/', '/board', 'select id from events limit 1'],
  ['/events/', '/account', 'select id from events limit 1'],
];

/** Every page of a house, with its address. */
export async function pagesOf(db: Database, few: boolean): Promise<ReadonlyMap<string, string>> {
  const fixed = [...new Set([...DAILY, ...NARROWED, ...PAGES])].map(
    (path) => [path, few && path === DEEP ? DEEP_OF_FEW : path] as const,
  );
  const ofRows = [];
  for (const [before, after, id] of OF_ROWS) {
    const { rows } = await db.execute<{ id: string }>(sql.raw(`select (${id}) as id`));
    ofRows.push([`${before}*${after}`, `${before}${rows[0]?.id}${after}`] as const);
  }
  return new Map([...fixed, ...ofRows]);
}

/** Asks for a page, and reads all of it. */
export async function askPage(
  { origin, cookie }: Pick<BenchHouse, 'origin' | 'cookie'>,
  path: string,
): Promise<void> {
  // Every browser comes by a connection of its own; one that is kept would lead to the same process every time.
  const answer = await fetch(origin + path, { headers: { cookie, connection: 'close' } });
  await answer.text();
  if (!answer.ok) fail(`${path} answered ${answer.status}.`);
}

/** How long each page takes one user. */
export async function timePages(
  house: Pick<BenchHouse, 'origin' | 'cookie'>,
  pages: ReadonlyMap<string, string>,
  names: readonly string[],
  times: number,
): Promise<ReadonlyMap<string, Timed>> {
  const timed = new Map<string, Timed>();
  for (const name of names) {
    const [one] = await timedInTurn(times, [() => askPage(house, pages.get(name) ?? name)]);
    if (one) timed.set(name, one);
  }
  return timed;
}
