import { expect, test } from '@playwright/test';
import { beHostile } from '@/scripts/hostile';
import { targetAt } from '@/scripts/hostile-target';

// The whole of it, some thousands, is `npm run bench -- trial`.
test('hostile requests to every action, route, address and importer are answered, and none fails', async ({
  baseURL,
}) => {
  // The other tests work in the same workshop: only rows of its own are changed.
  const build = process.env.ORTHOTENS_BUILD ?? '.next';
  const target = await targetAt(baseURL ?? '', process.env.ORTHOTENS_OWNER_URL ?? '', build, 'own');
  const { faults, statuses } = await beHostile(target, 300, 20);
  expect(faults).toEqual([]);
  // Some get through the first door, and some are refused at it.
  expect(statuses['200']).toBeGreaterThan(60);
  expect(statuses['400']).toBeGreaterThan(10);
  expect(statuses['404']).toBeGreaterThan(10);
});
