import { expect, it } from 'vitest';
import { tooManyDeeds } from './deed-limit';

it('lets benches ask as often as they do, and stops who asks ten times as often', async () => {
  // Four benches of one person, each every two seconds, for a minute.
  for (let i = 0; i < 120; i++) expect(await tooManyDeeds('ada', '10.0.0.1')).toBe(false);
  let stopped = 0;
  for (let i = 0; i < 600; i++) if (await tooManyDeeds('ada', '10.0.0.1')) stopped += 1;
  expect(stopped).toBe(120);
  // Nobody else is stopped by it.
  expect(await tooManyDeeds('bo', '10.0.0.1')).toBe(false);
});
