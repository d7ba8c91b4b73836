import { expect, test, type Page } from '@playwright/test';
import { header, spaceTo, step, toBench, tooSmall } from './at-the-bench';
import { awake, cutAndHandOver, fact, own, pick, sentence, setUp } from './bench';
import { openFrame, readyTicket, ticketOn } from './tickets';

/** How far a page is wider than the screen, px. */
const tooWide = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);

test('the palette waits for the answer to what stands in it, and says when there is none', async ({
  page,
}) => {
  await page.goto('/');
  await awake(page);
  // A slow server: the answer comes long after the Enter.
  await page.route('**/*', async (route) => {
    if (route.request().method() === 'POST') await new Promise((later) => setTimeout(later, 900));
    await route.continue();
  });
  await page.keyboard.press('Control+k');
  await page.keyboard.type('390');
  await page.keyboard.press('Enter');
  await page.waitForURL('/jobs/390');
  await expect(page).toHaveTitle(/^Job 390, /);

  await page.unrouteAll({ behavior: 'wait' });
  await page.route('**/*', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.keyboard.press('Control+k');
  await page.keyboard.type('brackw');
  await expect(page.getByRole('dialog')).toContainText('does not answer');
});

test('a client taken in twice: merged, the racket moves, and undone again', async ({ page }) => {
  const first = await openFrame(page, 'Ostrevan Heron 100');
  const kept = own('Kept One');
  await page.goto('/clients/new');
  await page.getByLabel('Name').fill(kept);
  await page.getByRole('button', { name: 'Keep this client' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  await expect(page).toHaveTitle(new RegExp(kept));

  await page.goto('/clients?find=' + encodeURIComponent(first.client));
  await page.getByRole('link', { name: first.client }).click();
  await page.getByText('The same person as another client').click();
  await page.getByLabel('The one to keep').fill(kept);
  await pick(page.getByRole('option', { name: kept }));
  await page.getByRole('button', { name: 'Merge the two' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(kept);
  await expect(page.getByRole('link', { name: 'Ostrevan Heron 100' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(`${first.client} is a client of their own again.`)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Ostrevan Heron 100' })).toHaveCount(0);

  // The racket is on the bench already: it is not taken in twice, and its ticket is one press away.
  await page.goto('/take-in');
  await page.getByLabel('Client').fill(first.client);
  await pick(page.getByRole('option', { name: new RegExp(`^${first.client}`) }));
  await expect(page.getByText(`This racket is on ticket ${first.number} already.`)).toBeVisible();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(
    sentence(page, `on ticket ${first.number} already, so it was not taken in twice`),
  ).toBeVisible();
});

test('a racket that is given away leaves its job and what is owed for it with who had it; merged clients part on their page', async ({
  page,
}) => {
  const { client, number } = await openFrame(page, 'Ostrevan Heron 100');
  await page.getByRole('link', { name: 'The holes are right' }).click();
  await setUp(page, 'Cordwane Drift', '23');
  await cutAndHandOver(page);
  const buyer = own('Second Hand');
  await page.goto('/clients/new');
  await page.getByLabel('Name').fill(buyer);
  await page.getByRole('button', { name: 'Keep this client' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  const buyers = page.url();

  await page.goto(`/clients?find=${encodeURIComponent(client)}`);
  await page.getByRole('link', { name: client }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  const sellers = page.url();
  await page.getByRole('link', { name: 'Ostrevan Heron 100' }).first().click();
  await page.getByText('It belongs to somebody else now').click();
  await page.getByLabel('Its new owner').fill(buyer);
  await pick(page.getByRole('option', { name: buyer }));
  await page.getByRole('button', { name: 'Give it over' }).click();
  await expect(page.getByText(`It is ${buyer}’s racket now.`)).toBeVisible();

  await page.goto(sellers);
  await expect(page.getByText('No racket yet.')).toBeVisible();
  await expect(page.getByRole('link', { name: `job ${number}, €27.50` })).toBeVisible();
  await page.goto(buyers);
  await expect(page.getByRole('link', { name: 'Ostrevan Heron 100' })).toBeVisible();
  await expect(page.getByText('Still owed')).toHaveCount(0);
  await page.goto(`/jobs/${number}`);
  await expect(page.getByRole('link', { name: 'mark it under the client' })).toHaveAttribute(
    'href',
    new URL(sellers).pathname,
  );

  await page.goto(sellers);
  await page.getByText('The same person as another client').click();
  await page.getByLabel('The one to keep').fill(buyer);
  await pick(page.getByRole('option', { name: buyer }));
  await page.getByRole('button', { name: 'Merge the two' }).click();
  await page.waitForURL(buyers);
  await expect(page.getByText('Still owed')).toBeVisible();
  await page.goto(sellers);
  await expect(page.getByText(`This is the same person as ${buyer}`)).toBeVisible();
  await page.getByRole('button', { name: 'Part the two again' }).click();
  await expect(page.getByRole('link', { name: `job ${number}, €27.50` })).toBeVisible();
});

test('single keys act where nothing else takes keys, and can be turned off', async ({ page }) => {
  await page.goto('/');
  await awake(page);
  // The Find button has the focus: a letter is not a command there.
  await page.getByRole('button', { name: /^Find/ }).focus();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('?');
  await page.getByRole('dialog').getByRole('checkbox').click();
  await page.keyboard.press('Escape');
  await page.reload();
  await awake(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the bench keeps its figure and its one button in reach on every screen', async ({ page }) => {
  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '52/50 lb');
  await toBench(page, number);
  for (const [width, height] of [
    [1280, 800],
    [1024, 600],
    [768, 1024],
    [390, 780],
    [320, 640],
    [640, 400],
  ] as const) {
    await page.setViewportSize({ width, height });
    const button = page.getByRole('button', { name: /^Pulled|^Done|^Next|^space/i }).first();
    await expect(button).toBeInViewport({ ratio: 1 });
    expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(44);
    expect(await tooSmall(page), `${width}×${height}`).toEqual([]);
    await expect(step(page).locator('p').first()).toBeInViewport({ ratio: 0.9 });
    expect(await tooWide(page), `${width}×${height}`).toBeLessThanOrEqual(0);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  // Space on a button that has the focus is that button's, and not a step.
  await page.getByRole('button', { name: '. pause' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Paused', { exact: true })).toBeVisible();
  await expect(header(page)).toContainText('0 of');
  await page.keyboard.press('Space');
  await page.getByText('Paused', { exact: true }).waitFor({ state: 'detached' });
  // A press with a finger gives the keys back to the steps.
  await page.getByRole('button', { name: 'Low light' }).click();
  await spaceTo(page, 0, 2);
  await expect(page.getByRole('button', { name: 'Daylight' })).toBeVisible();
});

test('a form that shows what is kept has nothing to press until something is changed', async ({
  page,
}) => {
  await page.goto('/rackets?find=Brackwether');
  await page.getByRole('link', { name: 'Ostrevan Heron 100' }).first().click();
  await awake(page);
  const save = page.getByRole('button', { name: 'Save the racket' });
  await expect(save).toHaveAttribute('aria-disabled', 'true');
  const mark = page.getByLabel('Serial or bench mark');
  const before = await mark.inputValue();
  await mark.fill(`${before} x`);
  await expect(save).toHaveAttribute('aria-disabled', 'false');
  await mark.fill(before);
  await expect(page.getByText('Nothing is changed yet.')).toBeVisible();
});

test('Today, a racket and the stations fit a phone without a sideways scroll', async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 640 });
  for (const path of ['/', '/rackets', '/clients', '/take-in', '/tickets/401/frame', '/jobs/390']) {
    await page.goto(path);
    await awake(page);
    expect(await tooWide(page), path).toBeLessThanOrEqual(0);
  }
  await page.goto('/rackets?find=Brackwether');
  await page.getByRole('link', { name: 'Ostrevan Heron 100' }).first().click();
  await awake(page);
  expect(await tooWide(page)).toBeLessThanOrEqual(0);
});

test('a ticket is withdrawn with its reason and taken up again; a record is corrected beside what stands there', async ({
  page,
}) => {
  const { number } = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${number}/take-in`);
  await page.getByText('Withdraw this ticket').click();
  await page.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(page.getByText('Write why in a few words')).toBeVisible();
  await page.getByLabel('Why', { exact: true }).fill('they bought another one');
  await page.getByRole('button', { name: 'Withdraw it' }).dblclick();
  await expect(page.getByText('Withdrawn on')).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: String(number), exact: true })).toHaveCount(0);
  await page.goto(`/tickets/${number}/setup`);
  await expect(page.getByLabel('Tension, mains/crosses')).toHaveCount(0);
  await page.goto('/jobs/withdrawn');
  await expect(page.getByRole('row').filter({ hasText: String(number) })).toContainText(
    'they bought another one',
  );
  await page.getByRole('link', { name: String(number), exact: true }).click();
  await page.getByRole('button', { name: 'Take it up again' }).click();
  await expect(page.getByText('Withdrawn on')).toHaveCount(0);
  await page.goto(`/tickets/${number}/setup`);
  await setUp(page, 'Threllan Lull', '52/50 lb');
  await cutAndHandOver(page);
  await page.getByText('Something in it is wrong').click();
  await page.getByRole('button', { name: 'Add it to the record' }).click();
  await expect(page.getByText('Write what was found wrong')).toBeVisible();
  await page
    .getByLabel('What was found wrong, and what is right')
    .fill('The crosses were pulled at 49.');
  await page.getByRole('button', { name: 'Add it to the record' }).click();
  const corrected = fact(page, 'Corrected');
  await expect(corrected).toContainText('The crosses were pulled at 49.');
  await expect(corrected).toContainText('Hesper Quillmere');
  await expect(fact(page, 'Tension')).toContainText('52/50 lb');
});
