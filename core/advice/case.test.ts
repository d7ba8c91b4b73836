import { describe, expect, it } from 'vitest';
import { USUAL_HOUSE } from '../house/house-rules';
import { SILENT } from './talk';
import { ticketOf, lastJob } from '../testing/advice-case';
import { bedOf } from '../testing/frame-spec';
import { caseOf } from './case';
import { lastJobOf } from '../record/last-job';

const bed = bedOf();
const facts = { bed, talk: SILENT, house: USUAL_HOUSE, record: undefined };

describe('what advice is given on', () => {
  it('has no last job when nobody knows of one', () => {
    expect(caseOf(facts).last).toBeUndefined();
    expect(caseOf(facts).areaMm2).toBe(bed.areaMm2);
  });

  it('takes the client’s word where there is no record, and the record where there is one', () => {
    const before = ticketOf(23, 22, 'kg');
    const talk = { ...SILENT, before, beforePull: 'lock-out' as const };
    expect(caseOf({ ...facts, talk }).last).toEqual({
      strung: null,
      tension: before,
      advised: null,
      pull: 'lock-out',
      talk: null,
    });
    const known = caseOf({ ...facts, talk: { ...talk, beforeFamily: 'monofilament' } }).last;
    expect(known?.strung?.crosses).toEqual({
      family: 'monofilament',
      gaugeMm: 1.25,
      shape: 'round',
    });
    const record = lastJob('natural gut', 25, 25);
    expect(caseOf({ ...facts, talk, record }).last).toBe(record);
  });

  it('reads the record of a job, with what was said then', () => {
    const string = {
      name: 'S',
      family: 'multifilament',
      shape: 'round',
      gaugeMm: 1.3,
      suppliedByClient: false,
      setMm: 12200,
      stretch: null,
    } as const;
    const setup = { mains: string, crosses: string, ...ticketOf(24, 23, 'kg') };
    expect(lastJobOf({ setup, advice: null, strung: null })).toMatchObject({
      pull: null,
      talk: null,
      tension: ticketOf(24, 23, 'kg'),
    });
    const advice = {
      talk: { ...SILENT, arm: 'now' as const },
      house: { ...USUAL_HOUSE, benchPull: 'lock-out' as const },
      advised: { mainN: 1, crossN: 1 },
      steps: [],
      switched: {},
      against: [],
      ownWord: '',
      overPrint: '',
      words: '',
      letter: null,
    };
    expect(lastJobOf({ setup, advice, strung: null })).toMatchObject({
      pull: 'lock-out',
      talk: { arm: 'now' },
    });
  });
});
