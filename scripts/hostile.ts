/**
 * Requests that no page would send, to every action, route, address and importer of a running server:
 * all of them must be answered, none with a fault of the server.
 */
import { NOTHING_BOUGHT } from '@/app/(house)/shelf/shelf-entry';
import { NOT_MEASURED } from '@/app/(house)/tickets/[number]/load/calipers-entry';
import { NOTHING_SAID } from '@/core/ageing/court';
import { NOT_WEIGHED } from '@/app/(house)/rackets/[id]/balance/balance-entry';
import { NOTHING_TYPED } from '@/app/(house)/rackets/[id]/reading/seen-entry';
import { lookEntryOf } from '@/app/(house)/tickets/[number]/last-look/look-entry';
import { NO_READING } from '@/app/(house)/rackets/[id]/ageing/reading-entry';
import { newEvent } from '@/app/(house)/events/event-entry';
import { NEW_PLAYER, playerEntryOf } from '@/app/(house)/events/[id]/players/player-entry';
import { NEW_BENCH } from '@/app/(house)/workshop/benches/bench-entry';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { emptyClientEntry } from '@/app/(house)/clients/client-entry';
import { emptyFrameEntry } from '@/app/(house)/frames/frame-entry';
import { emptyStringEntry, type StringEntry } from '@/core/strings/string-facts';
import { NEW_MACHINE } from '@/app/(house)/workshop/machines/machine-entry';
import { houseEntryOf } from '@/app/(house)/workshop/house-rules/house-entry';
import { talkEntryOf } from '@/app/(house)/tickets/[number]/setup/talk-entry';
import { inspectionEntryOf } from '@/app/(house)/tickets/[number]/inspect/inspect-entry';
import { papersEntryOf } from '@/app/(house)/workshop/papers/papers-entry';
import { USUAL_TEMPLATES } from '@/core/papers/messages';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { SILENT } from '@/core/advice/talk';
import { chanceFrom, type Chance } from '@/core/maths/chance';
import { ROOT } from './house';

export interface HostileReport {
  readonly requests: number;
  /** How many were answered with each status. */
  readonly statuses: Readonly<Record<string, number>>;
  /** Those that the server failed at, so that they can be sent again. */
  readonly faults: readonly string[];
}

export interface Target {
  readonly origin: string;
  /** Of somebody who is signed in there. */
  readonly cookie: string;
  /** Folder of the build that it serves. */
  readonly build: string;
  readonly workshopId: string;
  /** Rows that are there, so that some requests get past the first door. */
  readonly ids: readonly string[];
  readonly tickets: readonly number[];
}

/** The actions of a build by the id that pages call them with. */
export function actionsOf(build: string): readonly (readonly [id: string, name: string])[] {
  const text = readFileSync(join(build, 'server', 'server-reference-manifest.json'), 'utf8');
  return Object.entries(manifestSchema.parse(JSON.parse(text)).node).map(
    ([id, { exportedName }]) => [id, exportedName] as const,
  );
}

/** Calls an action as a page does, and gives the answer as it came. */
export async function callAction(
  { origin, cookie }: Pick<Target, 'origin' | 'cookie'>,
  id: string,
  args: readonly unknown[],
): Promise<{ readonly status: number; readonly text: string }> {
  const answer = await fetch(`${origin}/me`, {
    method: 'POST',
    headers: { 'next-action': id, 'content-type': 'text/plain;charset=UTF-8', origin, cookie },
    body: JSON.stringify(args),
    redirect: 'manual',
  });
  return { status: answer.status, text: await answer.text() };
}

const manifestSchema = z.object({
  node: z.record(z.string(), z.object({ exportedName: z.string() })),
});

const FORGED = '3f2504e0-4f89-41d3-9a0c-0305e82c3301';

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

const NO_PAPERS = {
  locale: 'en-GB',
  address: '',
  country: '',
  taxNumber: '',
  taxIncluded: true,
  labourTaxBp: 0,
  stringTaxBp: 0,
};

/** An entry of each action as its page sends it, to be spoilt in one place or several. */
export function argumentsOf(
  action: string,
  { ids, tickets }: Pick<Target, 'ids' | 'tickets'>,
  chance: Chance,
): unknown[] {
  const id = () => (chance.next() < 0.3 ? FORGED : chance.one(ids));
  const number = () => chance.one(tickets);
  const version = 1 + chance.below(3);
  const frame = emptyFrameEntry(chance.one(['tennis', 'badminton', 'squash'] as const), 'Hostile');
  const client = { ...emptyClientEntry, name: 'Hostile' };
  const racket = { mark: 'H', frameId: '', notes: '' };
  const string: StringEntry = {
    ...emptyStringEntry,
    name: 'Hostile',
    family: 'monofilament',
    gauges: '1.25',
    price: '9',
  };
  const asked = { promised: '+2d', wish: 'x', condition: 'y' };
  const takeIn = {
    ...asked,
    requestKey: FORGED.replace('3', String(chance.below(10))),
    clientId: '',
    clientName: `Hostile ${chance.below(1_000_000)}`,
    newClient: true,
    contact: '',
    racketId: '',
    frameId: '',
    frameLabel: 'F',
    mark: '',
    more: [],
    alike: true,
    again: '',
  };
  const setup = {
    talk: talkEntryOf(SILENT),
    switched: {},
    todaysRules: false,
    mainStringId: id(),
    mainGauge: '1.25',
    mainSupplied: false,
    hybrid: false,
    crossStringId: '',
    crossGauge: '',
    crossSupplied: false,
    tension: '24/23',
    ownWord: '',
  };
  const cut = {
    method: 'two-piece',
    shortSide: 'left',
    crossStart: 'left',
    cutFrom: 'one set',
    remnants: '',
    machineId: '',
  };
  const workshop = {
    name: 'Hostile',
    tensionUnit: 'kg',
    lengthSystem: 'metric',
    currency: 'EUR',
    timeZone: 'UTC',
    labour: '18',
    gripperMm: '36',
    knotMm: '8',
    tailMm: '6',
    marginMm: '5',
    armSpanMm: '',
    methodPreference: 'fewest losses at knots',
    hand: 'practised',
  };
  const closing = { labour: '18', string: '9', leftOver: ['', ''], remarks: '', goes: 'now' };
  const payment = { amount: '18', way: 'cash', day: '2026-01-05', back: false, note: 'x' };
  const item = { name: 'Hostile', kind: 'grip', unit: '6', tax: '20' };
  const table: Readonly<Record<string, unknown[]>> = {
    addClient: [id(), client],
    changeClient: [id(), version, client],
    changeRacket: [id(), version, racket],
    addString: [id(), '/strings', string],
    changeString: [id(), version, string],
    addFrame: [id(), frame],
    changeFrame: [id(), version, null, frame],
    enterFrameForRacket: [id(), version, '/', frame],
    pickFrameForRacket: [id(), version, id()],
    addMachine: [id(), { ...NEW_MACHINE, name: 'Hostile', gripperMm: '36' }],
    changeMachine: [id(), version, { ...NEW_MACHINE, name: 'Hostile', gripperMm: '36' }],
    addCheck: [id(), id(), { asked: '24', measured: '24' }],
    saveWorkshop: [version + 9, workshop],
    saveHouseRules: [version + 9, houseEntryOf(USUAL_HOUSE, 'kg')],
    findAnything: ['her'],
    findClients: ['her'],
    nearClients: ['her'],
    mergeClient: [FORGED, FORGED],
    racketsOfClient: [id()],
    takeIn: [takeIn],
    changeAsked: [number(), version, asked],
    saveSetup: [number(), version, setup],
    saveCut: [number(), version, cut],
    closeJob: [number(), version + 9, closing],
    withdraw: [number(), version + 9, { why: 'Hostile' }],
    takeUp: [number(), version + 9],
    correctRecord: [number(), FORGED, { text: 'Hostile' }],
    findFrames: ['her'],
    knownAtTheCounter: [id()],
    keepInspection: [number(), version + 9, inspectionEntryOf(null)],
    keepExtraWork: [number(), version + 9, { lines: [], how: '' }],
    takePayment: [number(), FORGED, payment],
    issueInvoice: [FORGED, [number()]],
    creditInvoice: [FORGED, 999_999, { why: 'Hostile' }],
    collect: [999_999],
    writeToClient: [999_999, 'ready'],
    withdrawLink: [999_999],
    printLabel: [999_999, 'label'],
    savePapers: [version + 9, papersEntryOf(NO_PAPERS)],
    saveTemplates: [version + 9, USUAL_TEMPLATES],
    addItem: [FORGED, item],
    changeItem: [FORGED, version, item],
    bringAgain: ['Hostile'],
    // The day of the others stays as it is: nothing of these is right as a whole.
    arrangeDay: [[{ number: number(), benchId: FORGED, turn: 0 }], []],
    offersAtTheCounter: [{ racketId: '', frameId: '', count: 1 }],
    whatAPromiseBreaks: [{ racketId: '', frameId: '', count: 1 }, 'fri'],
    setHereFrom: [number(), 'fri'],
    addBench: [FORGED, { ...NEW_BENCH, mon: 'Hostile' }],
    changeBench: [id(), version, { ...NEW_BENCH, mon: 'Hostile' }],
    weighRacket: [FORGED, version, NOT_WEIGHED],
    addReading: [FORGED, number(), NO_READING],
    removeReading: [FORGED],
    strungElsewhere: [FORGED, '2026-01-05'],
    liesIn: [FORGED, 'hot'],
    putOn: [FORGED, version, '5 g at 680'],
    remind: [999_999],
    // Nobody is reminded by a test: it takes nothing.
    remindAll: ['Hostile'],
    sayPlays: ['Hostile', '2'],
    sayHowItPlayed: ['Hostile', NOTHING_SAID],
    sayAtTheCounter: [999_999, NOTHING_SAID],
    measureHoop: [number(), NOT_MEASURED],
    keepReading: [FORGED, FORGED, NOTHING_TYPED],
    takeBackReading: [FORGED],
    keepLastLook: [number(), lookEntryOf(null)],
    takeTicket: [number(), '', false],
    letTicketGo: [number()],
    addEvent: [FORGED, { ...newEvent([], 1800, 'EUR'), name: 'Hostile', days: 'Hostile' }],
    changeEvent: [
      id(),
      version,
      { ...newEvent([], 1800, 'EUR'), name: 'Hostile', days: 'Hostile' },
    ],
    addPlayer: [FORGED, FORGED, { clientId: '', name: 'Hostile' }],
    changePlayer: [FORGED, version, playerEntryOf(NEW_PLAYER)],
    moveCourt: [FORGED, 'fri'],
    sayCourt: [FORGED, 'Hostile'],
    allLater: [FORGED, '30'],
    bagIn: [FORGED, { lines: [], frameId: '', frameLabel: 'F', promised: 'fri', wish: '' }],
    buy: [FORGED, { ...NOTHING_BOUGHT, stock: 'Hostile' }],
    countLength: [FORGED, FORGED, '6.1'],
    throwAway: [FORGED, FORGED],
    subscribeCalendar: [],
    withdrawCalendar: [],
  };
  // What is left removes a row or puts it back: only rows that are nobody's, so that the world stays.
  return table[action] ?? [FORGED];
}

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

function request(
  target: Target,
  actions: readonly (readonly [string, string])[],
  chance: Chance,
): Sent {
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
  const event = {
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
  const body = spoilt({ madeFor: workshopId, known: 0, events: [event, event] }, chance);
  const text = JSON.stringify(body) ?? '';
  return {
    path: `/bench/${number()}/events`,
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
