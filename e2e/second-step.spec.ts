import { createHmac } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { databaseBeside } from '@/scripts/databases';
import { bringUpToDate } from '@/scripts/open';
import { serverEnvironment } from '@/scripts/server';
import { OwnServer } from './at-the-bench';

const PASSWORD = 'nine slow herons wade';

/** A code as an app makes it (RFC 6238 with HMAC-SHA-1 and steps of 30 s, RFC 4226 for the digits). */
function appCode(key: Buffer, at: Date, digits = 6): string {
  const counter = Buffer.alloc(8);
  counter.writeBigUInt64BE(BigInt(Math.floor(at.getTime() / 30_000)));
  const mac = createHmac('sha1', key).update(counter).digest();
  const from = (mac.at(-1) ?? 0) & 0xf;
  return String((mac.readUInt32BE(from) & 0x7fffffff) % 10 ** digits).padStart(digits, '0');
}

/** RFC 4648, section 6. */
function fromBase32(text: string): Buffer {
  let bits = '';
  for (const sign of text.replaceAll(/[\s=]/g, ''))
    bits += 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(sign).toString(2).padStart(5, '0');
  return Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
}

test('an owner sets a second step up, comes in by it once a code, by a spare code without the phone, and asks it of the owners', async ({
  browser,
}) => {
  // RFC 6238, appendix B: the first line.
  expect(appCode(Buffer.from('12345678901234567890'), new Date(59_000), 8)).toBe('94287082');

  const empty = await databaseBeside(process.env.ORTHOTENS_OWNER_URL ?? '', 'second_step');
  const entrances = await bringUpToDate(empty, async () => undefined);
  const server = await OwnServer.open({
    ...serverEnvironment(empty, entrances),
    ORTHOTENS_DEMO: '0',
  });
  try {
    const context = await browser.newContext({
      storageState: { cookies: [], origins: [] },
      baseURL: server.origin,
    });
    const page = await context.newPage();
    const press = (name: string) => page.getByRole('button', { name, exact: true }).click();
    const section = page.getByRole('region', { name: 'Second step' });
    await page.goto('/first-start');
    await page.getByLabel('Name of the workshop').fill('The Hayloft');
    await page.getByLabel('Currency').fill('EUR');
    await page.getByLabel('Your name').fill('Ida Fennimere');
    await page.getByLabel('Address for messages').fill('ida@hayloft.example');
    await page.getByLabel('Name to sign in with').fill('ida');
    await page.getByLabel('Password').fill(PASSWORD);
    await press('Open the workshop');
    await page.waitForURL('/take-in');

    // Who has none asks it of nobody, or nobody could take it back.
    await page.goto('/workshop/people');
    await press('Ask a second step of every owner');
    await expect(page.getByText('Set up your own second step first')).toBeVisible();

    await page.goto('/me');
    await section.getByLabel('Your password').fill('not it at all');
    await section.getByRole('button', { name: 'Set it up' }).click();
    await expect(section.getByText('That is not your password.')).toBeVisible();
    await section.getByLabel('Your password').fill(PASSWORD);
    await section.getByRole('button', { name: 'Set it up' }).click();
    await expect(section.getByRole('img', { name: 'The key as a square to read' })).toBeVisible();
    const typed = await section.getByText(/^([A-Z2-7]{4} ){3,}/).innerText();
    const key = fromBase32(typed);
    const spare = await section
      .getByRole('list', { name: 'Spare codes' })
      .getByRole('listitem')
      .allInnerTexts();
    expect(spare).toHaveLength(8);
    await section.getByLabel('The code it shows').fill('12345');
    await section.getByRole('button', { name: 'Turn it on' }).click();
    await expect(section.getByText('The code is six digits.')).toBeVisible();
    await section.getByLabel('The code it shows').fill(appCode(key, new Date()));
    await section.getByRole('button', { name: 'Turn it on' }).click();
    await expect(page.getByText('Your second step is on.')).toBeVisible();
    await expect(section.getByText('beside your password')).toBeVisible();

    // The door: password, then a code; each code once.
    const signIn = async (code: string, isSpare = false) => {
      await page.goto('/me');
      await page.getByRole('button', { name: 'Sign out', exact: true }).click();
      await page.waitForURL(/sign-in/);
      await page.getByLabel('Name to sign in with').fill('ida');
      await page.getByLabel('Password').fill(PASSWORD);
      await press('Sign in');
      await expect(page.getByLabel('The code of your app')).toBeVisible();
      // A right password alone opens nothing.
      expect((await page.request.get('/clients', { maxRedirects: 0 })).status()).toBe(307);
      if (isSpare) await press('Without the phone');
      await page
        .getByLabel(isSpare ? 'One of your spare codes' : 'The code of your app')
        .fill(code);
      await press('Go in');
    };
    const code = appCode(key, new Date());
    await signIn(code);
    await page.waitForURL('/');
    await signIn(code);
    await expect(page.getByText('That code was used already')).toBeVisible();
    await page.getByLabel('The code of your app').fill('000000');
    await press('Go in');
    await expect(page.getByText('That is not the code')).toBeVisible();
    await page.goto('/sign-in');
    await page.getByLabel('Name to sign in with').fill('ida');
    await page.getByLabel('Password').fill(PASSWORD);
    await press('Sign in');
    await press('Without the phone');
    await page.getByLabel('One of your spare codes').fill(spare[0] ?? '');
    await press('Go in');
    await page.waitForURL('/');
    await signIn(spare[0] ?? '', true);
    await expect(page.getByText('That is not the code')).toBeVisible();
    await page.getByLabel('One of your spare codes').fill(spare[1] ?? '');
    await press('Go in');
    await page.waitForURL('/');

    // Asked of the owners: whoever takes theirs away stands before a shut house until it is there again.
    await page.goto('/workshop/people');
    await press('Ask a second step of every owner');
    await expect(page.getByText('By a code of their app beside the password')).toBeVisible();
    await page.goto('/me');
    await section.getByLabel('Your password').fill(PASSWORD);
    await section.getByRole('button', { name: 'Turn it off' }).click();
    await expect(page.getByText('asks its owners for a second step')).toBeVisible();
    for (const path of ['/', '/clients', '/workshop/people', '/money']) {
      await page.goto(path);
      await expect(page).toHaveURL(/\/me#second-step$/);
    }
    expect((await page.request.get('/clients/table', { maxRedirects: 0 })).status()).toBe(307);
  } finally {
    await server.kill();
  }
});
