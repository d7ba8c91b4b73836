import { describe, expect, it } from 'vitest';
import type { WallTime } from '@/core/measure/promised-time';
import { newtons } from '@/core/measure/units';
import { NO_STRINGS } from '../tickets/[number]/setup/strings-entry';
import { shortSchema, type ShortEntry } from './short-entry';

const ID = '3f2504e0-4f89-41d3-9a0c-0305e82c3301';
const NOW = '2026-03-02T10:00' as WallTime;
const FRAME = { sport: 'tennis', unit: 'kg' } as const;

const entry = (changes: Partial<ShortEntry> = {}): ShortEntry => ({
  requestKey: ID,
  clientId: ID,
  clientName: 'Ada',
  newClient: false,
  contact: '',
  racketId: ID,
  frameId: '',
  frameLabel: '',
  mark: '',
  promised: '+2d',
  wish: '',
  again: '',
  ...NO_STRINGS,
  mainStringId: ID,
  mainGauge: '1.25',
  tension: '24/23',
  whole: false,
  opensAt: 'bench',
  ...changes,
});

const problems = (typed: ShortEntry, frame: typeof FRAME | undefined = FRAME) =>
  (shortSchema(NOW, frame).safeParse(typed).error?.issues ?? []).map(({ path }) => path.join('.'));

describe('a short ticket', () => {
  it('is read as a counter and a setup would read it', () => {
    const { data } = shortSchema(NOW, FRAME).safeParse(entry());
    expect(data?.counter).toMatchObject({ promised: '2026-03-04T18:00', more: [] });
    expect(data?.strings).toMatchObject({
      mains: { id: ID, gaugeMm: 1.25 },
      tension: { mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' },
    });
  });

  it('says at once what is wrong at the counter and in the strings, each at its own field', () => {
    expect(
      problems(
        entry({ clientId: '', clientName: '', mainGauge: 'x', tension: 'a lot' }),
      ).toSorted(),
    ).toEqual(['clientName', 'mainGauge', 'tension']);
  });

  it('needs a string for the bench and the cut, and none for the stations before them', () => {
    const none = { mainStringId: '', mainGauge: '', tension: '' };
    expect(problems(entry({ ...none }))).toContain('mainStringId');
    expect(problems(entry({ ...none, opensAt: 'cut' }))).toContain('mainStringId');
    for (const opensAt of ['inspect', 'frame', 'setup'] as const)
      expect(problems(entry({ ...none, opensAt }))).toEqual([]);
    // Half a setup is no setup.
    expect(problems(entry({ ...none, tension: '24/23', opensAt: 'setup' }))).toContain(
      'mainStringId',
    );
  });

  it('asks for no string where the frame is not known', () => {
    const { data } = shortSchema(NOW, undefined).safeParse(entry({ mainStringId: '' }));
    expect(data?.strings).toBeUndefined();
  });

  it('opens nowhere else', () => {
    expect(problems({ ...entry(), opensAt: 'elsewhere' as 'bench' })).toContain('opensAt');
    expect(shortSchema(NOW, FRAME).safeParse('a text').success).toBe(false);
  });
});
