import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from './bed';
import { USUAL_ASSUMPTIONS } from './lengths';
import { planCut } from './plan';
import { jobRecordSchema, pieceDifference, recordJob } from './record';
import { frameSpec } from './testing/frame-spec';
import { newtons } from './units';

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
  client: 'Ada',
  racket: { frameName: 'Frame', mark: '' },
  bed,
  mains,
  crosses,
  tension: { mainN: newtons(45, 'lb'), crossN: newtons(50, 'lb'), unit: 'lb' },
  advice: null,
  choice: CHOICE,
  cutFrom: 'two half sets',
  remnantsMm: [],
  assumptions: USUAL_ASSUMPTIONS,
  learnt: {},
  leftOverMm: [820, null],
  remarks: '',
});

describe('the record of a job', () => {
  it('survives being written down and read again', () => {
    expect(jobRecordSchema.parse(JSON.parse(JSON.stringify(record)))).toEqual(record);
  });

  it('holds the plan as it was worked out', () => {
    const { pieces } = planCut(bed, { mains, crosses }, CHOICE, USUAL_ASSUMPTIONS);
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
    const { pieces } = planCut(again, record.setup, record.plan, record.plan.assumptions);
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
