import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { Client } from 'pg';
import { bringUpToDate } from '@/scripts/open';
import { serverEnvironment } from '@/scripts/server';
import { databaseBeside } from '@/scripts/databases';
import { OwnServer, header, kept, readyJob, spaceTo } from './at-the-bench';
import { own, sentence, withLateCode } from './bench';
import { comeInAs, pressIn, strangerIn } from './people';

const PASSWORD = 'four walls a ladder';

/** Gives a short code on whatever asks for one. */
async function giveCode(page: Page, name: string, code: string): Promise<void> {
  await page.getByRole('radio', { name }).click();
  await page.getByLabel('Code', { exact: true }).fill(code);
  await page.getByLabel('Code', { exact: true }).press('Enter');
}

async function signIn(page: Page, username: string, password: string): Promise<void> {
  await page.getByLabel('Name to sign in with').fill(username);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

test('an owner takes somebody in, who makes a password, works as their role, and is let go', async ({
  page,
  browser,
}) => {
  const name = own('Ida Fennimere');
  const username = name
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '')
    .slice(-12);
  await page.goto('/workshop/people');
  await page.getByRole('button', { name: 'Ask them in' }).click();
  await expect(page.getByText('Write a name, as it stands on papers')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Address for messages').fill(`${username}@netloft.example`);
  await page.getByRole('button', { name: 'Ask them in' }).click();
  const link = await page.getByRole('status').locator('code').innerText();
  const row = page.getByRole('listitem').filter({ hasText: name });
  // Nobody is in unasked.
  await expect(row).toContainText('stringer, ');
  await expect(row.getByRole('button', { name: 'Withdraw it' })).toBeVisible();

  const theirs = await strangerIn(browser);
  await theirs.goto(link);
  await expect(theirs.getByText(`asks ${name} to work there as stringer`)).toBeVisible();
  await theirs.getByLabel('Name to sign in with').fill('no spaces please');
  await theirs.getByLabel('Password').fill('short');
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await expect(theirs.getByText('Letters, digits, full stop, dash')).toBeVisible();
  await expect(theirs.getByText('A password has 12 signs or more')).toBeVisible();
  await theirs.getByLabel('Password').fill('password1234');
  await theirs.getByLabel('Name to sign in with').fill('hesper');
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await expect(theirs.getByText('This one is among those that are tried first')).toBeVisible();
  await theirs.getByLabel('Password').fill(PASSWORD);
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await expect(theirs.getByText('Somebody signs in with this name')).toBeVisible();
  await theirs.getByLabel('Name to sign in with').fill(username);
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await expect(theirs.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(theirs.getByRole('link', { name: 'Workshop', exact: true })).toHaveCount(0);
  // The link was good once.
  const late = await strangerIn(browser);
  await late.goto(link);
  await expect(late.getByRole('heading', { name: 'This invitation is of no use' })).toBeVisible();
  await late.goto('/sign-in');
  await signIn(late, username, 'not the password');
  await expect(sentence(late, 'Name and password do not belong together')).toBeVisible();
  await signIn(late, username.toUpperCase(), PASSWORD);
  await expect(late.getByRole('heading', { name: 'Today' })).toBeVisible();
  // Each place is listed, and ended from here.
  await theirs.goto('/me');
  const places = theirs.getByRole('region', { name: 'Where you are signed in' });
  await expect(places.getByRole('listitem')).toHaveCount(2);
  await places.getByRole('button', { name: 'End it' }).click();
  await expect(places.getByRole('listitem')).toHaveCount(1);
  await late.goto('/');
  await expect(late.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.reload();
  await expect(row).toContainText('no code');

  // A stringer sets up; at the counter it is not theirs any more, and the page says so.
  await theirs.goto('/tickets/401/setup');
  await expect(theirs.getByLabel('Tension, mains/crosses')).toBeVisible();
  await row.getByRole('radio', { name: 'counter' }).click();
  await row.getByRole('button', { name: 'Make them counter' }).click();
  await expect(row.getByRole('button', { name: 'Make them' })).toHaveCount(0);
  expect((await theirs.goto('/tickets/401/setup'))?.status()).toBe(403);
  await expect(theirs.getByText('This is not for your role here')).toBeVisible();
  await theirs.goto('/frames');
  await expect(theirs.getByRole('link', { name: 'Enter a frame' })).toHaveCount(0);
  await theirs.getByRole('link', { name: 'Ostrevan Heron 100', exact: true }).click();
  await expect(theirs.getByText('This is to look at')).toBeVisible();
  await expect(theirs.getByRole('button', { name: 'Save the frame' })).toHaveCount(0);

  // Their own change stands on the trail under their name.
  await theirs.goto('/clients/new');
  const taken = own('Taken down');
  await theirs.getByLabel('Name').fill(taken);
  await theirs.getByRole('button', { name: 'Keep this client' }).click();
  await theirs.waitForURL(/\/clients/);
  await page.goto('/workshop/trail');
  await page.getByRole('searchbox').fill(taken);
  await page.getByRole('searchbox').press('Enter');
  await expect(page.getByRole('row').filter({ hasText: `client ${taken} added` })).toContainText(
    name,
  );
  await page.goto(`/workshop/trail?find=${encodeURIComponent(name)}`);
  await expect(
    page
      .getByRole('row')
      .filter({ hasText: `person ${name} changed` })
      .first(),
  ).toContainText('role: stringer → counter');

  // Signing out everywhere is everywhere.
  const second = await strangerIn(browser);
  await second.goto('/sign-in');
  await signIn(second, username, PASSWORD);
  await expect(second.getByRole('heading', { name: 'Today' })).toBeVisible();
  await theirs.goto('/me');
  await theirs.getByRole('button', { name: 'Sign out everywhere' }).click();
  await theirs.waitForURL('/sign-in');
  await second.goto('/');
  await signIn(second, username, PASSWORD);
  await expect(second.getByRole('heading', { name: 'Today' })).toBeVisible();
  await signIn(theirs, username, PASSWORD);
  await expect(theirs.getByRole('heading', { name: 'Today' })).toBeVisible();

  // A new password signs out everywhere else; the old one is of no use.
  await theirs.goto('/me');
  await theirs.getByLabel('The password that you have now').fill('something else');
  await theirs.getByLabel('The new one').fill('a quiet afternoon');
  await theirs.getByRole('button', { name: 'Change the password' }).click();
  await expect(theirs.getByText('That is not the password that you have now')).toBeVisible();
  await theirs.getByLabel('The password that you have now').fill(PASSWORD);
  await theirs.getByRole('button', { name: 'Change the password' }).click();
  await expect(theirs.getByText('The password is changed')).toBeVisible();
  await second.goto('/');
  await expect(second.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  // Also for whoever asks the door to leave the others in.
  await signIn(second, username, 'a quiet afternoon');
  await expect(second.getByRole('heading', { name: 'Today' })).toBeVisible();
  const changed = await theirs.request.post('/doors/change-password', {
    data: {
      currentPassword: 'a quiet afternoon',
      newPassword: 'a loud and early morning',
      revokeOtherSessions: false,
    },
    headers: { origin: new URL(theirs.url()).origin },
  });
  expect(changed.status()).toBe(200);
  await second.goto('/');
  await expect(second.getByRole('heading', { name: 'Sign in' })).toBeVisible();

  // What was typed stays when somebody is let go in the middle of it, and nothing is saved.
  await theirs.goto('/clients/new');
  await theirs.getByLabel('Name').fill(own('Too late'));
  await page.goto('/workshop/people');
  await row.getByRole('button', { name: 'Remove this person' }).click();
  await expect(row).toHaveCount(0);
  await theirs.getByRole('button', { name: 'Keep this client' }).click();
  await expect(sentence(theirs, 'You do not work in this workshop any more')).toBeVisible();
  await theirs.goto('/');
  await expect(theirs.getByText('You do not belong to a workshop here')).toBeVisible();
  // The last owner stays.
  const me = page.getByRole('listitem').filter({ hasText: 'this is you' });
  await me.getByRole('radio', { name: 'learner' }).click();
  await me.getByRole('button', { name: 'Make them learner' }).click();
  await expect(sentence(page, 'Somebody has to own the workshop')).toBeVisible();
});

test('at a trusted bench hands change with a code, a learner is watched, and it locks when left alone', async ({
  page,
  browser,
  baseURL,
}) => {
  const number = await readyJob(page, 'Ostrevan Heron 100', 'Threllan Lull', '52/50 lb');
  const bench = await comeInAs(browser, 'Hesper');
  await bench.clock.install();
  await bench.goto('/workshop/people');
  const where = own('the bench in the back');
  await bench.getByLabel('Where this device stands').fill(where);
  await bench.getByRole('button', { name: 'Trust this device' }).click();
  await expect(bench.getByRole('listitem').filter({ hasText: where })).toContainText('this one');

  await bench.goto('/me');
  await bench.getByRole('button', { name: 'Change hands' }).click();
  await giveCode(bench, 'Wick', '0000');
  await expect(sentence(bench, 'That is not the code of this person')).toBeVisible();
  await giveCode(bench, 'Wick', '7304');
  await expect(bench.getByRole('heading', { name: 'Wick Ellerdune' })).toBeVisible();

  // Also where the code of the page comes later than whoever chooses, types and presses.
  await withLateCode(bench, 3000);
  await bench.goto(`/bench/${number}`, { waitUntil: 'commit' });
  await expect(bench.getByRole('heading', { name: 'Who watches?' })).toBeVisible();
  await expect(bench.getByRole('radio', { name: 'Maud' })).toHaveCount(0);
  await giveCode(bench, 'Tobin', '5182');
  await expect(bench.getByRole('button', { name: '. pause' })).toBeEnabled();
  await bench.unrouteAll({ behavior: 'ignoreErrors' });
  await spaceTo(bench, 0, 4);
  await kept(bench);

  await bench.getByRole('button', { name: 'Wick Ellerdune: change hands' }).click();
  // The keys of the bench do nothing while it asks.
  await expect(bench.getByLabel('Code', { exact: true })).toBeFocused();
  await giveCode(bench, 'Tobin', '5182');
  await expect(bench.getByRole('button', { name: 'Tobin Ravelstock: change hands' })).toBeVisible();
  await expect(bench.getByRole('button', { name: '. pause' })).toBeEnabled();
  await expect(header(bench)).toContainText('4 of');
  await spaceTo(bench, 4, 6);
  await kept(bench);

  await bench.clock.fastForward('11:00');
  await expect(bench.getByRole('heading', { name: 'Locked' })).toBeVisible();
  await bench.keyboard.press('Space');
  await giveCode(bench, 'Tobin', '5182');
  await expect(bench.getByRole('heading', { name: 'Locked' })).toHaveCount(0);
  await expect(header(bench)).toContainText('6 of');
  await spaceTo(bench, 6, 7);
  await kept(bench);

  // Loaded anew while it is locked, it stays locked, and nothing of the workshop is shown.
  await bench.getByRole('button', { name: 'Tobin Ravelstock: change hands' }).click();
  // The line is gone just then: it is locked here, and the server hears of it when it answers again.
  await bench.route('**/hands/lock', (route) => route.abort());
  await bench.getByRole('button', { name: 'Lock it' }).click();
  await expect(bench.getByRole('heading', { name: 'Locked' })).toBeVisible();
  await bench.unroute('**/hands/lock');
  await expect(async () => {
    await bench.goto('/clients');
    await expect(bench).toHaveURL(/\/locked$/, { timeout: 2000 });
  }).toPass();
  await expect(bench.getByText('Brackwether')).toHaveCount(0);
  // Whoever passes by makes no way in of their own, and goes nowhere else.
  for (const door of ['/doors/change-password', '/doors/passkey/delete-passkey'])
    expect(
      (await bench.request.post(door, { data: {}, headers: { origin: baseURL ?? '' } })).status(),
    ).toBe(403);
  await bench.goto('/workshops');
  await expect(bench).toHaveURL(/\/locked$/);
  await giveCode(bench, 'Hesper', '4071');
  await expect(bench.getByRole('heading', { name: 'Today' })).toBeVisible();
  await bench.goto(`/tickets/${number}/pull`);
  await expect(bench.locator('main')).toContainText(
    'taken in by Hesper Quillmere set up by Hesper Quillmere strung by Wick Ellerdune (Tobin Ravelstock watched), Tobin Ravelstock',
  );
  await bench.getByRole('link', { name: 'every change' }).click();
  await expect(bench.getByRole('row').filter({ hasText: 'pull of the mains' })).toBeVisible();

  // A code is for the work of a day: what opens another door asks for the password.
  await bench.goto('/me');
  await expect(bench.getByRole('heading', { name: 'You came in by a short code' })).toBeVisible();
  await bench.goto('/workshop/people');
  await expect(bench).toHaveURL(/\/prove\?to=%2Fworkshop%2Fpeople$/);
  expect((await bench.request.get('/doors/passkey/generate-register-options')).status()).toBe(403);

  // Five wrong codes close the device, whoever they are of, until somebody signs in on it.
  await bench.goto('/me');
  await bench.getByRole('button', { name: 'Change hands' }).click();
  // One was given above; the right ones between them make none forgotten.
  for (let i = 0; i < 4; i++) {
    await giveCode(bench, 'Wick', '1111');
    await expect(sentence(bench, 'That is not the code')).toBeVisible();
    await bench.getByRole('radio', { name: 'Maud' }).click();
  }
  await giveCode(bench, 'Wick', '7304');
  await expect(sentence(bench, 'this device takes none until somebody signs in')).toBeVisible();
  await giveCode(bench, 'Maud', '6293');
  await expect(sentence(bench, 'this device takes none until somebody signs in')).toBeVisible();

  // A device that is forgotten is out at once.
  await page.goto('/workshop/people');
  await page
    .getByRole('listitem')
    .filter({ hasText: where })
    .getByRole('button', { name: 'Remove this device' })
    .click();
  await expect(page.getByRole('listitem').filter({ hasText: where })).toHaveCount(0);
  await bench.goto('/');
  await expect(bench.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('a passkey is made and opens the door', async ({ browser, baseURL }) => {
  const origin = (baseURL ?? '').replace('127.0.0.1', 'localhost');
  const page = await strangerIn(browser, origin);
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('WebAuthn.enable');
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  await pressIn(page, 'Maud');
  await page.goto('/me');
  await page.getByRole('button', { name: 'Make one on this device' }).click();
  await expect(page.getByRole('list', { name: 'Passkeys' }).getByRole('listitem')).toHaveCount(1);
  // Whoever did not make it learns of it.
  expect(messagesIn(process.env.ORTHOTENS_MESSAGES ?? '').join('\n')).toContain(
    'Maud Ferrowby, a passkey was made in your name just now',
  );
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page.getByRole('link', { name: 'Maud Ferrowby' })).toBeVisible();
  await page.goto('/me');
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByRole('list', { name: 'Passkeys' }).getByRole('listitem')).toHaveCount(0);
});

/** The messages in a folder, the latest last: whom each is to, and its text. */
const messagesIn = (folder: string): readonly string[] =>
  readdirSync(folder)
    .filter((file) => file.endsWith('.eml'))
    .toSorted((a, b) => a.localeCompare(b))
    .map((name) => {
      const [head = '', body = ''] = readFileSync(join(folder, name), 'utf8').split('\r\n\r\n');
      return `${head}\n${Buffer.from(body, 'base64').toString('utf8')}`;
    });

const latestMessage = (folder: string): string => messagesIn(folder).at(-1) ?? '';

test('the first start makes the owner and the workshop, once; a lost password comes back by message', async ({
  browser,
}) => {
  const owner = process.env.ORTHOTENS_OWNER_URL ?? '';
  const empty = await databaseBeside(owner, 'first_start');
  const entrances = await bringUpToDate(empty, async () => undefined);
  const environment = serverEnvironment(empty, entrances);
  const server = await OwnServer.open({ ...environment, ORTHOTENS_DEMO: '0' });
  try {
    const context = await browser.newContext({
      storageState: { cookies: [], origins: [] },
      timezoneId: 'Pacific/Auckland',
      baseURL: server.origin,
    });
    const page = await context.newPage();
    // Its fields have their first values before their code is there: letters typed early stand in place of them.
    const sent = await (await context.request.get('/first-start')).text();
    expect(sent).toMatch(/<input(?=[^>]* name="currency")(?=[^>]* value="EUR")/);
    await page.goto('/clients');
    await expect(page.getByRole('heading', { name: 'A new workshop' })).toBeVisible();
    await page.getByLabel('Name of the workshop').fill('The Loft');
    await page.getByLabel('Currency').fill('florins');
    await page.getByLabel('Your name').fill('Ida Fennimere');
    await page.getByLabel('Address for messages').fill('ida@loft.example');
    await page.getByLabel('Name to sign in with').fill('ida');
    await page.getByLabel('Password').fill('ida');
    await page.getByRole('button', { name: 'Open the workshop' }).click();
    await expect(page.getByText('the three letters of the currency')).toBeVisible();
    await expect(page.getByText('A password has 12 signs or more')).toBeVisible();
    await page.getByLabel('Currency').fill('nzd');
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Open the workshop' }).dblclick();
    await page.waitForURL('/take-in');
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Your first racket' })).toBeVisible();
    await expect(page.getByText('The Loft', { exact: true })).toBeVisible();
    // The clock of the wall here, not the server's.
    await page.goto('/workshop');
    await expect(page.getByLabel('Clock')).toHaveValue('Pacific/Auckland');
    await expect(page.getByLabel('Currency')).toHaveValue('NZD');

    // Nobody else can make it, and this is no demo.
    const other = await (
      await browser.newContext({
        storageState: { cookies: [], origins: [] },
        baseURL: server.origin,
      })
    ).newPage();
    await other.goto('/first-start');
    await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await expect(other.getByText('This is a demo')).toHaveCount(0);
    const demo = await other.request.post('/doors/sign-in/demo', {
      data: { username: 'hesper' },
      headers: { origin: server.origin },
    });
    expect(demo.status()).toBe(404);
    for (const door of ['sign-up/email', 'sign-in/email', 'update-user', 'update-session']) {
      const opened = await other.request.post(`/doors/${door}`, {
        data: { email: 'me@x.example', name: 'Me', password: PASSWORD },
        headers: { origin: server.origin },
      });
      expect([door, opened.status()]).toEqual([door, 404]);
    }

    // A short code: not one that is tried first, and only for whoever gives the password or the one before.
    const messages = environment.ORTHOTENS_MESSAGES ?? '';
    const setCode = async (present: string, code: string) => {
      await page.goto('/me');
      await page
        .getByRole('region', { name: 'Short code' })
        .getByLabel(/^(Your present code, or your|Your) password$/)
        .fill(present);
      await page.getByLabel('New code').fill(code);
      await page.getByRole('button', { name: 'Set the code' }).click();
    };
    await setCode(PASSWORD, '1234');
    await expect(page.getByText('Not one that is tried first')).toBeVisible();
    await setCode('4071', '4071');
    await expect(page.getByText('That is not your password')).toBeVisible();
    await setCode(PASSWORD, '4071');
    await expect(page.getByText('Your code is set')).toBeVisible();
    await page.goto('/workshop/people');
    await page.getByLabel('Where this device stands').fill('the bench');
    await page.getByRole('button', { name: 'Trust this device' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'this one' })).toBeVisible();
    expect(latestMessage(messages)).toContain('“the bench” was made a trusted device');

    // Opened again by the code, the session is for the work of the day, until the password is given.
    await page.goto('/me');
    await page.getByRole('button', { name: 'Change hands' }).click();
    await giveCode(page, 'Ida', '4071');
    await expect(page.getByLabel('Code', { exact: true })).toHaveCount(0);
    await page.goto('/workshop/people?of=today');
    await expect(page.getByRole('heading', { name: 'Your password, Ida Fennimere' })).toBeVisible();
    await page.getByLabel('Password').fill('not mine');
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(page.getByText('That is not your password')).toBeVisible();
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Go on' }).click();
    await page.waitForURL(/\/workshop\/people\?of=today$/);

    // Left alone with no page open, the server locks it all the same.
    await page.goto('about:blank');
    const tables = new Client({ connectionString: empty });
    await tables.connect();
    await tables.query("update sessions set seen_at = now() - interval '12 minutes'");
    await tables.end();
    await page.goto(`${server.origin}/clients`);
    await expect(page).toHaveURL(/\/locked$/);
    await giveCode(page, 'Ida', '4071');
    await expect(page.getByRole('heading', { name: 'Your first racket' })).toBeVisible();

    await other.getByRole('link', { name: 'Forgotten?' }).click();
    await other.getByLabel('Your address for messages').fill('ida@loft.example');
    await other.getByRole('button', { name: 'Send me a link' }).click();
    await expect(other.getByText('a message with a link is on its way')).toBeVisible();
    const message = latestMessage(environment.ORTHOTENS_MESSAGES ?? '');
    expect(message).toContain('To: ida@loft.example');
    const link = /http\S+/.exec(message)?.[0] ?? '';
    expect(link).toContain(`${server.origin}/new-password?token=`);
    await other.goto(link);
    await other.getByLabel('New password').fill('a new set of words');
    await other.getByRole('button', { name: 'Take this one' }).click();
    await other.waitForURL('/sign-in');
    expect(latestMessage(messages)).toContain('your password was changed just now');
    // Whoever was signed in with the old one is out.
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();

    // Ten wrong passwords shut the door for this name for a while.
    for (let i = 0; i < 10; i++) {
      const tried = await other.request.post('/doors/sign-in/username', {
        data: { username: 'ida', password: `guess number ${i}` },
        headers: { origin: server.origin },
      });
      expect(tried.status()).toBe(401);
    }
    await signIn(other, 'ida', 'a new set of words');
    await expect(sentence(other, 'Too many wrong tries. Wait 15 minutes')).toBeVisible();
  } finally {
    await server.kill();
  }
});
