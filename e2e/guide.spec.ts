import { expect, test } from '@playwright/test';
import { isAccessible } from './accessible';
import { step, words } from './at-the-bench';
import { awake } from './bench';

test('? says what a page is for, also at the bench, and the guide leads from page to page', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  const help = page.getByRole('dialog', { name: 'Help on this page' });
  for (const [path, place, says] of [
    ['/', 'Today', 'Every open ticket, in the order of its promise.'],
    ['/tickets/401/setup', 'Setup', 'Each step is one reason that moves the tension'],
    ['/workshop/house-rules', 'House rules', 'Where good stringers differ'],
  ] as const) {
    await page.goto(path);
    await awake(page);
    await page.keyboard.press('?');
    await expect(help.getByRole('heading', { level: 1, name: place })).toBeVisible();
    await expect(help).toContainText(says);
    await expect(help.getByText('take a racket in', { exact: true })).toBeVisible();
    await isAccessible(page);
    await page.keyboard.press('Escape');
    await expect(help).toBeHidden();
  }

  // The first Tab leads past the bar, and the next one is on the page.
  await page.goto('/shelf');
  await awake(page);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the page' })).toBeInViewport();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('main').getByRole('link', { name: 'Strings' }).first()).toBeFocused();

  await page.goto('/bench/401');
  await expect(step(page)).toBeVisible();
  const before = await words(page);
  // The bench has no button that says when its code is there.
  await expect(async () => {
    await page.keyboard.press('?');
    await expect(help.getByRole('heading', { level: 1, name: 'Pull' })).toBeVisible({
      timeout: 2000,
    });
  }).toPass();
  // There n is a note, and no racket is taken in.
  await expect(help.getByText('take a racket in', { exact: true })).toBeHidden();
  // The window has the keys: no step is done behind it.
  await page.keyboard.press(' ');
  await page.keyboard.press('Escape');
  await expect(help).toBeHidden();
  expect(await words(page)).toBe(before);

  await page.goto('/shelf');
  await awake(page);
  await page.getByRole('button', { name: 'Help' }).click();
  await help.getByRole('link', { name: 'The whole guide' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Guide' })).toBeVisible();
  await expect(help).toBeHidden();
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Shelf' })).toBeVisible();
  const picture = page.getByRole('img', { name: 'Shelf' });
  await expect
    .poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth))
    .toBeGreaterThan(600);
  for (const unknown of ['/guide/nothing', '/guide/nothing/text', '/guide/pictures/nothing.png'])
    expect((await page.request.get(unknown)).status()).toBe(404);
});
