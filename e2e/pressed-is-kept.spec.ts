/** What is typed or pressed anywhere on a page is saved, kept or asked for; what is only looked at stays as it is. */
import { expect, test, type Locator, type Page } from '@playwright/test';
import { PAGES } from '@/scripts/pages';
import { sql } from 'drizzle-orm';
import { newtons } from '@/core/measure/units';
import { openDatabase } from '@/db/connection';
import { awake, cutToHandOver, fact, own, pick, sentence, setUp, withLateCode } from './bench';
import { strangerIn } from './people';
import { openFrame, ticketOn } from './tickets';

/** The addresses that a list leads to, the first of each kind. */
async function firstOf(page: Page, list: string, link: RegExp): Promise<readonly string[]> {
  await page.goto(list);
  const hrefs = await page
    .locator('main a[href]')
    .evaluateAll((links) => links.map((each) => each.getAttribute('href') ?? ''));
  return hrefs.filter((href) => link.test(href)).slice(0, 1);
}

/** Fields in which a text can be typed, of one form. */
const texts = (form: Locator): Locator =>
  form.locator('input[type=text], input:not([type]), textarea').locator('visible=true');

async function typedIn(form: Locator): Promise<Locator | undefined> {
  for (const field of await texts(form).all()) if (await field.isEditable()) return field;
  return undefined;
}

/** Types into every other form of a page, presses the button of one, and looks whether something is gone. */
async function lostBy(page: Page, path: string, pressed: number): Promise<readonly string[]> {
  await page.goto(path);
  await awake(page);
  const forms = await page.locator('main form[method=post]').all();
  const typed: { readonly at: number; readonly text: string }[] = [];
  for (const [at, form] of forms.entries()) {
    if (at === pressed) continue;
    const field = await typedIn(form);
    if (!field) continue;
    await field.fill('7');
    typed.push({ at, text: await field.inputValue() });
  }
  const button = page
    .locator('main form[method=post]')
    .nth(pressed)
    .locator('button[type=submit]')
    .first();
  if (typed.length === 0 || !(await button.isVisible()) || !(await button.isEnabled())) return [];
  await button.click();
  const asked = page.getByRole('alertdialog', { name: 'Not saved yet' });
  await page.waitForTimeout(800);
  if (await asked.isVisible()) await asked.getByRole('button', { name: 'Stay here' }).click();
  if (new URL(page.url()).pathname !== path) {
    await page.goto(path);
    await awake(page);
  }
  const lost: string[] = [];
  for (const { at, text } of typed) {
    const field = await typedIn(page.locator('main form[method=post]').nth(at));
    const found = await field?.inputValue();
    if (found !== text) lost.push(`${path}: form ${at}, by the button of form ${pressed}`);
  }
  await page.evaluate(() => sessionStorage.clear());
  return lost;
}

test('no page has a form whose content is lost by the button of another', async ({ page }) => {
  test.slow();
  const pages = [
    ...PAGES.filter((path) => !/import|new$|\?|^\/(why|papers|sheets|bench|workshops$)/.test(path)),
    ...(await firstOf(page, '/clients', /^\/clients\/[0-9a-f-]{36}$/)),
    ...(await firstOf(page, '/rackets', /^\/rackets\/[0-9a-f-]{36}$/)),
    ...(await firstOf(page, '/strings', /^\/strings\/[0-9a-f-]{36}$/)),
    ...(await firstOf(page, '/workshop/machines', /^\/workshop\/machines\/[0-9a-f-]{36}$/)),
  ];
  const [racket = ''] = await firstOf(page, '/rackets', /^\/rackets\/[0-9a-f-]{36}$/);
  const lost: string[] = [];
  let looked = 0;
  for (const path of [...pages, `${racket}/ageing`, `${racket}/balance`]) {
    await page.goto(path);
    await awake(page);
    const count = await page.locator('main form[method=post]').count();
    if (count < 2) continue;
    looked++;
    for (let pressed = 0; pressed < count; pressed++)
      lost.push(...(await lostBy(page, path, pressed)));
  }
  expect(looked).toBeGreaterThan(4);
  expect(lost).toEqual([]);
});

test('a station that is opened and saved as it is changes nothing, whatever the advice says by now', async ({
  page,
}) => {
  const { number } = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${number}/setup`);
  // What is advised is kept as such.
  await setUp(page, 'Threllan Lull', '');
  await cutToHandOver(page);
  await page.goto(`/tickets/${number}/setup`);
  await awake(page);
  const tension = page.getByLabel('Tension, mains/crosses');
  // What the advice still comes to follows it.
  await expect(tension).toHaveValue('');
  expect(await tension.getAttribute('placeholder')).not.toContain('21.5/21.5');

  // It was advised 21.5 and settled so; by now the advice comes to something else.
  const { db, close } = openDatabase(process.env.ORTHOTENS_OWNER_URL ?? '', 'command');
  const n = newtons(21.5, 'kg');
  await db.execute(
    sql`update tickets set main_n = ${n}, cross_n = ${n}, tension_unit = 'kg',
      advice = jsonb_set(advice, '{advised}', ${JSON.stringify({ mainN: n, crossN: n })}::jsonb) where number = ${number}`,
  );
  await close();

  const trail = async () => {
    await page.goto(`/workshop/trail?ticket=${number}`);
    return page.getByRole('row').allInnerTexts();
  };
  const before = await trail();
  for (const [station, button, onwards] of [
    ['inspect', 'Save, and go to the frame', /\/frame$/],
    ['setup', 'Save and go to the cut', /\/cut$/],
    ['cut', 'Save and go to the bench', /\/pull$/],
    ['take-in', 'Save and go to the frame', /\/frame$/],
  ] as const) {
    await page.goto(`/tickets/${number}/${station}`);
    await awake(page);
    await page.getByRole('button', { name: button }).click();
    await page.waitForURL(onwards);
  }
  expect(await trail()).toEqual(before);
  await page.goto(`/tickets/${number}/setup`);
  await expect(tension).toHaveValue('21.5/21.5 kg');
  await page.goto(`/tickets/${number}/hand-over`);
  await expect(fact(page, 'Tension')).toContainText('21.5/21.5 kg');
});

test('what is typed beside a form that leads on is asked for, saved with one press, or stays', async ({
  page,
}) => {
  const { number } = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${number}/take-in`);
  await awake(page);
  await page.getByLabel('Here from').fill('+1d 10:00');
  await page.getByRole('button', { name: 'Save and go to the frame' }).click();
  const asked = page.getByRole('alertdialog', { name: 'Not saved yet' });
  await expect(asked).toContainText('Here from');
  // The keyboard stands on what goes on with it.
  await expect(asked.getByRole('button', { name: 'Save it too, and go on' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/frame$/);
  await page.goto(`/tickets/${number}/take-in`);
  await expect(page.getByLabel('Here from')).not.toHaveValue('');

  // The photograph's words belong to a photograph that is not taken yet.
  await page.goto(`/tickets/${number}/inspect`);
  await awake(page);
  await page.getByLabel('What the next one shows').fill('the throat');
  await page.getByRole('button', { name: 'Save, and go to the frame' }).click();
  await expect(asked).toContainText('Photographs');
  await asked.getByRole('button', { name: 'Stay here' }).click();
  await expect(page.getByLabel('What the next one shows')).toHaveValue('the throat');
  await page.getByRole('button', { name: 'Save, and go to the frame' }).click();
  await asked.getByRole('button', { name: 'Go on without it' }).click();
  await page.waitForURL(/\/frame$/);
});

test('a press counts where it began, though the page moves under the finger', async ({ page }) => {
  await page.goto('/clients/new');
  await awake(page);
  const name = own('Isaut');
  await page.getByLabel('Name').fill(name);
  const save = page.getByRole('button', { name: 'Keep this client' });
  const pressAt = async (after: () => Promise<unknown>) => {
    const box = await save.boundingBox();
    await page.mouse.move((box?.x ?? 0) + 20, (box?.y ?? 0) + 10);
    await page.mouse.down();
    await after();
    await page.mouse.up();
  };
  // A finger that is drawn off the button takes its press back.
  await pressAt(() => page.mouse.move(5, 400));
  await page.waitForTimeout(300);
  expect(page.url()).toContain('/clients/new');
  await pressAt(() =>
    page.evaluate(() => {
      const late = document.createElement('div');
      late.style.height = '180px';
      document.querySelector('main')?.before(late);
    }),
  );
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  await page.goto(`/clients?find=${encodeURIComponent(name)}`);
  await expect(page.getByRole('main').getByRole('link', { name })).toHaveCount(1);
});

test('a page that was asked for before something was saved, and comes after it, shows what was saved', async ({
  page,
}) => {
  const [racket = ''] = await firstOf(page, '/rackets', /^\/rackets\/[0-9a-f-]{36}$/);
  await page.goto(racket);
  await awake(page);
  // The page that is asked for anew is held until the old one has saved, and shows what it saved.
  await page.route(`**${racket}`, async (route) => {
    if (route.request().resourceType() !== 'document') return route.continue();
    const response = await route.fetch();
    await page.waitForResponse((each) => each.url().includes('_rsc='));
    await page.waitForTimeout(1000);
    await route.fulfill({ response });
  });
  const note = own('buzzes');
  await page.getByLabel('Notes').fill(note);
  const isSaved = page.waitForResponse((each) => each.request().method() === 'POST');
  // A page that is about to go answers nobody but itself.
  await page.evaluate(() => {
    setTimeout(
      () =>
        [...document.querySelectorAll('button')]
          .find(({ textContent }) => textContent === 'Save the racket')
          ?.click(),
      1500,
    );
  });
  await page.reload();
  await isSaved;
  await expect(page.getByLabel('Notes')).toHaveValue(note);
});

test('what is discarded or removed comes back by one key, and the next Tab is on it', async ({
  page,
}) => {
  const name = own('Wenna');
  await page.goto('/clients/new');
  await awake(page);
  await page.getByLabel('Name').fill(name);
  await page.keyboard.press('Control+Enter');
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  await awake(page);
  // Typed and taken back by hand is nothing that was typed.
  await page.getByLabel('Notes').fill('x');
  await page.getByLabel('Notes').fill('');
  await page.reload();
  await awake(page);
  await expect(page.getByText('What you typed before is back')).toHaveCount(0);

  await page.getByLabel('Notes').fill('left-handed');
  await page.reload();
  await expect(page.getByText('What you typed before is back')).toBeVisible();
  await page.getByRole('button', { name: 'Discard it' }).click();
  await expect(page.getByLabel('Notes')).toHaveValue('');
  await expect(page.getByText('Press u to undo')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByLabel('Notes')).toHaveValue('left-handed');
  await page.getByRole('button', { name: 'Save the client' }).click();
  await expect(page.getByText('The client is saved')).toBeVisible();

  await page.getByRole('button', { name: 'Remove this client' }).click();
  await page.waitForURL('/clients');
  await expect(page.getByText('The client is removed. Press u to undo.')).toBeVisible();
  await expect(page.locator('[data-sonner-toast]:focus')).toHaveCount(1);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText('The client is back.')).toBeVisible();
});

test('two clients who are one keep the sore arm, the notes and both ways to reach them', async ({
  page,
}) => {
  const sore = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${sore.number}/setup`);
  await awake(page);
  await page.getByRole('radiogroup', { name: 'Arm' }).getByText('sore now').click();
  await setUp(page, 'Threllan Lull', '');
  await page.getByRole('link', { name: sore.client }).click();
  await awake(page);
  await page.getByLabel('Notes').fill('Tennis elbow left.');
  await page.getByLabel('How to reach them').fill('555 01');
  await page.getByRole('button', { name: 'Save the client' }).click();
  await expect(page.getByText('The client is saved')).toBeVisible();

  const kept = own('Kept One');
  await page.goto('/clients/new');
  await awake(page);
  await page.getByLabel('Name').fill(kept);
  await page.getByLabel('How to reach them').fill('555 02');
  await page.getByRole('button', { name: 'Keep this client' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);

  await page.goto('/clients?find=' + encodeURIComponent(sore.client));
  await page.getByRole('link', { name: sore.client }).click();
  await page.getByText('The same person as another client').click();
  await page.getByLabel('The one to keep').fill(kept);
  await pick(page.getByRole('option', { name: kept }));
  await page.getByRole('button', { name: 'Merge the two' }).click();
  const differ = page.getByRole('region', { name: 'Where they differ' });
  await expect(differ.getByRole('radio', { name: 'both' })).toBeChecked();
  await differ.getByRole('button', { name: 'Merge them so' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(kept);
  await expect(page.getByLabel('How to reach them')).toHaveValue('555 02, 555 01');
  await expect(page.getByLabel('Notes')).toHaveValue('Tennis elbow left.');
  await expect(fact(page, 'The talk')).toContainText('sore now');
  await page.keyboard.press('u');
  await expect(page.getByText('is a client of their own again')).toBeVisible();
  await expect(page.getByLabel('Notes')).toHaveValue('');
  await expect(page.getByLabel('How to reach them')).toHaveValue('555 02');
});

test('what is typed and pressed before the code of a page is there is kept, searched for and done', async ({
  page,
}) => {
  const known = await openFrame(page, 'Ostrevan Heron 100');
  await withLateCode(page, 5000);
  await page.goto('/take-in', { waitUntil: 'commit' });
  await page.getByLabel('Client').click();
  await page.keyboard.type(known.client);
  await page.getByLabel('What they ask for').fill('a little looser');
  await page.getByRole('button', { name: 'Another racket of theirs' }).click();
  // Its code has not come: nothing has answered yet.
  await expect(page.getByText('Racket 2')).toHaveCount(0);
  await awake(page);
  await expect(page.getByLabel('Client')).toHaveValue(known.client);
  await expect(page.getByRole('option', { name: known.client })).toBeVisible();
  await expect(page.getByLabel('What they ask for').first()).toHaveValue('a little looser');
  await expect(page.getByText('Racket 2')).toHaveCount(2);
  // Pressed once, done once.
  await expect(page.getByText('Racket 3')).toHaveCount(0);

  // A form that is sent before it wakes is sent when it does.
  const name = own('Wenna');
  await page.goto('/clients/new', { waitUntil: 'commit' });
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Notes').fill('left-handed');
  await page.getByRole('button', { name: 'Keep this client' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  await expect(page.getByLabel('Notes')).toHaveValue('left-handed');

  // A button that stands in no form; and a field that is selected while its first value comes.
  const put = page.getByRole('button', { name: 'Put it back' });
  const client = page.url();
  await page.getByRole('button', { name: 'Remove this client' }).click();
  await page.waitForURL(/\/clients$/);
  await page.goto(client, { waitUntil: 'commit' });
  await put.click();
  await expect(page.getByRole('button', { name: 'Remove this client' })).toBeVisible();
  await expect(put).toHaveCount(0);
  await page.goto('/frames/new', { waitUntil: 'commit' });
  await expect(page.getByLabel('Mains', { exact: true })).toHaveValue('16');
  await page.getByLabel('Mains', { exact: true }).selectText();
  await awake(page);
  await page.keyboard.type('17');
  await expect(page.getByLabel('Mains', { exact: true })).toHaveValue('17');

  // A field that is a form by itself, and one that finds.
  await page.goto(`/tickets/${known.number}/take-in`, { waitUntil: 'commit' });
  await page.getByLabel('Here from').fill('+1d 10:00');
  await awake(page);
  await expect(page.getByRole('button', { name: 'Plan with that' })).toBeVisible();
});

test('Enter and Tab take what is exact, and otherwise ask: no neighbour, no twin, nobody new by accident', async ({
  page,
}) => {
  const tail = own('').trim();
  const [ana, anna] = [`Ana ${tail}`, `Anna ${tail}`];
  for (const name of [ana, anna]) {
    await page.goto('/clients/new');
    await awake(page);
    await page.getByLabel('Name').fill(name);
    await page.getByRole('button', { name: 'Keep this client' }).click();
    await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  }
  await page.goto('/take-in');
  await awake(page);
  const field = page.getByLabel('Client');
  const type = async (text: string, key: string) => {
    await field.fill('');
    await field.pressSequentially(text);
    // Before the answer has come.
    await page.keyboard.press(key);
  };
  await type(ana, 'Enter');
  await expect(page.getByText('Known here.')).toBeVisible();
  await expect(field).toHaveValue(ana);
  // One letter off is nobody.
  await type(`Anno ${tail}`, 'Enter');
  await expect(sentence(page, 'Nothing goes by exactly that')).toBeVisible();
  await expect(page.getByText('Known here.')).toHaveCount(0);
  await type(`Anno ${tail}`, 'Tab');
  await expect(sentence(page, 'Nothing goes by exactly that')).toBeVisible();
  await expect(field).toHaveValue(`Anno ${tail}`);
  // Two go by it.
  await type(tail, 'Enter');
  await expect(sentence(page, 'Several go by that')).toBeVisible();
  // The only one is asked for once, and taken by a second press.
  await type(`anna ${tail.slice(0, 4)}`, 'Enter');
  await expect(sentence(page, `${anna}? Enter again takes it`)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(field).toHaveValue(anna);
  await expect(page.getByText('Known here.')).toBeVisible();
  // The arrows choose whatever they are on.
  await field.fill(`Anno ${tail}`);
  await expect(page.getByRole('option', { name: `New client: Anno ${tail}` })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Known here.')).toBeVisible();
  // Nobody is made new by a Tab, and by Enter only where nobody is near.
  const nobody = own('Zeph');
  await type(nobody, 'Tab');
  await expect(page.getByText('New: they are added with this ticket.')).toHaveCount(0);
  await type(nobody, 'Enter');
  await expect(page.getByText('New: they are added with this ticket.')).toBeVisible();
});

test('Enter in a field of a frame goes on to the next; the frame is saved by its button', async ({
  page,
}) => {
  await page.goto('/frames/new');
  await awake(page);
  const frame = page.getByLabel('Frame', { exact: true });
  await frame.fill(own('Velmora'));
  for (const field of [frame, page.getByLabel('Inside width (mm)')]) {
    await field.focus();
    await page.keyboard.press('Enter');
    await expect(field).not.toBeFocused();
  }
  await page.waitForTimeout(500);
  await expect(page).toHaveURL(/\/frames\/new$/);
});

test('what is typed before a page answers outlives a reload that comes before that, too; a password does not', async ({
  page,
  browser,
  baseURL,
}) => {
  const wish = page.getByLabel('What they ask for');
  const client = page.getByLabel('Client');
  const name = own('Hasty');
  await withLateCode(page, 3000);
  await page.goto('/take-in', { waitUntil: 'commit' });
  await client.fill(name);
  await wish.fill('a little looser');
  await page.reload({ waitUntil: 'commit' });
  // What is typed now is newer than what is left from before.
  await wish.fill('a little firmer');
  await awake(page);
  await expect(client).toHaveValue(name);
  await expect(wish).toHaveValue('a little firmer');
  await page.reload();
  await awake(page);
  await expect(wish).toHaveValue('a little firmer');

  // Of forms whose fields have one name, each has its own text back, letter by letter as it came.
  await page.goto('/workshop/papers', { waitUntil: 'commit' });
  const names = page.locator('main details input[name=name]');
  const [before, other] = [await names.nth(0).inputValue(), own('Towel')];
  await page.locator('main details').nth(1).locator('summary').click();
  await names.nth(1).fill('');
  await names.nth(1).pressSequentially(other);
  await page.reload({ waitUntil: 'commit' });
  await awake(page);
  await expect(names.nth(1)).toHaveValue(other);
  await expect(names.nth(0)).toHaveValue(before);

  const stranger = await strangerIn(browser, baseURL);
  await withLateCode(stranger, 3000);
  await stranger.goto('/sign-in', { waitUntil: 'commit' });
  const password = stranger.getByLabel('Password', { exact: true });
  await password.fill('nine slow herons wade');
  await stranger.reload({ waitUntil: 'commit' });
  expect(await stranger.evaluate(() => JSON.stringify({ ...sessionStorage }))).toBe('{}');
  await expect(password).toHaveValue('');
  await stranger.context().close();
});
