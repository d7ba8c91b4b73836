import { expect, type Browser, type Page } from '@playwright/test';

/** Where the owner's way in is kept for the tests, as a browser keeps it. */
export const OWNER = '.orthotens/interface-tests/owner.json';

/** A browser of its own that nobody has come in with. */
export async function strangerIn(browser: Browser, baseURL?: string): Promise<Page> {
  const context = await browser.newContext({
    storageState: { cookies: [], origins: [] },
    ...(baseURL !== undefined && { baseURL }),
  });
  return context.newPage();
}

/** A browser of its own in which one of the demo's people has come in, by the one press on the demo's door. */
export async function comeInAs(browser: Browser, name: string): Promise<Page> {
  const page = await strangerIn(browser);
  await pressIn(page, name);
  return page;
}

export async function pressIn(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
}

/** Asks somebody in on the page of people, and gives the link to their invitation. */
export async function invite(
  page: Page,
  name: string,
  address: string,
  role: 'owner' | 'stringer' | 'counter' | 'learner',
): Promise<string> {
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Address for messages').fill(address);
  await page.getByRole('region', { name: 'Ask somebody in' }).getByText(role).click();
  await page.getByRole('button', { name: 'Ask them in' }).click();
  const said = page.getByRole('status').filter({ hasText: `Give ${name} this link` });
  return said.locator('code').innerText();
}

/** By that link, somebody who is new to the house. */
export async function comeInAsNew(page: Page, link: string, username: string): Promise<void> {
  await page.goto(link);
  await page.getByLabel('Name to sign in with').fill(username);
  await page.getByLabel('Password').fill('a raven on the gate');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
}
