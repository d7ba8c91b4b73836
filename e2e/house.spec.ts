import { gzipSync } from 'node:zlib';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { awake, own, sentence } from './bench';

const PAGES = [
  '/',
  '/take-in',
  '/clients',
  '/rackets',
  '/frames',
  '/frames/new',
  '/frames/import',
  '/strings',
  '/strings/new',
  '/strings/import',
  '/shelf',
  '/clients/import',
  '/jobs/import',
  '/jobs',
  '/jobs/390',
  '/workshop',
  '/workshop/house-rules',
  '/workshop/machines',
  '/workshop/machines/new',
  '/workshop/papers',
  '/workshop/benches',
  '/workshop/benches/new',
  '/events',
  '/tickets/401/load',
  '/tickets/401/last-look',
  '/events/new',
  '/workshop/people',
  '/workshop/trail',
  '/workshops',
  '/me',
  '/practice',
  '/same-feel?ticket=401',
  '/tickets/401/take-in',
  '/tickets/401/inspect',
  '/tickets/401/frame',
  '/tickets/401/setup',
  '/tickets/405/setup',
  '/tickets/401/cut',
  '/tickets/401/pull',
  '/tickets/401/hand-over',
  '/bench/401',
  '/sheets/401',
  '/why/390',
  '/papers/390/slip',
  '/papers/401/stub',
  '/money?from=2020-01-01',
  '/outbox',
];

/** What a browser has to run before a page answers, compressed; the rest loads beside it. */
const FIRST_JAVASCRIPT_BYTES = 170_000;
const sizes = new Map<string, number>();

async function firstJavaScript(page: Page, html: string): Promise<number> {
  let bytes = 0;
  for (const [tag, src = ''] of html.matchAll(/<script\b[^>]*\ssrc="([^"]+)"[^>]*>/g)) {
    if (/nomodule/i.test(tag)) continue;
    if (!sizes.has(src)) {
      const script = await page.request.get(src);
      expect(script.ok()).toBe(true);
      sizes.set(src, gzipSync(await script.body()).length);
    }
    bytes += sizes.get(src) ?? 0;
  }
  return bytes;
}

/** Pages of one test: a browser is made once for all of them. */
const AT_ONCE = 8;
const GROUPS = Array.from({ length: Math.ceil(PAGES.length / AT_ONCE) }, (_, i) =>
  PAGES.slice(i * AT_ONCE, (i + 1) * AT_ONCE),
);

for (const group of GROUPS)
  test(`${group.join(' ')} load with every outside request refused, keep to the content policy and pass the accessibility rules`, async ({
    page,
  }) => {
    const outside: string[] = [];
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => {
      if (/Content Security Policy/i.test(message.text())) errors.push(message.text());
    });
    await page.route('**/*', (route) => {
      const { hostname, protocol } = new URL(route.request().url());
      if (hostname === '127.0.0.1' || protocol === 'data:') return route.continue();
      outside.push(route.request().url());
      return route.abort();
    });
    for (const path of group)
      await test.step(path, async () => {
        const response = await page.goto(path, { waitUntil: 'load' });
        expect(response?.status()).toBe(200);
        expect(response?.headers()['content-security-policy']).toMatch(
          /script-src 'self' 'nonce-[^']{20,}'/,
        );
        const first = await firstJavaScript(page, (await response?.text()) ?? '');
        expect(first).toBeGreaterThan(50_000);
        expect(first).toBeLessThanOrEqual(FIRST_JAVASCRIPT_BYTES);
        // The type is the application's own, not the browser's: fonts ship with it.
        await expect
          .poll(() => page.evaluate(() => document.fonts.check('16px Barlow')))
          .toBe(true);
        // Names and colours of a form settle when its code has started, which a busy machine does late.
        await expect(async () => {
          const { violations } = await new AxeBuilder({ page })
            .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
            .analyze();
          expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
        }).toPass({ timeout: 60_000 });
        expect([path, outside, errors]).toEqual([path, [], []]);
      });
  });

test('the palette finds a client, a job by its number and an action, from the keyboard', async ({
  page,
}) => {
  await page.goto('/');
  await awake(page);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('brackw');
  await expect(page.getByRole('option', { name: /client\s*Ottiline Brackwether/ })).toBeVisible();
  await page.getByRole('combobox').fill('390');
  await page.getByRole('option', { name: /job\s*390/ }).click();
  await page.waitForURL('/jobs/390');
  await awake(page);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('enter a fr');
  await expect(page.getByRole('option', { name: 'Enter a frame' })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.waitForURL('/frames/new');
  await page.goto('/');
  await awake(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog').getByText('take a racket in')).toBeVisible();
});

test('the bed answers to the arrow keys, string by string', async ({ page }) => {
  await page.goto('/tickets/401/frame');
  const bed = page.getByRole('img', { name: /Bed of 16 mains and 19 crosses/ });
  await awake(page);
  await bed.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/Main 8 left: \d+ mm, holes 10H to 10T/)).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/Cross 19: \d+ mm, hole 7T/)).toBeVisible();
});

test('strings, clients, rackets and the workshop can be edited', async ({ page }) => {
  const string = own('Test String');
  await page.goto('/strings/new');
  await page.getByRole('button', { name: 'Keep this string' }).click();
  await expect(sentence(page, 'Give the string a name')).toBeVisible();
  await page.getByLabel('String', { exact: true }).fill(string);
  await page.getByLabel('Thicknesses').fill('16L 1.30');
  await page.getByLabel('Length of a set').fill('40ft');
  await page.getByLabel('Price of a set (EUR)').fill('9.5');
  await expect(page.getByText('1.24 mm (16L or 17), 1.30 mm (16)')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this string' }).click();
  await page.waitForURL('/strings');
  await page.goto('/strings?find=' + encodeURIComponent(string));
  await expect(page.getByRole('row').filter({ hasText: string })).toContainText('12.19 m');
  await expect(page.getByRole('row').filter({ hasText: string })).toContainText('€9.50');

  await page.goto('/workshop');
  await page.getByLabel('From the frame to the gripper (cm)').fill('3');
  await page.getByRole('button', { name: 'Save the workshop' }).click();
  await expect(sentence(page, '10 to 90 cm')).toBeVisible();

  await page.goto('/rackets?find=Brackwether');
  await page.getByRole('link', { name: 'Ostrevan Heron 100' }).first().click();
  await page.getByLabel('Notes').fill('rattles');
  await page.getByRole('button', { name: 'Save the racket' }).click();
  await page.reload();
  await expect(page.getByLabel('Notes')).toHaveValue('rattles');
  await page.getByRole('button', { name: 'Remove this racket' }).click();
  await expect(page.getByText(/Hand it over first|The racket is removed/)).toBeVisible();
});
