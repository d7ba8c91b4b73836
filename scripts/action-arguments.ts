/** What each server action is sent by its page. */
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
import { emptyClientEntry } from '@/app/(house)/clients/client-entry';
import { emptyFrameEntry } from '@/app/(house)/frames/frame-entry';
import { emptyStringEntry, type StringEntry } from '@/core/strings/string-facts';
import { NEW_MACHINE } from '@/app/(house)/workshop/machines/machine-entry';
import { houseEntryOf } from '@/app/(house)/workshop/house-rules/house-entry';
import { NO_STRINGS } from '@/app/(house)/tickets/[number]/setup/strings-entry';
import { talkEntryOf } from '@/app/(house)/tickets/[number]/setup/talk-entry';
import { inspectEntryOf } from '@/app/(house)/tickets/[number]/inspect/inspect-entry';
import { papersEntryOf } from '@/app/(house)/workshop/papers/papers-entry';
import { USUAL_TEMPLATES } from '@/core/papers/messages';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { USUAL_MERGE } from '@/core/advice/one-client';
import { SILENT } from '@/core/advice/talk';
import { type Chance } from '@/core/maths/chance';
import type { Target } from './actions';

/** An id that no row has. */
export const FORGED = '3f2504e0-4f89-41d3-9a0c-0305e82c3301';

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
  const short = {
    ...takeIn,
    ...NO_STRINGS,
    mainStringId: id(),
    mainGauge: '1.25',
    whole: true,
    opensAt: 'bench',
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
    overPrint: '',
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
  const closing = {
    labour: '18',
    string: '9',
    leftOver: ['', ''],
    remarks: '',
    goes: 'now',
    look: lookEntryOf(null),
    noLook: true,
    strungUnseen: true,
    notFromShelf: true,
    grommets: '',
    extra: [],
  };
  const payment = {
    amount: '18',
    way: 'cash',
    day: '2026-01-05',
    kind: 'paid',
    over: '',
    note: 'x',
  };
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
    addCheck: [id(), id(), { asked: '24', measured: '24', sure: false }],
    saveWorkshop: [version + 9, workshop],
    saveHouseRules: [version + 9, houseEntryOf(USUAL_HOUSE, 'kg')],
    findAnything: ['her'],
    findClients: ['her'],
    nearClients: ['her'],
    mergeClient: [FORGED, FORGED, USUAL_MERGE],
    compareClients: [id(), FORGED],
    racketsOfClient: [id()],
    takeIn: [takeIn],
    bedOf: [{ racketId: id(), frameId: id(), clientId: id(), again: '', ticket: String(number()) }],
    makeShortTicket: [short],
    settleShortTicket: [number(), version, short],
    changeAsked: [number(), version, asked],
    saveSetup: [number(), version, setup],
    saveCut: [number(), version, cut],
    closeJob: [number(), version + 9, closing],
    withdraw: [number(), version + 9, { why: 'Hostile' }],
    takeUp: [number(), version + 9],
    correctRecord: [number(), FORGED, { text: 'Hostile' }],
    findFrames: ['her'],
    knownAtTheCounter: [id()],
    saveInspect: [number(), version + 9, inspectEntryOf({ inspection: null, extra: null }, 'EUR')],
    takePayment: [number(), FORGED, payment],
    issueInvoice: [FORGED, [number()]],
    creditInvoice: [FORGED, 999_999, { amount: '', why: 'Hostile' }],
    voidJob: [number(), 1, { why: 'Hostile', string: 'lost' }],
    addLine: [number(), 1, { text: 'Hostile', amount: '1', tax: 0 }],
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
    keepLastLook: [number(), false, lookEntryOf(null)],
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
