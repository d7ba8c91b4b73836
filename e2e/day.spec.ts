import { expect, test, type Page, type Request } from '@playwright/test';
import { comeInAs } from './people';
import { awake, own, sentence, takeIn } from './bench';

test('the day lies on a ruler; a ticket is moved by its keys, the rest answers, and it is undone', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/');
  const ruler = page.getByRole('region', { name: 'The day on a ruler' });
  await expect(ruler).toBeVisible();
  // Which tickets others have open meanwhile does not matter: 406 is of the demo, and last of all.
  const bar = ruler.getByRole('button', { name: /^Ticket 406, Jory Pellannick/ });
  await expect(bar).toHaveAccessibleName(
    /from .*, done .*; promised .*; (kept on \d+ in 100 days|.* late)/,
  );
  await expect(page.getByText('lift it with the space bar')).toBeVisible();
  await awake(page);
  await expect(bar).toBeEnabled();
  await bar.focus();
  await page.keyboard.press('Space');
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Ticket 406 (is next|comes after \d+): /)).toBeVisible();
  await expect(bar).toHaveAccessibleName(/as somebody arranged it$/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bar).not.toHaveAccessibleName(/as somebody arranged it$/);
});

test('what is taken in at the counter is seen at the bench at once', async ({ page, context }) => {
  page.setDefaultTimeout(20_000);
  // A server that is busy when the line is asked for first: it is asked for again.
  await page.route('**/day/live', (route) => route.fulfill({ status: 503 }), { times: 1 });
  const heard = page.waitForResponse((answer) => answer.url().endsWith('/day/live') && answer.ok());
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'The day on a ruler' })).toBeVisible();
  await heard;
  const counter = await context.newPage();
  const { number } = await takeIn(counter, 'Ostrevan Heron 100', true);
  // Nobody reloads it.
  await expect(
    page.getByRole('region', { name: 'The day on a ruler' }).getByRole('button', {
      name: new RegExp(`^Ticket ${number}, `),
    }),
  ).toBeVisible();
  await counter.goto(`/tickets/${number}/take-in`);
  await awake(counter);
  const here = counter.getByLabel('Here from');
  await here.fill('yesterday');
  await counter.getByRole('button', { name: 'Plan with that' }).click();
  await expect(counter.getByRole('alert').filter({ hasText: /./ }).first()).toBeVisible();
  await here.fill('in 3 days 12:00');
  await counter.getByRole('button', { name: 'Plan with that' }).click();
  await expect(here).toHaveValue(/12:00$/);
});

/** A browser that shows nothing takes every tab for seen: this one is turned away from, or to. */
async function turn(tab: Page, hidden: boolean): Promise<void> {
  await tab.evaluate((isHidden) => {
    Object.defineProperty(document, 'hidden', { configurable: true, value: isHidden });
    document.dispatchEvent(new Event('visibilitychange'));
  }, hidden);
}

test('more tabs of the day than a browser has lines are served; those that are seen share one line, another takes it over, and none misses a change', async ({
  context,
}) => {
  // A browser opens six lines to one server: were each tab's its own, the seventh tab would wait for ever.
  const open = new Set<Request>();
  context.on('request', (request) => {
    if (request.url().endsWith('/day/live')) open.add(request);
  });
  const ended = (request: Request) => void open.delete(request);
  context.on('requestfinished', ended);
  context.on('requestfailed', ended);
  const ruler = (tab: Page) => tab.getByRole('region', { name: 'The day on a ruler' });
  const sees = (tab: Page, number: number) =>
    expect(
      ruler(tab).getByRole('button', { name: new RegExp(`^Ticket ${number}, `) }),
    ).toBeVisible();
  const tabs: Page[] = [];
  for (let i = 0; i < 9; i++) {
    const tab = await context.newPage();
    await tab.goto('/', { waitUntil: 'commit' });
    await expect(ruler(tab)).toBeVisible();
    await awake(tab);
    await turn(tab, true);
    tabs.push(tab);
  }
  await expect.poll(() => open.size).toBe(0);
  const seen = tabs.slice(6);
  for (const tab of seen) await turn(tab, false);
  await expect.poll(() => open.size).toBe(1);
  const counter = await context.newPage();
  const first = await takeIn(counter, 'Ostrevan Heron 100', true);
  for (const tab of seen) await sees(tab, first.number);
  // The one that kept the line goes.
  const [keeper, ...others] = seen;
  await keeper?.close();
  const second = await takeIn(counter, 'Ostrevan Heron 100', true);
  for (const tab of others) await sees(tab, second.number);
});

test('at the counter, times that can be promised are offered, and what cannot be kept is said', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/take-in');
  await awake(page);
  await page.getByLabel('Client').fill(own('Corisande Vail'));
  const safe = page.getByRole('button', { name: /^safe / });
  await expect(safe).toBeVisible();
  await expect(page.getByRole('button', { name: /^next free slot / })).toBeVisible();
  const words = (await safe.innerText()).replace(/^safe\s*/, '');
  await safe.click();
  const promised = page.getByLabel('Promised');
  await expect(promised).toHaveValue(/^\d{4}-\d\d-\d\d \d\d:(00|15|30|45)$/);
  await expect(page.getByText(words, { exact: true }).last()).toBeVisible();
  await expect(page.getByText('That cannot be kept')).toBeHidden();
  // Nobody strings a racket in six minutes.
  const soon = new Intl.DateTimeFormat('sv-SE', {
    timeZone: 'Europe/Lisbon',
    dateStyle: 'short',
    timeStyle: 'short',
  }).format(Date.now() + 6 * 60_000);
  await promised.fill(soon);
  // In the evening the benches may be shut by then; not where something can still be promised for today.
  const isOpen =
    (await page.getByRole('button', { name: /^(safe|tight|next free slot) today/ }).count()) > 0;
  await expect(
    page.getByText(
      isOpen ? 'That cannot be kept' : /That cannot be kept|^No bench opens any more today/,
    ),
  ).toBeVisible();
});

test('a bench has its hours, and nonsense is answered at its field', async ({ page }) => {
  page.setDefaultTimeout(20_000);
  const name = own('Corner');
  await page.goto('/workshop/benches/new');
  await awake(page);
  await page.getByLabel('Bench', { exact: true }).fill(name);
  await page.getByLabel('Saturday').fill('13-9');
  await page.getByLabel('Days that differ').fill('Christmas closed');
  await page.getByRole('button', { name: 'Add the bench' }).click();
  await expect(sentence(page, 'ends before it begins')).toBeVisible();
  await expect(sentence(page, 'does not begin with a day')).toBeVisible();
  for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Sunday'])
    await page.getByLabel(day).fill('closed');
  await page.getByLabel('Saturday').fill('9-13, 14:30-18');
  await page.getByLabel('Days that differ').fill('2026-12-25 closed');
  await page.getByRole('button', { name: 'Add the bench' }).click();
  await page.waitForURL('/workshop/benches');
  const row = page.getByRole('listitem').filter({ hasText: name });
  await expect(row).toContainText('Sat 9:00-13:00 14:30-18:00');
  // Out of the way of the others.
  await page.getByRole('link', { name }).click();
  await page.getByRole('button', { name: /^Remove/ }).click();
  await page.waitForURL('/workshop/benches');
  await expect(page.getByRole('link', { name })).toBeHidden();
});

test('a ticket is taken by one at a bench; another sees who has it at once, and takes it over as it is', async ({
  page,
  browser,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/tickets/404/pull');
  await awake(page);
  const mine = page.getByRole('region', { name: 'Who strings it' });
  const second = await comeInAs(browser, 'Tobin');
  second.setDefaultTimeout(20_000);
  await second.goto('/tickets/404/pull');
  await awake(second);
  const theirs = second.getByRole('region', { name: 'Who strings it' });
  await expect(theirs).toContainText('Nobody has taken it.');
  await mine.getByRole('button', { name: 'I string it, Back room' }).click();
  await expect(mine).toContainText('You have it, at Back room');
  // Nobody reloads it.
  await expect(theirs).toContainText('Hesper Quillmere has it, at Back room');
  await theirs.getByRole('button', { name: 'Take it over as it is' }).click();
  await expect(theirs).toContainText('You have it');
  await expect(mine).toContainText(/Tobin .* has it/);
  await second.goto('/');
  await expect(second.getByRole('row', { name: /404/ })).toContainText(/Pull, Tobin/);
  await second.goto('/tickets/404/pull');
  await theirs.getByRole('button', { name: 'Let it go' }).click();
  await expect(mine).toContainText('Nobody has taken it.');
  await second.context().close();
});
