import { expect, it } from 'vitest';
import type { BackupState } from './daily';
import { backupWords } from './words';

const now = new Date('2026-11-25T12:00:00Z');
const state = (hours: number | null, more: Partial<BackupState> = {}): BackupState => ({
  proven:
    hours === null
      ? null
      : { file: 'x', made: new Date(now.getTime() - hours * 3_600_000).toISOString() },
  failure: null,
  second: null,
  secondFailure: null,
  ...more,
});

it('says how old the last proven backup is, and warns after two days', () => {
  expect(backupWords(state(5), now)).toMatchObject({
    words: '5 hours old, proven',
    overdue: false,
  });
  expect(backupWords(state(47), now).overdue).toBe(false);
  expect(backupWords(state(49), now)).toMatchObject({ words: '2 days old, proven', overdue: true });
  expect(backupWords(state(null), now)).toMatchObject({ overdue: true });
  expect(backupWords(state(-24 * 400), now)).toMatchObject({
    words: 'Proven, and dated 1 year from now: a clock was wrong',
    overdue: true,
  });
  expect(backupWords(state(null, { failure: 'No room.' }), now)).toMatchObject({
    overdue: true,
    note: expect.stringContaining('No room.'),
  });
});

it('says where else it goes, and that it could not', () => {
  expect(backupWords(state(5, { second: '/stick' }), now).note).toBe('Also in /stick');
  expect(backupWords(state(5, { second: '/stick', secondFailure: 'ENOSPC' }), now).note).toContain(
    'The copy to /stick failed: ENOSPC',
  );
});
