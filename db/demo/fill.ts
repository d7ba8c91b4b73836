import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { studyFrame } from '@/core/frame/bed';
import { USUAL_ASSUMPTIONS } from '@/core/cut/lengths';
import { LIBRARY } from '@/core/frame/library';
import { wallTime } from '@/core/measure/promised-time';
import { newtons } from '@/core/measure/units';
import type { Connection, Database } from '../connection';
import { benches } from '../day-schema';
import { people } from '../doors-schema';
import { clients, frames, machineChecks, machines, rackets, strings } from '../racket-schema';
import { tickets } from '../ticket-schema';
import { workAt } from '../walls';
import { workshops } from '../workshop-schema';
import { chanceFrom } from '@/core/maths/chance';
import { eightWeeksBefore, fillReadings, jobToRead } from './ageing';
import { fillBedsRead, lookedAt } from './reading';
import { fillEvent } from './event';
import { demoConsent, DEMO_LETTERHEAD, fillMoney } from './money';
import { DEMO_PEOPLE } from './people';
import { fillShelf } from './shelf';
import { fillStaff } from './staff';
import { DEMO_STRINGS } from './strings';
import {
  closedTicket,
  DAY,
  type DemoRacket,
  JOBS,
  LABOUR,
  openTickets,
  TIME_ZONE,
} from './tickets';

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
  await workAt(db, { ...(person && { personId: person.id }) });
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

  const drawn = Array.from({ length: JOBS }, (_, i) => {
    const daysAgo = Math.floor(((JOBS - i) / JOBS) ** 1.1 * 730) + 1;
    return closedTicket(
      chance,
      chance.one(owned),
      i + 1,
      new Date(today.getTime() - daysAgo * DAY),
      today,
    );
  });
  // One becomes a job of exactly eight weeks ago.
  const read = jobToRead(drawn, clientRows, owned, today);
  const closedAt = eightWeeksBefore(today);
  const closed = lookedAt(
    drawn.map((job) => (job === read ? { ...job, closedAt, collectedAt: closedAt } : job)),
  );
  for (let i = 0; i < closed.length; i += 100)
    await db.insert(tickets).values(closed.slice(i, i + 100));
  await fillReadings(db, workshopId, read, owned, today, TIME_ZONE);
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
  await fillOpenTickets(db, openTickets(owned, closed, today, benchMachine));
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
