/** The tickets of the demo: a year or two of closed ones, and those that are open today. */
import { randomUUID } from 'node:crypto';
import { jobPrice, toPayMinor } from '@/core/counter/price';
import type { Bed } from '@/core/frame/bed';
import { USUAL_ASSUMPTIONS } from '@/core/cut/lengths';
import { stringPrice } from '@/core/measure/money';
import { wallTime } from '@/core/measure/promised-time';
import { usualChoice } from '@/core/cut/methods';
import { lastJobOf } from '@/core/record/last-job';
import { recordJob, type JobRecord } from '@/core/record/record';
import type { JobString } from '@/core/strings/job-string';
import { jobOf } from '@/core/bench/job';
import { drawnOf } from '@/core/record/drawn';
import { USUAL_MACHINE } from '@/core/house/machine';
import type { AdviceCase, LastJob } from '@/core/advice/rule';
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
import type { rackets } from '../racket-schema';
import type { tickets } from '../ticket-schema';
import { demoBench } from './bench';
import { chanceFrom, type Chance } from '@/core/maths/chance';
import { DEMO_PRICES, isPriced } from './money';
import type { TicketHandNames } from '@/core/record/hands';
import { DEMO_STAFF } from './staff';

export const JOBS = 400;
export const DAY = 24 * 60 * 60 * 1000;
/** Between these a racket can be promised for the same half hour. */
const [FIRST_START, LAST_START] = ['09:30', '16:30'];
const QUARTER = 15 * 60 * 1000;
const HALF_AN_HOUR = 2 * QUARTER;
/** The bench view is in use since then. */
const BENCH_SINCE = 90 * DAY;
export const TIME_ZONE = 'Europe/Lisbon';
export const LABOUR = 1600;

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

export interface DemoRacket extends Row<typeof rackets> {
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

/** What is known when advice is asked for on this racket, with its last job where that is on record. */
const aboutRacket = ({ bed, talk }: DemoRacket, last?: LastJob): AdviceCase => ({
  spec: bed.spec,
  areaMm2: bed.areaMm2,
  talk: talk ?? SILENT,
  house: USUAL_HOUSE,
  last,
});

const chosenBed = ({ mains, crosses }: DemoRacket) => {
  const chosen = (string: DemoString) => ({ string, gaugeMm: gaugeOf(string) });
  return { mains: chosen(mains), crosses: chosen(crosses) };
};

/** Nobody kept the talk where nobody asked. */
const adviceOn = (racket: DemoRacket, pull: TicketTension, last?: LastJob) =>
  racket.talk ? recordAdvice(aboutRacket(racket, last), chosenBed(racket), pull, {}) : null;

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

export function closedTicket(
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
    dial: null,
    closing: null,
    strung: null,
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
export function openTickets(
  owned: readonly DemoRacket[],
  closed: readonly (typeof tickets.$inferInsert)[],
  today: Date,
  machineId: string,
): (typeof tickets.$inferInsert)[] {
  const onDay = (days: number, time: string) =>
    `${wallTime(new Date(today.getTime() + days * DAY), TIME_ZONE).slice(0, 10)}T${time}`;
  // Filled in the evening it is the next morning's work, so that a demo starts as well at night as by day.
  const hour = wallTime(today, TIME_ZONE).slice(11, 16);
  const first = hour < LAST_START ? 0 : 1;
  const soon =
    hour >= FIRST_START && first === 0
      ? wallTime(
          new Date(Math.ceil((today.getTime() + HALF_AN_HOUR) / QUARTER) * QUARTER),
          TIME_ZONE,
        )
      : onDay(first, '10:00');
  const plans = [
    { racket: 0, promised: soon, wish: 'the same again, elbow is better', state: 'cut' },
    { racket: 5, promised: onDay(first, '19:00'), wish: 'for tonight’s ladder', state: 'setup' },
    {
      racket: 9,
      promised: onDay(first + 1, '12:00'),
      wish: 'launches, a little tighter',
      state: 'setup',
    },
    { racket: 43, promised: onDay(first + 1, '18:00'), wish: 'more repulsion', state: 'cut' },
    {
      racket: 52,
      promised: onDay(first + 2, '18:00'),
      wish: 'broke at the top again',
      state: 'in',
    },
    { racket: 20, promised: onDay(first + 4, '18:00'), wish: '', state: 'in' },
  ] as const;
  return plans.map(({ racket: index, promised, wish, state }, i) => {
    const racket = owned[index] as DemoRacket;
    const before = closed.findLast(({ racketId }) => racketId === racket.id)?.record;
    const last = before ? lastJobOf(before) : undefined;
    const { ticket: pull } = climb(
      aboutRacket(racket, last),
      strungFrom(chosenBed(racket)),
      racket.unit,
    );
    return {
      workshopId: racket.workshopId,
      number: JOBS + 1 + i,
      requestKey: randomUUID(),
      racketId: racket.id,
      takenIn: new Date(today.getTime() - (3 - i / 3) * DAY),
      promised,
      wish,
      condition: CONDITIONS[i % CONDITIONS.length] ?? '',
      ...(state !== 'in' && setupColumns(racket, false, pull)),
      ...(state !== 'in' && { advice: adviceOn(racket, pull, last) }),
      ...(state === 'cut' && { ...cutColumns(racket), machineId }),
    };
  });
}
