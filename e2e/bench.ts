import { expect, type Locator, type Page } from '@playwright/test';

/** A name that no other test uses, so that tests can run side by side in one workshop. */
export const own = (name: string): string => `${name} ${Math.random().toString(36).slice(2, 8)}`;

/** Waits until the page answers to keys, with all that loads beside it. */
export async function awake(page: Page): Promise<void> {
  await expect(page.getByRole('button', { name: /^Find/ })).toBeEnabled();
  // What the server drew belongs to nobody until its code is there and takes it over.
  await page.waitForFunction(
    () =>
      [...document.querySelectorAll('button, input, select, textarea, [tabindex]')].every(
        (element) => Object.keys(element).some((key) => key.startsWith('__react')),
      ),
    undefined,
    { polling: 50 },
  );
}

/**
 * Presses an option of a list. The list gives the keyboard back to its field at the next picture: what is typed
 * elsewhere before that, as only a machine types, would go on in the field of the list.
 */
export async function pick(option: Locator): Promise<void> {
  await option.click();
  await option.page().evaluate(
    () =>
      new Promise<void>((resolve) => {
        requestAnimationFrame(() => requestAnimationFrame(() => resolve()));
      }),
  );
}

export interface TakenIn {
  readonly client: string;
  readonly number: number;
}

export const ticketNumber = (page: Page): number => Number(/tickets\/(\d+)/.exec(page.url())?.[1]);

/** Nothing to be seen at the Inspect station; ends at the frame. */
export async function inspect(page: Page): Promise<void> {
  await page.waitForURL(/\/tickets\/\d+\/inspect$/);
  await page.getByRole('button', { name: 'Save, and go to the frame' }).click();
  await page.waitForURL(/\/tickets\/\d+\/frame/);
}

/** Takes a racket of a new client in; ends at its Frame station. */
export async function takeIn(page: Page, frame: string, fromLibrary: boolean): Promise<TakenIn> {
  const client = own('Walker');
  await page.goto('/take-in');
  await page.getByLabel('Client').fill(client);
  await pick(page.getByRole('option', { name: `New client: ${client}` }));
  await page.getByLabel('Frame').fill(frame);
  await pick(
    page
      .getByRole('option', { name: fromLibrary ? frame : `Not in the library: ${frame}` })
      .first(),
  );
  await page.getByLabel('Promised').fill('+3d 17:00');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await inspect(page);
  return { client, number: ticketNumber(page) };
}

/** Chooses a string and types a tension at the Setup station; ends at the Cut station. */
export async function setUp(page: Page, string: string, tension: string): Promise<void> {
  await choose(page, 'String for the mains', string);
  await page.getByLabel('Tension, mains/crosses').fill(tension);
  await page.getByRole('button', { name: 'Save and go to the cut' }).click();
  await page.waitForURL(/\/cut$/);
}

export async function choose(page: Page, label: string, name: string): Promise<void> {
  await page.getByLabel(label).fill(name);
  await pick(page.getByRole('option', { name }).first());
  await expect(page.getByLabel(label)).toHaveValue(name);
}

/** From Cut to the hand-over, past the bench. */
export async function cutToHandOver(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Save and go to the bench' }).click();
  await page.waitForURL(/\/pull$/);
  await page.getByRole('link', { name: 'To the hand-over' }).click();
  await page.waitForURL(/\/hand-over$/);
}

/** Settles what is undone by the shortest press, and hands over; ends at the record. */
export async function handOver(page: Page): Promise<void> {
  await awake(page);
  for (const name of [
    'It is strung to the last knot all the same',
    'It goes without a last look',
    'Its string came from elsewhere, not off the shelf',
  ]) {
    const box = page.getByRole('checkbox', { name });
    if ((await box.isVisible()) && !(await box.isChecked())) await box.click();
  }
  await page.getByRole('button', { name: 'Hand over and close the job' }).click();
  await page.waitForURL(/\/jobs\/\d+$/);
}

/** From Cut to the record. */
export async function cutAndHandOver(page: Page, remarks = ''): Promise<void> {
  await cutToHandOver(page);
  if (remarks) await page.getByLabel('Remarks').fill(remarks);
  await handOver(page);
}

/** The words of a named fact on the page. */
export const fact = (page: Page, name: string) =>
  page
    .locator('dl > div')
    .filter({ has: page.locator('dt', { hasText: new RegExp(`^${name}$`) }) });

/** The sentence that answers nonsense, wherever it stands. */
export const sentence = (page: Page, text: string | RegExp) =>
  page.getByRole('alert').filter({ hasText: text });

/** Holds every script of a page back for so long. */
export async function withLateCode(page: Page, ms: number): Promise<void> {
  await page.route('**/_next/static/**/*.js', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, ms));
    await route.continue().catch(() => undefined);
  });
}
