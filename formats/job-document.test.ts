import { describe, expect, it } from 'vitest';
import { recordOf } from '@/core/testing/records';
import { jobDocument, jobReport, planAnew, readJobDocument } from './job-document';

const document = jobDocument(12, new Date('2026-02-03T17:00:00Z'), recordOf());

describe('a job as a document', () => {
  it('comes back as it was written', () => {
    expect(readJobDocument(JSON.stringify(document))).toEqual({ ok: true, value: document });
  });

  it('is planned anew to the same lengths and knots', () => {
    const job = planAnew(document);
    if (!job.ok) throw new Error(job.problem);
    const report = jobReport(document, job.value);
    for (const { cutMm, recordedCutMm } of report.pieces)
      expect(cutMm).toBeCloseTo(recordedCutMm ?? 0, 6);
    expect(report.knots).toEqual(
      document.record.plan.knots.map(({ ties, hole, side }) => ({ ties, hole, side })),
    );
    // 16 mains and 19 crosses, each pulled.
    expect(report.pulls.length).toBeGreaterThanOrEqual(19 + 8);
  });

  it('says what is wrong with another one', () => {
    expect(readJobDocument('{')).toMatchObject({ ok: false });
    expect(readJobDocument('{"format":"orthotens-job/9"}')).toMatchObject({
      problem: expect.stringContaining('format') as string,
    });
    const broken = { ...document, record: { ...document.record, frame: {} } };
    expect(readJobDocument(JSON.stringify(broken))).toMatchObject({
      problem: expect.stringContaining('record.frame') as string,
    });
  });
});
