import { expect, test, type Page } from '@playwright/test';
import { awake, setUp, takeIn } from './bench';

async function toBench(page: Page): Promise<number> {
  const { number } = await takeIn(page, 'Ostrevan Heron 100', true);
  await page.goto(`/tickets/${number}/setup`);
  await setUp(page, 'Threllan Lull', '52/50 lb');
  await page.getByRole('button', { name: 'Save and go to the hand-over' }).click();
  await page.waitForURL(/\/hand-over$/);
  await page.goto(`/tickets/${number}/pull`);
  await page.getByRole('link', { name: 'Go to the bench' }).click();
  await page.waitForURL(/\/bench\/\d+$/);
  await expect(page.getByRole('button', { name: 'Done, go on (space)' })).toBeEnabled();
  return number;
}

test('a whole racket is strung with the space bar alone, through a reload and a lost connection', async ({
  page,
  context,
}) => {
  const number = await toBench(page);
  const step = page.getByRole('region', { name: 'Step' });
  await expect(step).toContainText('cracks, sunken or split grommets');
  await expect(step).toContainText('Never mount a cracked frame');
  const total = Number(/of (\d+)/.exec(await page.locator('header').innerText())?.[1]);
  for (let i = 0; i < 4; i++) await page.keyboard.press('Space');
  await expect(step).toContainText('starting clamp outside on M1');
  await page.keyboard.press('Space');
  await expect(step).toContainText('52');
  await expect(step).toContainText('Pull M1');
  await page.keyboard.press('ArrowLeft');
  await expect(step).toContainText('starting clamp outside on M1');
  // No other key does harm.
  await page.keyboard.press('x');
  await page.keyboard.press('Enter');
  await expect(page.locator('header')).toContainText(`4 of ${total}`);

  await expect(page.getByRole('status')).toContainText('All is on the server');
  await page.reload();
  await expect(page.locator('header')).toContainText(`4 of ${total}`);

  await context.setOffline(true);
  for (let i = 0; i < 6; i++) await page.keyboard.press('Space');
  await expect(page.locator('header')).toContainText(`10 of ${total}`);
  await expect(page.getByRole('status')).toContainText('wait for the server');
  await context.setOffline(false);
  await expect(page.getByRole('status')).toContainText('All is on the server');
  await page.reload();
  await expect(page.locator('header')).toContainText(`10 of ${total}`);

  let knots = 0;
  for (let i = 10; i < total; i++) {
    const words = await step.locator('p').nth(1).innerText();
    if (words.startsWith('Tie the tail')) knots++;
    await page.keyboard.press('Space');
    await expect(page.locator('header')).toContainText(`${i + 1} of ${total}`);
  }
  // Practice: a two-piece job has four knots.
  expect(knots).toBe(4);
  await expect(page.getByText('All is done. Hand it over.')).toBeVisible();
  await expect(page.getByLabel('Mains in: 8 left, 8 right')).toBeVisible();
  await expect(page.getByRole('status')).toContainText('All is on the server');
  await page.goto(`/tickets/${number}/pull`);
  await expect(page.getByText(`${total} are done`)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Pull' })).toContainText('Pull');
});

test('the ticket tells what awaits at the bench, step by step', async ({ page }) => {
  await page.goto('/tickets/401/pull');
  await awake(page);
  await expect(page.getByText('One side ahead by at most')).toBeVisible();
  await page.getByText('Every step in its order').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Weave C8; pull C7' })).toBeVisible();
  await expect(page.getByRole('link', { name: /bench/ })).toBeVisible();
});
