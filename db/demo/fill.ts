import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { jobPrice, toPayMinor } from '@/core/counter/price';
import { studyFrame, type Bed } from '@/core/frame/bed';
import { USUAL_ASSUMPTIONS } from '@/core/cut/lengths';
import { LIBRARY } from '@/core/frame/library';
import { stringPrice } from '@/core/measure/money';
import { wallTime } from '@/core/measure/promised-time';
import { usualChoice } from '@/core/cut/methods';
import { recordJob, type JobRecord } from '@/core/record/record';
import type { JobString } from '@/core/strings/job-string';
import { jobOf } from '@/core/bench/job';
import { drawnOf } from '@/core/record/drawn';
import { USUAL_MACHINE } from '@/core/house/machine';
import type { AdviceCase } from '@/core/advice/rule';
import { recordAdvice, strungFrom } from '@/core/advice/record';
import { climb } from '@/core/advice/staircase';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { SILENT, type Talk } from '@/core/advice/talk';
import {
  newtons,
  roundToTicketStep,
  type TensionUnit,
  type TicketTension,
} from '@/core/measure/units';
import type { StringFacts } from '@/core/strings/string-facts';
import type { Connection, Database } from '../connection';
import { benches } from '../day-schema';
import { people } from '../doors-schema';
import {
  clients,
  frames,
  machineChecks,
  machines,
  rackets,
  strings,
  tickets,
  workshops,
} from '../schema';
import { demoBench } from './bench';
import { chanceFrom, type Chance } from '@/core/maths/chance';
import { fillReadings } from './ageing';
import { fillBedsRead } from './reading';
import { fillEvent } from './event';
import { demoConsent, DEMO_LETTERHEAD, DEMO_PRICES, fillMoney, isPriced } from './money';
import { DEMO_PEOPLE } from './people';
import type { TicketHandNames } from '@/core/record/hands';
import { fillShelf } from './shelf';
import { DEMO_STAFF, fillStaff } from './staff';
import { DEMO_STRINGS } from './strings';

const JOBS = 400;
const DAY = 24 * 60 * 60 * 1000;
/** The bench view is in use since then. */
const BENCH_SINCE = 90 * DAY;
const TIME_ZONE = 'Europe/Lisbon';
const LABOUR = 1600;

const REMARKS = [
  '',
  '',
  '',
  '',
  'One grommet replaced at 4H left.',
  'Bumper worn, told them.',
  'Notched, but whole.',
  'Broke near the head, off-centre hit.',
  'Tail of the crosses was short; bridged the last pull.',
  'A pound lower than last time, at their wish.',
];
const WISHES = [
  '',
  'the same again',
  'a little looser',
  'more control',
  'it launches',
  'softer, please',
  'before the league match',
];
const CONDITIONS = [
  '',
  '',
  'Bumper scuffed, frame sound.',
  'Split grommet at 3T left, replaced.',
  'Old chip at the head, no crack.',
];

type Row<T extends { $inferInsert: object }> = T['$inferInsert'] & { id: string };
type DemoString = StringFacts & { readonly id: string };

interface DemoRacket extends Row<typeof rackets> {
  readonly bed: Bed;
  readonly frameName: string;
  readonly clientName: string;
  readonly talk: Talk | null;
  readonly unit: TensionUnit;
  /** What this racket is usually strung with. */
  readonly mains: DemoString;
  readonly crosses: DemoString;
  readonly crossBy: number;
}

/**
 * Fills an empty house with an invented year or two, and with invented people to work in it. A workshop that
 * has anything in it is left alone, and given its people if it is from before there were any.
 */
export async function fillWithDemo(db: Database): Promise<void> {
  await db.transaction(async (connection) => {
    const [known] = await connection.select().from(workshops).limit(1);
    const workshopId = known?.id ?? (await demoWorkshop(connection));
    if ((await connection.$count(people)) === 0) await fillStaff(connection, workshopId);
    if ((await connection.$count(clients)) === 0) await fill(connection, workshopId, new Date());
  });
}

async function demoWorkshop(db: Connection): Promise<string> {
  const [made] = await db
    .insert(workshops)
    .values({
      name: 'The Netloft, Skerrowmouth',
      tensionUnit: 'kg',
      lengthSystem: 'metric',
      currency: 'EUR',
      timeZone: TIME_ZONE,
      labourMinor: LABOUR,
      ...DEMO_LETTERHEAD,
      cutAssumptions: { ...USUAL_ASSUMPTIONS, armSpanMm: 1780 },
      nextTicket: JOBS + 7,
    })
    .returning({ id: workshops.id });
  return made?.id ?? '';
}

/** What follows in this transaction is done by one of the demo's people. */
async function workAs(db: Connection, username: string): Promise<void> {
  const [person] = await db
    .select({ id: people.id })
    .from(people)
    .where(eq(people.username, username));
  await db.execute(sql`select set_config('orthotens.person', ${person?.id ?? ''}, true)`);
}

const MEASURED_FRAME = 'Ostrevan Heron Tour 98';

async function fill(db: Connection, workshopId: string, today: Date): Promise<void> {
  const chance = chanceFrom(20);
  await workAs(db, 'hesper');

  const frameRows = LIBRARY.map((frame) => ({
    ...frame,
    id: randomUUID(),
    workshopId,
    sport: frame.spec.sport,
    // Calipers have said how stiff this one is.
    ...(frame.name === MEASURED_FRAME && { hoopFactor: 0.93, hoopErrorMm: 0.12 }),
  }));
  const stringRows = DEMO_STRINGS.map((string) => ({ ...string, id: randomUUID(), workshopId }));
  const clientRows = DEMO_PEOPLE.map((person, i) => ({
    ...person,
    ...demoConsent(i),
    id: randomUUID(),
    workshopId,
  }));
  await db.insert(frames).values(frameRows);
  await db.insert(strings).values(stringRows);
  await fillShelf(db, workshopId, stringRows, today, chanceFrom(21));
  await db.insert(clients).values(clientRows);

  const owned = clientRows.flatMap((client, i): DemoRacket[] => {
    const fit = frameRows.filter(({ sport }) => sport === client.plays);
    const frame = fit[i % fit.length] as (typeof fit)[number];
    const shelf = stringRows.filter(({ sport, setMm }) => sport === client.plays && setMm > 9000);
    const mains = shelf[(i * 5) % shelf.length] as (typeof shelf)[number];
    const hybrid = client.plays === 'tennis' && i % 4 === 0;
    const soft = shelf.find(({ family }) => family === 'synthetic gut') ?? mains;
    const { bed } = studyFrame(frame.spec);
    if (!bed) throw new Error(`The demo frame ${frame.name} makes no bed.`);
    return Array.from({ length: client.rackets }, (_, n) => ({
      id: randomUUID(),
      workshopId,
      clientId: client.id,
      frameId: frame.id,
      label: frame.name,
      mark: client.rackets > 1 ? `${client.name[0]}${n + 1}` : '',
      notes: '',
      bed,
      frameName: frame.name,
      clientName: client.name,
      talk: client.talk,
      unit: client.tensionUnit ?? 'kg',
      mains,
      crosses: hybrid ? soft : mains,
      crossBy: client.plays === 'tennis' && i % 3 === 0 ? -1 : 0,
    }));
  });
  await db.insert(rackets).values(owned);

  const closed = Array.from({ length: JOBS }, (_, i) => {
    const daysAgo = Math.floor(((JOBS - i) / JOBS) ** 1.1 * 730) + 1;
    return closedTicket(
      chance,
      chance.one(owned),
      i + 1,
      new Date(today.getTime() - daysAgo * DAY),
      today,
    );
  });
  for (let i = 0; i < closed.length; i += 100)
    await db.insert(tickets).values(closed.slice(i, i + 100));
  await fillReadings(db, workshopId, closed, clientRows, owned, today, TIME_ZONE);
  await workAs(db, 'maud');
  await fillMoney(
    db,
    workshopId,
    closed.flatMap(({ requestKey, closedAt, record }) =>
      closedAt && record?.price ? [{ requestKey, closedAt, price: record.price }] : [],
    ),
    (at) => wallTime(at, TIME_ZONE).slice(0, 10),
  );
  await workAs(db, 'hesper');
  const { machineId: benchMachine, benchIds } = await fillMachines(db, workshopId, today);
  await fillEvent(db, workshopId, clientRows, stringRows, benchIds, today, TIME_ZONE);
  await fillOpenTickets(db, openTickets(owned, today, benchMachine));
  const abroad = clientRows.findLast(({ plays }) => plays === 'tennis');
  const strungThere = frameRows.find(({ spec }) => spec.pattern.mains === 18);
  if (abroad && strungThere)
    await fillBedsRead(
      db,
      workshopId,
      { clientId: abroad.id, frameId: strungThere.id },
      today,
      TIME_ZONE,
    );
}

/** Taken in at the counter, and set up by who strings them. */
async function fillOpenTickets(
  db: Connection,
  open: readonly (typeof tickets.$inferInsert)[],
): Promise<void> {
  const asked = ({ workshopId, number, requestKey, racketId, ...rest }: (typeof open)[number]) => {
    const { takenIn, promised, wish, condition, ...planned } = rest;
    return {
      row: { workshopId, number, requestKey, racketId, takenIn, promised, wish, condition },
      planned,
    };
  };
  await workAs(db, 'maud');
  await db.insert(tickets).values(open.map((ticket) => asked(ticket).row));
  await workAs(db, 'tobin');
  for (const ticket of open)
    if (Object.keys(asked(ticket).planned).length > 0)
      await db
        .update(tickets)
        .set(asked(ticket).planned)
        .where(eq(tickets.requestKey, ticket.requestKey));
}

/** Two machines with their checks: one that drifts a little, one whose check is late. Gives the first, and the benches. */
async function fillMachines(
  db: Connection,
  workshopId: string,
  today: Date,
): Promise<{ readonly machineId: string; readonly benchIds: readonly string[] }> {
  const machineOf = (facts: Pick<MachineRow, 'name' | 'gripperMm'> & Partial<MachineRow>) => ({
    ...facts,
    id: randomUUID(),
    workshopId,
  });
  const window = machineOf({
    name: 'At the window',
    gripperMm: USUAL_ASSUMPTIONS.gripperMm,
    headAddress: 'ws://127.0.0.1:3411',
  });
  const travels = machineOf({
    name: 'The one that travels',
    gripperMm: 310,
    kind: 'drop weight',
    mounts: 2,
    clampKind: 'flying',
  });
  await db.insert(machines).values([window, travels]);
  const day = [
    ['09:30', '13:00'],
    ['14:00', '18:30'],
  ] as const;
  const week = { week: [day, day, day, day, day, [['09:30', '16:00']], []], others: {} } as const;
  const benchIds = [randomUUID(), randomUUID()] as const;
  await db.insert(benches).values([
    {
      id: benchIds[0],
      workshopId,
      name: 'At the window',
      machineId: window.id ?? null,
      hours: week,
    },
    {
      id: benchIds[1],
      workshopId,
      name: 'Back room',
      machineId: null,
      hand: 'tournament',
      hours: {
        week: [[], [['10:00', '13:00']], [], [['10:00', '13:00']], day, [['09:30', '16:00']], []],
        others: {},
      },
    },
  ]);
  const check = (machineId: string, daysAgo: number, asked: number, measured: number) => ({
    id: randomUUID(),
    workshopId,
    machineId,
    day: wallTime(new Date(today.getTime() - daysAgo * DAY), TIME_ZONE).slice(0, 10),
    askedN: newtons(asked, 'kg'),
    measuredN: newtons(measured, 'kg'),
  });
  await db
    .insert(machineChecks)
    .values([
      ...[24.1, 24, 23.9, 23.9, 23.7, 23.8, 23.6].map((measured, i) =>
        check(window.id, 200 - 30 * i, 24, measured),
      ),
      check(travels.id, 75, 20, 20.2),
    ]);
  return { machineId: window.id, benchIds };
}

type MachineRow = typeof machines.$inferInsert;

const gaugeOf = ({ gaugesMm }: DemoString): number =>
  gaugesMm[Math.floor((gaugesMm.length - 1) / 2)] as number;

const recordOfString = (string: DemoString, suppliedByClient: boolean): JobString => ({
  name: string.name,
  family: string.family,
  shape: string.shape,
  gaugeMm: gaugeOf(string),
  suppliedByClient,
  setMm: string.setMm,
  stretch: string.stretch ?? null,
});

/** What is known when advice is asked for on this racket. */
const aboutRacket = ({ bed, talk }: DemoRacket): AdviceCase => ({
  spec: bed.spec,
  areaMm2: bed.areaMm2,
  talk: talk ?? SILENT,
  house: USUAL_HOUSE,
  last: undefined,
});

const chosenBed = ({ mains, crosses }: DemoRacket) => {
  const chosen = (string: DemoString) => ({ string, gaugeMm: gaugeOf(string) });
  return { mains: chosen(mains), crosses: chosen(crosses) };
};

/** Nobody kept the talk where nobody asked. */
const adviceOn = (racket: DemoRacket, pull: TicketTension) =>
  racket.talk ? recordAdvice(aboutRacket(racket), chosenBed(racket), pull, {}) : null;

/** The usual pull of a racket, with a step up or down now and then. */
function pullOf(racket: DemoRacket, steps: number) {
  const { unit, crossBy } = racket;
  const start = climb(aboutRacket(racket), strungFrom(chosenBed(racket)), unit).ticket;
  const step = newtons(unit === 'kg' ? 0.5 : 1, unit);
  return {
    mainN: roundToTicketStep(start.mainN + steps * step, unit),
    crossN: roundToTicketStep(start.crossN + (steps + 2 * crossBy) * step, unit),
    unit,
  };
}

const setupColumns = (racket: DemoRacket, supplied: boolean, pull: ReturnType<typeof pullOf>) => ({
  mainStringId: racket.mains.id,
  mainGaugeMm: gaugeOf(racket.mains),
  mainSupplied: supplied,
  crossStringId: racket.crosses.id,
  crossGaugeMm: gaugeOf(racket.crosses),
  crossSupplied: supplied,
  mainN: pull.mainN,
  crossN: pull.crossN,
  tensionUnit: pull.unit,
});

const cutColumns = (racket: DemoRacket) => ({
  ...usualChoice(racket.bed, racket.mains !== racket.crosses),
  cutFrom: racket.mains === racket.crosses ? ('one set' as const) : ('two half sets' as const),
  remnantsMm: [],
});

/** The pieces with their tails as somebody measured them now and then: a little off, and once far off. */
function measured(chance: Chance, { plan }: JobRecord): JobRecord['plan']['pieces'] {
  if (chance.next() > 0.3) return plan.pieces;
  return plan.pieces.map((piece) => {
    const expected = piece.givenMm - (piece.rawCutMm - piece.leftMm);
    const slip = chance.next() < 0.02 ? 900 : 0;
    const tails = expected + 25 + 30 * (chance.next() - 0.5) + slip;
    return { ...piece, leftOverMm: Math.max(0, Math.round(tails / 5) * 5) };
  });
}

/** Who did it: the counter's own and the stringer mostly, the owner now and then, the learner while one watches. */
function demoHands(number: number): TicketHandNames {
  const [owner, stringer, counter, learner] = DEMO_STAFF.map(({ name }) => name) as [
    string,
    string,
    string,
    string,
  ];
  const strings = number % 5 === 0 ? owner : stringer;
  return {
    takenInBy: number % 4 === 0 ? strings : counter,
    setUpBy: strings,
    strungBy: [
      { name: strings, watcher: null },
      ...(number % 9 === 0 ? [{ name: learner, watcher: strings }] : []),
    ],
    handedOverBy: number % 3 === 0 ? strings : counter,
  };
}

function closedTicket(
  chance: Chance,
  racket: DemoRacket,
  number: number,
  day: Date,
  today: Date,
): typeof tickets.$inferInsert {
  const pull = pullOf(racket, chance.below(4) - 1);
  const supplied = chance.next() < 0.12;
  const cut = cutColumns(racket);
  const takenIn = new Date(day.getTime() - (1 + chance.below(3)) * DAY);
  const job = jobOf({
    bed: racket.bed,
    mains: recordOfString(racket.mains, supplied),
    crosses: recordOfString(racket.crosses, supplied),
    tension: pull,
    choice: cut,
    cutFrom: cut.cutFrom,
    remnantsMm: [],
    assumptions: USUAL_ASSUMPTIONS,
    learnt: {},
    house: USUAL_HOUSE,
    machine: USUAL_MACHINE,
    notes: '',
  });
  const set = ({ setPriceMinor }: DemoString) => ({
    setMinor: setPriceMinor,
    suppliedByClient: supplied,
  });
  const stringMinor = stringPrice(set(racket.mains), set(racket.crosses));
  const jobPriced = jobPrice({
    house: DEMO_PRICES,
    method: cut.method,
    labourMinor: LABOUR,
    stringMinor,
    mains: { ...job.mains, setPriceMinor: racket.mains.setPriceMinor },
    crosses: { ...job.crosses, setPriceMinor: racket.crosses.setPriceMinor },
    extra: null,
  });
  const planned: JobRecord = recordJob({
    job,
    client: racket.clientName,
    racket: { frameName: racket.frameName, mark: racket.mark },
    advice: adviceOn(racket, pull),
    leftOverMm: [],
    bench:
      today.getTime() - day.getTime() < BENCH_SINCE ? demoBench(chanceFrom(number), job) : null,
    remarks: chance.one(REMARKS),
    inspection: null,
    price: isPriced(day, today) ? jobPriced : null,
    machine: number % 6 === 0 ? 'The one that travels' : 'At the window',
    hands: demoHands(number),
  });
  const record: JobRecord = {
    ...planned,
    plan: { ...planned.plan, pieces: measured(chance, planned) },
  };
  return {
    workshopId: racket.workshopId,
    number,
    requestKey: randomUUID(),
    racketId: racket.id,
    takenIn,
    promised: `${wallTime(day, TIME_ZONE).slice(0, 10)}T18:00`,
    wish: chance.one(WISHES),
    condition: chance.one(CONDITIONS),
    ...setupColumns(racket, supplied, pull),
    ...cut,
    closedAt: day,
    labourMinor: LABOUR,
    stringMinor,
    toPayMinor: record.price && toPayMinor(record.price),
    collectedAt: day,
    record,
    drawn: drawnOf(job),
  };
}

/** Six racket on the bench, each at another station. */
function openTickets(
  owned: readonly DemoRacket[],
  today: Date,
  machineId: string,
): (typeof tickets.$inferInsert)[] {
  const onDay = (days: number, time: string) =>
    `${wallTime(new Date(today.getTime() + days * DAY), TIME_ZONE).slice(0, 10)}T${time}`;
  const plans = [
    {
      racket: 0,
      promised: onDay(-1, '18:00'),
      wish: 'the same again, elbow is better',
      state: 'cut',
    },
    { racket: 5, promised: onDay(0, '23:30'), wish: 'for tonight’s ladder', state: 'setup' },
    { racket: 9, promised: onDay(1, '12:00'), wish: 'launches, a little tighter', state: 'setup' },
    { racket: 43, promised: onDay(1, '18:00'), wish: 'more repulsion', state: 'cut' },
    { racket: 52, promised: onDay(2, '18:00'), wish: 'broke at the top again', state: 'in' },
    { racket: 20, promised: onDay(4, '18:00'), wish: '', state: 'in' },
  ] as const;
  return plans.map(({ racket: index, promised, wish, state }, i) => {
    const racket = owned[index] as DemoRacket;
    return {
      workshopId: racket.workshopId,
      number: JOBS + 1 + i,
      requestKey: randomUUID(),
      racketId: racket.id,
      takenIn: new Date(today.getTime() - (3 - i / 3) * DAY),
      promised,
      wish,
      condition: CONDITIONS[i % CONDITIONS.length] ?? '',
      ...(state !== 'in' && setupColumns(racket, false, pullOf(racket, 0))),
      ...(state !== 'in' && { advice: adviceOn(racket, pullOf(racket, 0)) }),
      ...(state === 'cut' && { ...cutColumns(racket), machineId }),
    };
  });
}
