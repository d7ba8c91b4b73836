import { describe, expect, it } from 'vitest';
import { english } from '../terms/words/english';
import { studyFrame, type Bed } from '../frame/bed';
import { USUAL_ASSUMPTIONS } from '../cut/lengths';
import { planCut, type PlannedString } from '../cut/plan';
import { keptPlanOf, keptPulls, planChange } from '../bench/kept-plan';
import { benchLog, planKey, type LoggedDeed, type Deed } from '../bench/log';
import { newtons } from '../measure/units';
import { asStrung, strungWords } from './as-strung';
import { jobRecordSchema, pieceDifference, recordBench, recordJob } from './record';
import { ticketOf } from '../testing/advice-case';
import { benchPlan, FRAME, sequenceFor } from '../testing/bench-job';
import { usualJob } from '../testing/jobs';
import { frameSpec } from '../testing/frame-spec';

const { bed } = studyFrame(
  frameSpec({ head: [7, 9], throat: [7, 9], tieOff: ['8H', '6H', '6T'] }),
) as { bed: Bed };
const mains = {
  name: 'A',
  family: 'monofilament',
  shape: 'round',
  gaugeMm: 1.25,
  suppliedByClient: true,
  setMm: 12_200,
  stretch: 0.03,
} as const;
const crosses = {
  name: 'B',
  family: 'multifilament',
  shape: 'round',
  gaugeMm: 1.3,
  suppliedByClient: false,
  setMm: 12_192,
  stretch: null,
} as const;
const CHOICE = { method: 'two-piece', shortSide: 'left', crossStart: 'right' } as const;
const record = recordJob({
  job: usualJob({
    bed,
    mains,
    crosses,
    tension: ticketOf(45, 50, 'lb'),
    choice: CHOICE,
    cutFrom: 'two half sets',
  }),
  client: 'Ada',
  racket: { frameName: 'Frame', mark: '' },
  advice: null,
  leftOverMm: [820, null],
  bench: null,
  remarks: '',
  inspection: null,
  price: null,
  machine: null,
  dial: null,
  closing: null,
  strung: null,
  hands: null,
});

/** The strings at the pulls of the record, which their stretch follows. */
const pulled = (strings: { mains: PlannedString; crosses: PlannedString }) => ({
  mains: { ...strings.mains, pullN: record.setup.mainN },
  crosses: { ...strings.crosses, pullN: record.setup.crossN },
});

describe('the record of a job', () => {
  it('survives being written down and read again', () => {
    expect(jobRecordSchema.parse(JSON.parse(JSON.stringify(record)))).toEqual(record);
  });

  it('holds the plan as it was worked out', () => {
    const { pieces } = planCut(bed, pulled({ mains, crosses }), CHOICE, USUAL_ASSUMPTIONS);
    expect(record.plan.pieces.map(({ cutMm }) => cutMm)).toEqual(pieces.map(({ cutMm }) => cutMm));
    expect(record.plan.skips).toEqual({ head: [7, 9], throat: [7, 9] });
    expect(record.plan.knots.map(({ ties, hole, side }) => `${ties} ${hole} ${side}`)).toEqual([
      'main 8H left',
      'main 8H right',
      'cross 6H right',
      'cross 6T left',
    ]);
  });

  it('is enough to draw and plan the job again', () => {
    const again = studyFrame(record.frame).bed as Bed;
    const { pieces } = planCut(again, pulled(record.setup), record.plan, record.plan.assumptions);
    expect(pieces[1]?.cutMm).toBe(record.plan.pieces[1]?.cutMm);
  });

  it('is refused when it is not one', () => {
    expect(jobRecordSchema.safeParse({ ...record, plan: undefined }).success).toBe(false);
    expect(
      jobRecordSchema.safeParse({ ...record, frame: { ...record.frame, sport: 'chess' } }).success,
    ).toBe(false);
  });

  it('a measured stretch goes before the family’s', () => {
    const usual = planCut(
      bed,
      { mains: { ...mains, stretch: null }, crosses },
      CHOICE,
      USUAL_ASSUMPTIONS,
    );
    expect(record.plan.pieces[0]?.cutMm).toBeGreaterThan(usual.pieces[0]?.cutMm ?? Infinity);
  });

  it('knows what was given, and what that teaches when the tails were measured', () => {
    const [first, second] = record.plan.pieces;
    // Half of a 12.2 m set; 82 cm were left of it.
    expect(first?.givenMm).toBe(6100);
    const used = 6100 - 820;
    expect(first && pieceDifference(first)).toBeCloseTo(
      used - ((first?.rawCutMm ?? 0) - (first?.leftMm ?? 0)),
      9,
    );
    expect(second && pieceDifference(second)).toBeUndefined();
  });
});

describe('what happened at the bench', () => {
  const plan = benchPlan();
  const sequence = sequenceFor(plan);
  const { steps } = sequence;
  const plans = new Map([[planKey(steps), keptPlanOf(steps, plan.tension)]]);
  const pull = steps.findIndex(({ kind, string }) => kind === 'pull' && string === 'M1R');
  const event = (seconds: number, done: number, deed: Deed): LoggedDeed => ({
    id: 'i',
    bench: 'b',
    plan: planKey(steps),
    at: new Date(1000 * seconds).toISOString(),
    done,
    deed,
  });

  it('goes on record: time, pulls beside what was asked, notes and mishaps with their step', () => {
    const log = benchLog([
      event(0, 0, { kind: 'open' }),
      ...steps.slice(0, pull).map((_, i) => event(30 * (i + 1), i + 1, { kind: 'step' })),
      event(30 * pull + 20, pull + 1, { kind: 'step', pulledN: 229 }),
      event(30 * pull + 30, pull + 1, { kind: 'note', text: 'grommet worn' }),
      event(30 * pull + 30, pull + 1, {
        kind: 'mishap',
        mishap: 'clamp slipped',
        string: 'M1R',
        way: 'Pull M1R again',
      }),
    ]);
    const bench = recordBench(sequence, log, plans, 'tennis', 'practised');
    expect(bench?.minutes).toBe(Math.round((30 * pull + 30) / 60));
    expect(bench?.pulls).toEqual([{ string: 'M1R', askedN: steps[pull]?.pullN, pulledN: 229 }]);
    expect(bench?.notes).toEqual([
      { step: english(steps[pull + 1]?.words ?? []), text: 'grommet worn' },
    ]);
    expect(bench?.mishaps).toEqual([
      {
        step: english(steps[pull + 1]?.words ?? []),
        what: 'A clamp slipped: M1R',
        way: 'Pull M1R again',
      },
    ]);
    expect(bench?.timed.map(({ group }) => group)).toEqual(['before', 'mains']);
    expect(jobRecordSchema.parse({ ...record, bench }).bench).toEqual(bench);
  });

  it('lists no pull that nobody made, however far one event says that the bench is', () => {
    const forged = benchLog([
      event(0, 0, { kind: 'open' }),
      event(1, 1, { kind: 'step' }),
      event(2, steps.length, { kind: 'step', pulledN: 230 }),
    ]);
    const bench = recordBench(sequence, forged, plans, 'tennis', 'practised');
    expect(bench?.pulls).toEqual([]);
    expect(bench?.steps).toEqual({ kept: 1, of: steps.length });
    const elsewhere = steps.map((_, i) => ({
      ...event(30 * i, i + 1, { kind: 'step' }),
      plan: 'deadbeef',
    }));
    const counted = recordBench(sequence, benchLog(elsewhere), plans, 'tennis', 'practised');
    expect(counted).toMatchObject({ pulls: [], steps: { kept: 0, of: steps.length } });
  });

  it('has nothing to keep when the bench view was not used', () => {
    expect(recordBench(sequence, benchLog([]), plans, 'tennis', 'practised')).toBeNull();
  });

  it('changed in the middle of the job, each string keeps the figure that it was pulled at', () => {
    // 23/21 at first; twelve crosses in, the ticket says 23/20.
    const first = benchPlan(FRAME, 'two-piece', { tension: ticketOf(23, 21, 'kg') });
    const then = benchPlan(FRAME, 'two-piece', { tension: ticketOf(23, 20, 'kg') });
    const [before, now] = [sequenceFor(first), sequenceFor(then)];
    const done =
      1 + before.steps.findIndex(({ kind, string }) => kind === 'pull' && string === 'C12');
    const both = new Map([
      [planKey(before.steps), keptPlanOf(before.steps, first.tension)],
      [planKey(now.steps), keptPlanOf(now.steps, then.tension)],
    ]);
    const steps = (of: typeof before, from: number, to: number) =>
      of.steps.slice(from, to).map((_, i) => ({
        ...event(30 * (from + i), from + i + 1, { kind: 'step' }),
        plan: planKey(of.steps),
      }));
    const chose = (deed: Deed, at: number) => ({
      ...event(30 * done, at, deed),
      plan: planKey(now.steps),
    });
    const change = planChange(
      both.get(planKey(before.steps)),
      keptPlanOf(now.steps, then.tension),
      done,
    );
    const firstCross = now.steps.findIndex(({ actions }) =>
      actions.some((each) => each.do === 'pull' && each.string.startsWith('C')),
    );
    expect(change).toMatchObject({ is: 'figures', from: firstCross });
    const order = now.path.order;

    // Gone on with both figures.
    const onWithBoth = benchLog([
      ...steps(before, 0, done),
      chose({ kind: 'plan', chose: 'both' }, done),
      ...steps(now, done, now.steps.length),
    ]);
    const bench = recordBench(now, onWithBoth, both, 'tennis', 'practised');
    expect(bench?.steps).toEqual({ kept: now.steps.length, of: now.steps.length });
    expect(bench?.pulls).toHaveLength(order.length);
    const pulled = (string: string) =>
      (bench?.pulls.find((each) => each.string === string)?.askedN ?? NaN) / newtons(1, 'kg');
    expect(pulled('C12')).toBeCloseTo(21, 6);
    expect(pulled('C13')).toBeCloseTo(20, 6);
    const strung = asStrung(order, keptPulls(onWithBoth, both), then.tension);
    expect(strung?.words).toBe('23/21 kg, crosses from C13 on 20');
    expect(strung?.mains).toEqual([{ from: 'M1L', n: then.tension.mainN }]);
    expect((strung?.crossN ?? 0) / newtons(1, 'kg')).toBeCloseTo((12 * 21 + 7 * 20) / 19, 6);
    expect(strungWords({ setup: then.tension, strung }, 'lb')).toBe(
      '50.7/46.3 lb, crosses from C13 on 44.1',
    );

    // The crosses pulled again from the first one.
    const again = benchLog([
      ...steps(before, 0, done),
      chose({ kind: 'plan', chose: 'again' }, firstCross),
      ...steps(now, firstCross, now.steps.length),
    ]);
    expect(recordBench(now, again, both, 'tennis', 'practised')?.steps?.kept).toBe(
      now.steps.length,
    );
    expect(asStrung(order, keptPulls(again, both), then.tension)).toBeNull();

    // Changed before a cross was in, nothing is asked.
    expect(
      planChange(both.get(planKey(before.steps)), keptPlanOf(now.steps, then.tension), firstCross),
    ).toEqual({ is: 'ahead only' });
  });
});
