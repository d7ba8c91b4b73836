import { describe, expect, it } from 'vitest';
import { goesByWordsAlone, jobListAddress, jobListIn, pressColumn } from './job-list';

describe('the list of jobs in an address', () => {
  it('goes there and back', () => {
    const list = jobListIn({ sport: 'squash', string: 'Lull & Co', order: 'price', page: '3' });
    const address = jobListAddress(list, { page: 3 });
    expect(jobListIn(Object.fromEntries(new URL(address, 'http://x').searchParams))).toEqual(list);
  });

  it('leaves out what no list has', () => {
    expect(
      jobListIn({ sport: 'chess', order: 'luck', page: '-1', from: 'soon', state: ['not paid'] }),
    ).toEqual({ ...jobListIn({}), state: 'not paid' });
    expect(jobListAddress(jobListIn({}))).toBe('/jobs');
  });

  it('begins at the first page when it is asked for anew', () => {
    expect(jobListAddress(jobListIn({ page: '7' }), { by: 'Orrin' })).toBe('/jobs?by=Orrin');
  });

  it('turns round at a second press on a column', () => {
    const first = { ...jobListIn({}), ...pressColumn(jobListIn({}), 'client') };
    expect(first).toMatchObject({ order: 'client', down: 'no' });
    expect(pressColumn(first, 'client').down).toBe('yes');
    expect(pressColumn(first, 'price').down).toBe('yes');
  });

  it('goes by its words alone until anything else narrows or orders it', () => {
    expect(goesByWordsAlone(jobListIn({ find: 'keel', page: '9' }))).toBe(true);
    expect(goesByWordsAlone(jobListIn({}))).toBe(false);
    for (const also of [
      { sport: 'squash' },
      { string: 'Lull' },
      { frame: 'Heron' },
      { machine: 'The one' },
      { by: 'Orrin' },
      { from: '2026-01-01' },
      { to: '2026-01-01' },
      { least: '10' },
      { most: '10' },
      { state: 'not paid' },
      { order: 'price' },
      { down: 'no' },
    ])
      expect(goesByWordsAlone(jobListIn({ find: 'keel', ...also }))).toBe(false);
  });
});
