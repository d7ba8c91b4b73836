import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from './bed';
import { USUAL_ASSUMPTIONS } from './lengths';
import { planCut } from './plan';
import { jobRecordSchema, recordJob } from './record';
import { frameSpec } from './testing/frame-spec';
import { newtons } from './units';

const { bed } = studyFrame(
  frameSpec({ head: [7, 9], throat: [7, 9], tieOff: ['8H', '6H', '6T'] }),
) as { bed: Bed };
const mains = {
  name: 'A',
  family: 'monofilament',
  gaugeMm: 1.25,
  suppliedByClient: true,
  setMm: 12_200,
  stretch: 0.03,
} as const;
const crosses = {
  name: 'B',
  family: 'multifilament',
  gaugeMm: 1.3,
  suppliedByClient: false,
  setMm: 12_192,
  stretch: null,
} as const;
const record = recordJob({
  client: 'Ada',
  racket: { frameName: 'Frame', mark: '' },
  bed,
  mains,
  crosses,
  tension: { mainN: newtons(45, 'lb'), crossN: newtons(50, 'lb'), unit: 'lb' },
  crossStart: 'right',
  cutFrom: 'two half sets',
  assumptions: USUAL_ASSUMPTIONS,
  remarks: '',
});

describe('the record of a job', () => {
  it('survives being written down and read again', () => {
    expect(jobRecordSchema.parse(JSON.parse(JSON.stringify(record)))).toEqual(record);
  });

  it('holds the plan as it was worked out', () => {
    const plan = planCut(bed, { mains, crosses }, 'right', USUAL_ASSUMPTIONS);
    expect(record.plan.mains.cutMm).toBe(plan.mains.cutMm);
    expect(record.plan.skips).toEqual({ head: [7, 9], throat: [7, 9] });
    expect(record.plan.knots.map(({ ties, hole, side }) => `${ties} ${hole} ${side}`)).toEqual([
      'mains 8H left',
      'mains 8H right',
      'crosses 6H right',
      'crosses 6T left',
    ]);
  });

  it('is enough to draw and plan the job again', () => {
    const again = studyFrame(record.frame).bed as Bed;
    const plan = planCut(again, record.setup, record.plan.crossStart, record.plan.assumptions);
    expect(plan.crosses.cutMm).toBe(record.plan.crosses.cutMm);
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
      'right',
      USUAL_ASSUMPTIONS,
    );
    expect(record.plan.mains.cutMm).toBeGreaterThan(usual.mains.cutMm);
  });
});
