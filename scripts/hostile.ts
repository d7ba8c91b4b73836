/**
 * Requests that no page would send, to every action, route, address and importer of a running server:
 * all of them must be answered, none with a fault of the server.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chanceFrom, type Chance } from '@/core/maths/chance';
import { ROOT } from './house';
import { argumentsOf, FORGED } from './action-arguments';
import { actionsOf, type Target } from './actions';

export interface HostileReport {
  readonly requests: number;
  /** How many were answered with each status. */
  readonly statuses: Readonly<Record<string, number>>;
  /** Those that the server failed at, so that they can be sent again. */
  readonly faults: readonly string[];
}

const ODD: readonly unknown[] = [
  'a\0b',
  '\0',
  '\ud83c',
  'x'.repeat(5000),
  '',
  ' ',
  '1',
  '0000-01-01',
  '0000-01-01T00:00:00Z',
  "'; drop table clients; --",
  '<script>alert(1)</script>',
  '../../etc/passwd',
  '%',
  '$F1',
  '$undefined',
  '$K1',
  '-1+cmd|x',
  'ﬁ½²',
  '99H 98H',
  '1e308',
  -1,
  0,
  1.5,
  2 ** 31,
  2 ** 53,
  null,
  true,
  {},
  [],
  [[[[[]]]]],
  { __proto__: null, constructor: 'x' },
  { toString: 'x' },
];

const ODD_TEXTS = ODD.filter((each) => typeof each === 'string');

const PATHS = [
  '/clients/@',
  '/rackets/@',
  '/frames/@',
  '/frames/@/document',
  '/strings/@',
  '/jobs/#',
  '/tickets/#',
  '/tickets/#/take-in',
  '/tickets/#/frame',
  '/tickets/#/setup',
  '/tickets/#/cut',
  '/tickets/#/pull',
  '/tickets/#/hand-over',
  '/bench/#',
  '/practice/@',
  '/sheets/#',
  '/why/#',
  '/workshop/machines/@',
  '/clients?find=@',
  '/rackets?find=@',
  '/frames?find=@',
  '/strings?find=@',
  '/jobs?find=@',
  '/take-in?again=#',
  '/take-in?client=@',
  '/take-in?racket=@&racket=@',
  '/same-feel?ticket=#',
  '/same-feel?racket=@',
  '/strings/new?ticket=#',
  '/tickets/#/frame?edit=@',
  '/papers/#/@',
  '/papers/#/slip',
  '/papers/#/stub/pdf',
  '/invoices/#/xml',
  '/photos/@?size=@',
  '/money?from=@&to=@',
  '/money/payments?day=@',
  '/jobs?order=@&down=@&page=@&least=@&from=@',
  '/c/@',
  '/calendars/@',
  '/shelf',
  '/jobs/import',
  '/jobs/earlier/@',
  '/jobs/#/bed',
  '/frames/@/bed',
  '/workshop/benches/@',
  '/rackets/@/ageing',
  '/rackets/@/balance',
  '/tickets/#/load?way=@',
  '/tickets/#/last-look',
  '/rackets/@/reading',
  '/frames/@/load',
  '/workshop/house-rules?frame=@',
  '/c/@/calendar',
  '/events/@',
  '/events/@/board',
  '/events/@/account?day=@',
  '/events/@/players/@',
  '/c/@/no-more',
  '/@',
];

const ODD_SEGMENTS = [
  '%',
  '%E0%A4%A',
  '%00',
  'a%00b',
  '%ED%A0%BC',
  '..%2f..%2f',
  '%F0%9F%8E%BE',
  '-1',
  '1.5',
  '0',
  '00401',
  '99999999999999999999',
  '1e9',
  'x'.repeat(3000),
  FORGED,
  '------------------------------------',
  '%25',
  '*',
  'undefined',
  '[id]',
];

/** The same with something odd in one place. */
function spoilt(value: unknown, chance: Chance): unknown {
  if (typeof value !== 'object' || value === null || chance.next() < 0.1) {
    if (typeof value === 'string' && chance.next() < 0.3) {
      const at = chance.below(value.length + 1);
      return value.slice(0, at) + chance.one(ODD_TEXTS) + value.slice(at);
    }
    return chance.one(ODD);
  }
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Record<
    string,
    unknown
  >;
  const keys = Object.keys(copy);
  if (keys.length === 0) return chance.one(ODD);
  const key = chance.one(keys);
  if (chance.next() < 0.1) delete copy[key];
  else copy[key] = spoilt(copy[key], chance);
  return copy;
}

/** Texts that begin with a dollar mean something to the framework; half of the time they are sent as they are. */
const written = (value: unknown, chance: Chance): string =>
  JSON.stringify(value, (_, each: unknown) =>
    typeof each === 'string' && each.startsWith('$') && chance.next() < 0.5 ? `$${each}` : each,
  );

interface Sent {
  readonly path: string;
  readonly init: RequestInit;
}

function request(target: Target, actions: ReturnType<typeof actionsOf>, chance: Chance): Sent {
  const { tickets, ids, workshopId } = target;
  const kind = chance.next();
  if (kind < 0.6) {
    const [id, name] = chance.one(actions);
    let args: unknown[] = argumentsOf(name, target, chance);
    for (let times = chance.below(3); times >= 0; times--) args = spoilt(args, chance) as unknown[];
    const from = chance.next() < 0.9 ? workshopId : chance.one(ODD);
    return {
      path: '/workshop',
      init: {
        method: 'POST',
        headers: {
          'next-action': id,
          'content-type': 'text/plain;charset=UTF-8',
          origin: target.origin,
        },
        body: written([from, ...(Array.isArray(args) ? args : [args])], chance),
      },
    };
  }
  const segment = () => (chance.next() < 0.7 ? chance.one(ODD_SEGMENTS) : chance.one(ids));
  const number = () =>
    chance.next() < 0.5 ? chance.one(ODD_SEGMENTS) : String(chance.one(tickets));
  if (kind < 0.85) {
    const path = chance
      .one(PATHS)
      .replaceAll('@', () => segment())
      .replaceAll('#', () => number());
    return { path, init: {} };
  }
  if (kind < 0.92) return importRequest(target, chance);
  const logged = {
    id: FORGED,
    bench: FORGED,
    plan: '0badcafe',
    at: '2026-11-25T10:00:00.000Z',
    done: 3,
    deed: chance.one([
      { kind: 'open' },
      { kind: 'step', pulledN: 200 },
      { kind: 'note', text: 'x' },
      { kind: 'mishap', mishap: 'string broke', string: 'M1L', way: 'x' },
    ]),
  };
  const body = spoilt({ madeFor: workshopId, known: 0, deeds: [logged, logged] }, chance);
  const text = JSON.stringify(body) ?? '';
  return {
    path: `/bench/${number()}/deeds`,
    init: {
      method: chance.next() < 0.95 ? 'POST' : 'PUT',
      headers: { 'content-type': 'application/json' },
      body: chance.next() < 0.1 ? text.slice(0, chance.below(text.length + 1)) : text,
    },
  };
}

const TABLE =
  'name,sport,family,gauges_mm,set_m,set_price,notes\nHostile,tennis,aramid,1.25,12.2,9,"a, b"';

/** A file for an importer, torn or spoilt somewhere. */
function importRequest({ workshopId }: Target, chance: Chance): Sent {
  const [path, text] = chance.one([
    ['/frames/import/file', readFileSync(join(ROOT, 'docs', 'formats', 'example.json'), 'utf8')],
    ['/strings/import/file', TABLE],
  ] as const);
  const at = chance.below(text.length);
  const odd = text.slice(0, at) + chance.one(ODD_TEXTS) + text.slice(at + chance.below(20));
  const sound = { madeFor: workshopId, message: { key: FORGED, text: odd } };
  return {
    path,
    init: {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(chance.next() < 0.6 ? sound : spoilt(sound, chance)),
    },
  };
}

/** Sends so many hostile requests, the same ones for the same seed. */
export async function beHostile(
  target: Target,
  requests: number,
  seed: number,
): Promise<HostileReport> {
  const actions = actionsOf(target.build);
  const chance = chanceFrom(seed);
  const statuses: Record<string, number> = {};
  const faults: string[] = [];
  for (let i = 0; i < requests; i++) {
    const { path, init } = request(target, actions, chance);
    const headers = { ...init.headers, cookie: target.cookie };
    const status = await fetch(target.origin + path, { ...init, headers, redirect: 'manual' }).then(
      async (response) => {
        const body = await response.text();
        // An error that a page meets while it is streamed has a good status already.
        return /"digest":"\d+"|data-dgst="\d+"/.test(body)
          ? 'failed page'
          : String(response.status);
      },
      (error: unknown) => `no answer: ${String((error as Error).cause ?? error)}`,
    );
    statuses[status] = (statuses[status] ?? 0) + 1;
    if (!/^[234]\d\d$/.test(status)) {
      const name = actions.find(
        ([id]) => id === (init.headers as Record<string, string> | undefined)?.['next-action'],
      )?.[1];
      faults.push(
        `${status} ${name ?? path.slice(0, 80)} ${String(init.body ?? '').slice(0, 600)}`,
      );
    }
  }
  return { requests, statuses, faults };
}
