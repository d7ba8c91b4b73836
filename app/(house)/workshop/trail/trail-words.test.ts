import { expect, it } from 'vitest';
import { aboutWords, changeWords } from './trail-words';

it('says what a change was about', () => {
  expect(aboutWords({ about: 'tickets', name: 'No. 401', deed: 'changed' })).toBe(
    'ticket No. 401 changed',
  );
  expect(aboutWords({ about: 'machine_checks', name: '2026-11-20', deed: 'removed' })).toBe(
    'check of a machine 2026-11-20 removed',
  );
});

it('says what stood there before and what stands there now, and of ids and documents the name only', () => {
  const id = '3f2504e0-4f89-41d3-9a0c-0305e82c3301';
  expect(
    changeWords({
      changes: {
        main_n: [null, 235.3596],
        wish: ['', 'softer'],
        main_string_id: [null, id],
        spec: null,
        closed_at: [null, '2026-11-26T09:00:00.000Z'],
      },
    }),
  ).toBe(
    'pull of the mains, N: nothing → 235.36 · wish: nothing → softer · string of the mains · what is read from the frame · handed over',
  );
});
