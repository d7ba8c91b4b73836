import { gzipSync } from 'node:zlib';
import { expect, test, type Page } from '@playwright/test';
import { PAGES } from '@/scripts/pages';
import { isAccessible } from './accessible';
import { awake, own, sentence } from './bench';

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

/** The named fields that stand on a page, or in it as the server has sent it, with their values. */
const fieldsOf = (page: Page, html?: string): Promise<readonly string[]> =>
  page.evaluate((text) => {
    const all = text === undefined ? document : new DOMParser().parseFromString(text, 'text/html');
    return [...all.querySelectorAll<HTMLInputElement>('input[name], textarea[name], select[name]')]
      .filter(({ type }) => type !== 'hidden' && type !== 'radio' && type !== 'checkbox')
      .map(({ name, value }) => `${name}: ${value}`)
      .sort();
  }, html);

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
    // The browser finds no address but this one (`playwright.config.ts`); who asks for another is seen here.
    page.on('request', (request) => {
      const { hostname, protocol } = new URL(request.url());
      if (hostname !== '127.0.0.1' && protocol !== 'data:') outside.push(request.url());
    });
    for (const path of group)
      await test.step(path, async () => {
        const response = await page.goto(path, { waitUntil: 'load' });
        expect(response?.status()).toBe(200);
        expect(response?.headers()['content-security-policy']).toMatch(
          /script-src 'self' 'nonce-[^']{20,}'/,
        );
        const html = (await response?.text()) ?? '';
        const first = await firstJavaScript(page, html);
        expect(first).toBeGreaterThan(50_000);
        expect(first).toBeLessThanOrEqual(FIRST_JAVASCRIPT_BYTES);
        // The type is the application's own, not the browser's: fonts ship with it.
        await expect
          .poll(() => page.evaluate(() => document.fonts.check('16px Barlow')))
          .toBe(true);
        await isAccessible(page);
        // Where a field fills itself only when its code is there, the first letters of whoever types come beside its own.
        expect([path, await fieldsOf(page, html)]).toEqual([path, await fieldsOf(page)]);
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
  await page.waitForURL(/\/rackets\/[0-9a-f-]{36}$/);
  // What is pressed before the code is there is done when it is; a reload before that leaves nothing to do it.
  await awake(page);
  const note = own('rattles');
  await page.getByLabel('Notes').fill(note);
  await page.getByRole('button', { name: 'Save the racket' }).click();
  await page.reload();
  await expect(page.getByLabel('Notes')).toHaveValue(note);
  await page.getByRole('button', { name: 'Remove this racket' }).click();
  await expect(page.getByText(/Hand it over first|The racket is removed/)).toBeVisible();
});
