import { expect, test } from '@playwright/test';
import {
  header,
  kept,
  lookOnTheWay,
  OwnServer,
  recordedPulls,
  spaceTo,
  step,
  toBench,
  words,
} from './at-the-bench';
import { awake, fact, handOver, own, sentence } from './bench';
import { readyTicket } from './tickets';

test('a whole two-piece is strung with the space bar alone, and reloaded all along', async ({
  page,
}) => {
  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '52/50 lb');
  const total = await toBench(page, number);
  await expect(step(page)).toContainText('cracks, sunken or split grommets');
  await expect(step(page)).toContainText('Never mount a cracked frame');
  let knots = 0;
  for (let i = 0; i < total; i++) {
    if ((await words(page)).startsWith('Tie the tail')) knots++;
    await lookOnTheWay(page);
    await page.keyboard.press('Space');
    await expect(header(page)).toContainText(`${i + 1} of ${total}`);
    await kept(page);
    // Before, at and after each kind of step: three and the number of steps of a pull have no common measure.
    if (i % 3 > 0) continue;
    await page.reload();
    await expect(page.getByRole('button', { name: '. pause' })).toBeEnabled();
    await expect(header(page)).toContainText(`${i + 1} of ${total}`);
  }
  // Practice: a two-piece job has four knots.
  expect(knots).toBe(4);
  await expect(page.getByText('Strung to the last knot.')).toBeVisible();
  await expect(page.getByLabel('Mains in: 8 left, 8 right')).toBeVisible();
  // The one button goes on to where the job ends.
  await page.keyboard.press('Space');
  await page.waitForURL(/\/hand-over$/);
  await page.goto(`/tickets/${number}/pull`);
  await expect(page.getByText(`${total} are done`)).toBeVisible();
  const pulls = await recordedPulls(page, number);
  // Source: common practice (52 lb is tied at 57; 50 and 10 % are 55): four knots, 16 mains, 19 crosses.
  const at = (asked: string) => [...pulls.values()].filter((each) => each === asked).length;
  expect([at('52 lb'), at('57 lb'), at('50 lb'), at('55 lb')]).toEqual([14, 2, 17, 2]);
  expect(pulls.get('M8L')).toBe('57 lb');
});

test('the bench goes on without a connection, takes back, and no other key does harm', async ({
  page,
  context,
}) => {
  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '52/50 lb');
  const total = await toBench(page, number);
  await spaceTo(page, 0, 5);
  await expect(step(page)).toContainText('Pull M1R');
  await expect(step(page)).toContainText('52');
  await page.keyboard.press('ArrowLeft');
  await expect(step(page)).toContainText('starting clamp outside on M1L');
  for (const key of ['x', 'Enter', 'Backspace', 'PageDown', '7']) await page.keyboard.press(key);
  await expect(header(page)).toContainText(`4 of ${total}`);
  await kept(page);

  await context.setOffline(true);
  await spaceTo(page, 4, 10);
  await expect(page.getByRole('status')).toContainText('wait for the server');
  await context.setOffline(false);
  await kept(page);
  await page.reload();
  await expect(header(page)).toContainText(`10 of ${total}`);
});

// Source: common practice (badminton at 24/26 lb, 22 × 21; the last pull before a knot 10 % higher).
test('a badminton job is strung with the space bar while its server dies and comes back', async ({
  page,
}) => {
  const server = await OwnServer.open();
  try {
    const number = await readyTicket('Wexquay Wisp 4', 'Wexquay Thrum', '24/26 lb');
    const total = await toBench(page, number, server.origin);
    await spaceTo(page, 0, 20);
    await kept(page);
    await server.kill();
    await spaceTo(page, 20, 26);
    await expect(page.getByRole('status')).toContainText('wait for the server');
    await server.start();
    await kept(page);
    await page.reload();
    await expect(page.getByRole('button', { name: '. pause' })).toBeEnabled();
    await expect(header(page)).toContainText(`26 of ${total}`);
    await spaceTo(page, 26, total);
    await kept(page);
    const pulls = await recordedPulls(page, number);
    expect(pulls.size).toBe(43);
    const knots = (await fact(page, 'Knots').innerText()).match(/main|cross/g) ?? [];
    const mains = knots.filter((each) => each === 'main').length;
    const crosses = knots.length - mains;
    const counts = (asked: string) => [...pulls.values()].filter((each) => each === asked).length;
    expect(knots.length).toBeGreaterThan(0);
    // 24 and 10 % are 26.4, which a ticket writes 26; 26 and 10 % are 28.6, written 29.
    expect([counts('24 lb'), counts('26 lb'), counts('29 lb')]).toEqual([
      22 - mains,
      21 - crosses + mains,
      crosses,
    ]);
  } finally {
    await server.kill();
  }
});

test('a string breaks at the fifth main: it is cut out, another length is taken off the shelf, and all of it is on record', async ({
  page,
  context,
}) => {
  const reel = own('reel');
  await page.goto('/shelf');
  await awake(page);
  await page
    .getByRole('combobox', { name: 'String' })
    .selectOption({ label: 'Threllan Lull 1.25' });
  await page.getByRole('radio', { name: 'reel' }).click();
  // As the library has it.
  await expect(page.getByLabel('Length of each (m)')).toHaveValue(/^\d{3}$/);
  await page.getByLabel('Where it lies').fill(reel);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('It lies on the shelf.')).toBeVisible();
  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '52/50 lb');
  await toBench(page, number);
  let done = 0;
  while ((await words(page)) !== 'Pull M5R') await spaceTo(page, done, ++done);

  await page.keyboard.press('.');
  await expect(page.getByText('Paused', { exact: true })).toBeVisible();
  await page.keyboard.press('Space');
  await page.keyboard.press('n');
  await page.keyboard.press('Enter');
  await expect(sentence(page, 'Write what you saw')).toBeVisible();
  await page.getByRole('textbox', { name: 'Note' }).fill('grommet 5H is worn');
  await page.keyboard.press('Enter');
  await expect(header(page)).toContainText(`${done} of`);

  // Another window on the same job follows, and each is told of the other.
  const other = await context.newPage();
  await toBench(other, number);
  await expect(other.getByText('Another bench is at work')).toBeVisible();
  await expect(page.getByText('Another bench is at work')).toBeVisible();
  await expect(header(other)).toContainText(`${done} of`);

  await page.bringToFront();
  await page.keyboard.press('r');
  await page.keyboard.press('1');
  await expect(page.getByLabel('Which string?')).toHaveValue('M5R');
  await page.keyboard.press('1');
  // Practice: what is lost is not let down string by string, it is cut out from the middle.
  const out = step(page).getByRole('listitem').filter({ hasText: 'from the centre' });
  await expect(out).toBeVisible();
  await expect(step(page)).not.toContainText('Take the tail of M4R');
  await expect(step(page).getByText('It may take longer than promised')).toBeVisible();
  await expect(header(page)).toContainText('4 of');
  await page.reload();
  await expect(out).toBeVisible();
  await expect(header(other)).toContainText('4 of');
  await other.close();
  await expect(page.getByRole('button', { name: '. pause' })).toBeEnabled();
  await page.keyboard.press('Space');
  await expect(step(page)).toContainText('starting clamp outside on M1L');
  await kept(page);

  await page.goto('/shelf');
  const cuts = page
    .getByRole('region', { name: 'Movements' })
    .getByRole('row')
    .filter({ hasText: `ticket ${number}` });
  await expect(cuts).toHaveCount(3);
  const again = cuts.filter({ hasText: 'mains again: string broke, M5R' });
  const first = cuts.filter({ hasText: /cut, mains,/ });
  const metres = async (row: typeof again) =>
    (await row.getByRole('cell').nth(3).innerText()).trim();
  expect(await metres(again)).toBe(await metres(first));
  const planned = page.getByRole('region', { name: 'Cut from what' });
  await expect(planned.getByRole('link', { name: String(number), exact: true })).toHaveCount(0);
  await page.goto(`/tickets/${number}/hand-over`);
  await expect(page.getByText(/Without .* for what broke at the bench \(mains\)/)).toBeVisible();
  await handOver(page);
  await page.goto('/shelf');
  // What was cut at the bench is not cut again.
  await expect(cuts).toHaveCount(3);
  await page.goto(`/jobs/${number}`);
  const bench = fact(page, 'At the bench');
  await expect(bench).toContainText('The string broke: M5R');
  await expect(bench).toContainText('Begin the mains again with a new length');
  await expect(bench).toContainText('grommet 5H is worn');
});

// Source: common practice (a ticket changed at the counter while its crosses go in).
test('changed in the middle of a job, the bench asks what becomes of what is in, and the record says it', async ({
  page,
}) => {
  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '23/21 kg');
  const total = await toBench(page, number);
  const inHand = step(page)
    .locator('p')
    .first()
    .filter({ hasText: /C8(?=\d{1,2}[HT])/ });
  let done = 0;
  for (; done < total && (await inHand.count()) === 0; done++) await spaceTo(page, done, done + 1);
  await spaceTo(page, done, ++done);
  await kept(page);
  const setTo = async (tension: string) => {
    await page.goto(`/tickets/${number}/setup`);
    await awake(page);
    await page.getByLabel('Tension, mains/crosses').fill(tension);
    await page.getByRole('button', { name: 'Save and go to the cut' }).click();
    await page.waitForURL(/\/cut$/);
    await page.goto(`/bench/${number}`);
  };
  await setTo('23/20 kg');
  const asked = page.getByRole('region', { name: 'The ticket was changed' });
  await expect(asked).toContainText(`${done} steps were done at 23/21 kg`);
  // Nothing goes on before it is answered.
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowLeft');
  await expect(header(page)).toContainText(`${done} of ${total}`);
  // Back to what it was, on the ticket too.
  await asked.getByRole('button', { name: /Go back to 23\/21 kg on the ticket/ }).click();
  await expect(asked).toHaveCount(0);
  await page.goto(`/tickets/${number}/hand-over`);
  await expect(fact(page, 'Tension')).toContainText('23/21 kg');

  await setTo('23/20 kg');
  await asked.getByRole('button', { name: /^2 *Pull again what is in/ }).click();
  await expect(step(page).getByRole('listitem').first()).toContainText('C8');
  await page.keyboard.press('Escape');
  await asked.getByRole('button', { name: /^1 *Go on with both/ }).click();
  await expect(asked).toHaveCount(0);
  await spaceTo(page, done, total);
  await kept(page);
  await page.goto(`/tickets/${number}/hand-over`);
  await expect(page.getByText('were kept at the bench')).toHaveCount(0);
  await expect(fact(page, 'Tension')).toContainText('23/21 kg, crosses from C9 on 20');
  await handOver(page);
  await expect(fact(page, 'Tension')).toContainText('23/21 kg, crosses from C9 on 20');
  const bench = fact(page, 'At the bench');
  await bench.getByText('Every pull').click();
  await expect(bench.getByRole('row', { name: /^C8 / })).toContainText('21 kg');
  await expect(bench.getByRole('row', { name: /^C9 / })).toContainText('20 kg');
  await page.goto(`/papers/${number}/slip`);
  await expect(page.getByText('crosses from C9 on 20')).toBeVisible();
  await page.goto(`/papers/${number}/letter`);
  await expect(page.getByText(/at 23\/21 kg \(50\.7\/46\.3 lb\)/)).toBeVisible();
  await expect(page.getByText('23/20')).toHaveCount(0);
  await page.goto(`/jobs?find=${number}`);
  await expect(page.getByText('23/21 kg, crosses from C9 on 20')).toBeVisible();
});

test('the ticket tells what awaits at the bench, step by step', async ({ page }) => {
  await page.goto('/tickets/401/pull');
  await awake(page);
  await expect(page.getByText('One side ahead by at most')).toBeVisible();
  await page.getByText('Every step in its order').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Weave C8; pull C7' })).toBeVisible();
  await expect(page.getByRole('link', { name: /bench/ })).toBeVisible();
});

test('what is no deed of a bench is refused, and nothing of it is kept', async ({ request }) => {
  const post = (data: string, type: string) =>
    request.post('/bench/402/deeds', { data, headers: { 'content-type': type } });
  const logged = {
    id: '7c5f6a0e-4a52-4c8e-9f0e-4d6c2b1a0f11',
    bench: '7c5f6a0e-4a52-4c8e-9f0e-4d6c2b1a0f12',
    plan: '0badcafe',
    at: '2026-11-25T10:00:00.000Z',
    done: 3,
    deed: { kind: 'step' },
  };
  const page = await (await request.get('/bench/401')).text();
  const madeFor = /workshopId\\?":\\?"([0-9a-f-]{36})/.exec(page)?.[1];
  expect(madeFor).toBeDefined();
  const sound = JSON.stringify({ madeFor, known: 0, deeds: [logged] });
  expect((await post(sound, 'text/plain')).status()).toBe(415);
  expect((await post('{"known":', 'application/json')).status()).toBe(400);
  expect(
    (await request.post('/bench/99999/deeds', { data: { madeFor, known: 0, deeds: [] } })).status(),
  ).toBe(404);
  const answer = await request.post('/bench/402/deeds', {
    data: { madeFor, known: 7, deeds: [logged, { ...logged, done: -1 }, { ...logged, done: 900 }] },
  });
  const { setAside, ...rest } = (await answer.json()) as { setAside: { at: number }[] };
  expect(rest).toEqual({ closed: false, deeds: [] });
  expect(setAside.map(({ at }) => at)).toEqual([0, 1, 2]);
  const elsewhere = await request.post('/bench/402/deeds', {
    data: { madeFor: logged.id, known: 0, deeds: [] },
  });
  expect(elsewhere.status()).toBe(409);
});

test('practice asks, marks with the reason, and lists the mistakes', async ({ page }) => {
  await page.goto('/practice');
  await page.getByRole('link', { name: 'Ostrevan Heron 100' }).click();
  await page.waitForURL(/\/practice\/.+/);
  await expect(page.getByRole('button', { name: 'Begin anew' })).toBeEnabled();
  const ticket = Number(/(\d+(?:\.\d)?)\/[\d.]+ kg/.exec(await header(page).innerText())?.[1]);
  const total = Number(/of (\d+)\n/.exec(await header(page).innerText())?.[1]);
  const wrong: string[] = [];
  let right = 0;
  for (let i = 0; i < total; i++) {
    const ask = await step(page).locator('p').first().innerText();
    if (ask.endsWith('?')) {
      const main = /^What is M[2-7][LR] pulled at/.test(ask);
      // Practice: mains at the first figure of the ticket.
      const answer = main
        ? page.getByRole('button', { name: new RegExp(`\\d ?${ticket} kg$`) })
        : page.getByRole('listitem').first().getByRole('button');
      await answer.click();
      const mark = await step(page).getByRole('status').innerText();
      if (main) expect(mark).toContain(`Right: ${ticket} kg`);
      if (mark.startsWith('Right')) right++;
      else wrong.push(/Not (.+?): /.exec(mark)?.[1] ?? '');
      await expect(header(page)).toContainText(`${right} of ${right + wrong.length} right`);
    }
    if (i === 12) {
      await page.reload();
      await expect(page.getByRole('button', { name: 'Begin anew' })).toBeEnabled();
    }
    await page.keyboard.press('Space');
    await expect(header(page)).toContainText(`${i + 1} of ${total}`);
  }
  expect(wrong.length).toBeGreaterThan(0);
  const mistakes = page.getByRole('list', { name: 'Mistakes' }).getByRole('listitem');
  await expect(mistakes).toHaveCount(wrong.length);
  await expect(mistakes.first()).toContainText(wrong[0] ?? '');
});
