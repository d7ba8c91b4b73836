import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import sharp from 'sharp';
import {
  awake,
  cutAndHandOver,
  fact,
  handOver,
  own,
  pick,
  sentence,
  setUp,
  ticketNumber,
} from './bench';
import { mailTo } from './mail';
import { strangerIn } from './people';
import { ticketOn } from './tickets';

/** A file that somebody chooses. */
function fileOf(name: string, data: Buffer | string): string {
  const path = join(mkdtempSync(join(tmpdir(), 'orthotens-')), name);
  writeFileSync(path, data);
  return path;
}

/** The words of a PDF, as any reader shows them; nothing where the machine has no reader. */
async function wordsOfPdf(page: Page, path: string): Promise<string> {
  const answer = await page.request.get(path);
  expect([path, answer.status()]).toEqual([path, 200]);
  expect(answer.headers()['content-type']).toBe('application/pdf');
  const body = await answer.body();
  expect(body.subarray(0, 5).toString()).toBe('%PDF-');
  try {
    return execFileSync('pdftotext', ['-layout', fileOf('paper.pdf', body), '-']).toString();
  } catch {
    return '';
  }
}

test('three rackets of one client: inspected, photographed, strung, handed over with their papers, paid and found', async ({
  page,
  browser,
}) => {
  test.setTimeout(240_000);
  page.setDefaultTimeout(20_000);
  const client = own('Marta Želinková');
  const address = `${client.split(' ').at(-1)}@court.example`;
  await page.goto('/take-in');
  await page.getByLabel('Client').fill(client);
  await pick(page.getByRole('option', { name: `New client: ${client}` }));
  await page.getByLabel('How to reach them').fill(`555 0100, ${address}`);
  for (const i of [0, 1, 2]) {
    if (i > 0) await page.getByRole('button', { name: 'Another racket of theirs' }).click();
    await page.getByLabel('Frame').nth(i).fill('Ostrevan Heron 100');
    await pick(page.getByRole('option', { name: 'Ostrevan Heron 100' }).first());
    await page
      .getByLabel('Serial or bench mark')
      .nth(i)
      .fill(`Z${i + 1}`);
  }
  await page.getByLabel('Promised').fill('+2d');
  await page.getByLabel('What they ask for').fill('crisp, for clay');
  await page.getByRole('button', { name: 'Take 3 rackets in' }).dblclick();
  await page.waitForURL(/\/inspect$/);
  const first = ticketNumber(page);
  const numbers = [first, first + 1, first + 2];
  await expect(page.getByText('Came together:')).toContainText(
    `${first + 2} Ostrevan Heron 100, Z3`,
  );

  // With the racket in hand.
  await page.getByRole('group', { name: 'Frame' }).getByText('dent').click();
  await page.getByLabel('Where, and how large').fill('10 o’clock, shallow');
  await page.getByRole('radiogroup', { name: 'Bumper' }).getByText('worn').click();
  const grommet = page.getByRole('button', { name: /^5H left:/ });
  await grommet.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(grommet).toHaveAccessibleName('5H left: sunken');
  const photo = await sharp({
    create: { width: 900, height: 600, channels: 3, background: '#8a5' },
  })
    .withExif({ IFD3: { GPSLatitude: '38/1 42/1 0/1', GPSLatitudeRef: 'N' } })
    .jpeg()
    .toBuffer();
  await page.getByLabel('What the next one shows').fill('The dent');
  await page
    .getByLabel('Photographs from files')
    .setInputFiles([fileOf('dent.jpg', photo), fileOf('notes.jpg', 'a text')]);
  await expect(sentence(page, 'notes.jpg: That is no photograph')).toBeVisible();
  // Sixty megabytes never leave the browser.
  await page
    .getByLabel('Photographs from files')
    .setInputFiles(fileOf('huge.jpg', Buffer.alloc(60_000_000)));
  await expect(sentence(page, 'huge.jpg: a photograph is at most 12 MB')).toBeVisible();
  const picture = page.getByRole('img', { name: 'The dent' });
  await expect(picture).toBeVisible();
  const kept = await page.request.get((await picture.getAttribute('src'))?.split('?')[0] ?? '');
  expect((await sharp(await kept.body()).metadata()).exif).toBeUndefined();
  // Extra work, agreed before it starts; one press saves it with what was seen.
  await page.getByRole('button', { name: /^Over-grip, fitted/ }).click();
  await page.getByLabel('How many').fill('2');
  await page.getByRole('button', { name: 'Save, and go to the frame' }).click();
  await page.waitForURL(/\/frame$/);
  await page.goto(`/tickets/${first}/inspect`);
  await expect(page.getByText('sunken at 5H left')).toBeVisible();
  await expect(page.getByLabel('How many')).toHaveValue('2');
  await expect(page.getByText(/anew since you typed/)).toHaveCount(0);
  await page.goto(`/tickets/${first}/setup`);
  await awake(page);
  await setUp(page, 'Threllan Lull', '24/23');
  await page.goto(`/tickets/${first}/cut`);
  await page.getByRole('button', { name: 'Save and go to the bench' }).click();
  await page.getByRole('link', { name: 'To the hand-over' }).click();
  await expect(page.getByText('2 × Over-grip, fitted')).toBeVisible();
  await page.getByRole('button', { name: 'Hand over and close the job' }).click();
  await expect(sentence(page, 'The extra work on it is not agreed yet')).toBeVisible();
  await page.goto(`/tickets/${first}/inspect`);
  await page.getByLabel('How they said yes').fill('at the counter');
  await page.getByRole('button', { name: 'Save, and go to the frame' }).click();
  await page.waitForURL(/\/frame$/);

  // They may be written to.
  await page.goto(`/tickets/${first}/setup`);
  await page.getByRole('link', { name: client }).click();
  await page.getByRole('radio', { name: 'they may be written to' }).click();
  await page.getByRole('button', { name: 'Save the client' }).click();
  await expect(page.getByText('The client is saved.')).toBeVisible();

  await page.goto(`/tickets/${first}/hand-over`);
  await page.getByRole('radio', { name: 'waits to be collected' }).click();
  // What is undone is asked, each at its own place, and one press settles it.
  await page.getByRole('button', { name: 'Hand over and close the job' }).click();
  await expect(sentence(page, 'Say first what became of the grommets')).toBeVisible();
  await expect(sentence(page, 'Say first whether this is done: Over-grip, fitted')).toBeVisible();
  await page
    .getByRole('radiogroup', { name: /Grommets that were not whole: 5H left/ })
    .getByRole('radio', { name: 'replaced' })
    .click();
  // 16.00 labour, 16.90 string or what it costs, and 2 × 3.50.
  const overGrip = page.getByRole('radiogroup', { name: '2 × Over-grip, fitted' });
  const toPay = page.locator('p', { hasText: 'To pay' }).locator('.figure');
  const withIt = Number((await toPay.innerText()).replace('€', ''));
  await overGrip.getByRole('radio', { name: 'not done' }).click();
  await expect(toPay).toHaveText(`€${(withIt - 7).toFixed(2)}`);
  await overGrip.getByRole('radio', { name: 'done', exact: true }).click();
  await expect(toPay).toHaveText(`€${withIt.toFixed(2)}`);
  await handOver(page);
  await expect(fact(page, 'Seen when it came in')).toContainText('replaced');
  await expect(fact(page, 'Seen when it came in')).toContainText('dent: 10 o’clock, shallow');
  await expect(fact(page, 'Price')).toContainText('Over-grip, fitted €7.00');
  for (const number of numbers.slice(1)) {
    await page.goto(`/tickets/${number}/setup`);
    await awake(page);
    await setUp(page, 'Threllan Lull', '24/23');
    await cutAndHandOver(page);
  }

  // Written to once, and the racket waits.
  await expect
    .poll(async () => (await mailTo(address)).map(({ subject }) => subject))
    .toEqual(['Your racket is strung']);
  const [ready] = await mailTo(address);
  expect(ready?.text).toContain(`Dear ${client},`);
  const link = /http\S+\/c\/[\w-]{22}/.exec(ready?.text ?? '')?.[0] ?? '';
  await page.goto(`/jobs/${first}`);
  await page.getByRole('button', { name: 'Write that it is ready' }).click();
  await expect(page.getByText('This was written to them already')).toBeVisible();

  // Papers.
  const slip = await wordsOfPdf(page, `/papers/${first}/slip/pdf`);
  const label = await wordsOfPdf(page, `/papers/${first}/label/pdf`);
  if (slip) {
    expect(slip).toContain('24/23');
    expect(slip).toContain('Threllan Lull');
    expect(slip).toContain('Judge it after an hour');
    expect(label).toContain(String(first));
  }
  await page.goto(`/papers/${first}/label`);
  await page.getByRole('button', { name: 'To the label printer' }).click();
  await expect(page.getByText('The label is printed.')).toBeVisible();

  // One invoice for all three, pressed twice.
  await page.goto(`/jobs/${first}`);
  await page.getByRole('button', { name: /^One invoice for jobs/ }).dblclick();
  await page.waitForURL(/\/invoices\/\d+$/);
  const invoice = page.url();
  const number = Number(invoice.split('/').at(-1));
  await expect(page.getByRole('heading', { name: `Invoice ${number}` })).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'Over-grip, fitted' })).toContainText(
    '€7.00',
  );
  const text = await wordsOfPdf(page, `/invoices/${number}/pdf`);
  if (text) expect(text).toContain('Želinková');
  const xml = await (await page.request.get(`/invoices/${number}/xml`)).text();
  expect(xml).toContain(`<cbc:ID>${number}</cbc:ID>`);

  // Paid in part, then all of it; a receipt each.
  await page.goto(`/jobs/${first}`);
  await expect(page.getByRole('region', { name: 'Payment' })).toContainText('to pay');
  await awake(page);
  await page.getByLabel('Amount (EUR)').fill('10.005');
  await page.getByRole('button', { name: 'Mark it as paid' }).click();
  await expect(sentence(page, 'EUR is written with 2 decimals at most')).toBeVisible();
  await page.getByLabel('Amount (EUR)').fill('10');
  await page.getByRole('button', { name: 'Mark it as paid' }).dblclick();
  await expect(page.getByText('part paid')).toBeVisible();
  await page.getByText('Take a payment').click();
  await page.getByRole('radio', { name: 'card' }).click();
  await page.getByRole('button', { name: 'Mark it as paid' }).click();
  await expect(page.getByText('paid', { exact: true })).toBeVisible();
  await expect
    .poll(
      async () => (await mailTo(address)).filter(({ subject }) => subject === 'Thank you').length,
    )
    .toBe(2);
  await page.getByRole('button', { name: 'Collected' }).click();
  await expect(page.getByText('It waits to be collected.')).toHaveCount(0);
  await page.goto('/money');
  await expect(page.getByRole('region', { name: 'The close' })).toContainText('card');
  await expect(page.getByRole('row').filter({ hasText: client }).first()).toBeVisible();

  // Taken back by a credit note.
  await page.goto(invoice);
  await page.getByText('Take this invoice back, or a part of it').click();
  await page.getByLabel('Why').fill('on the club instead');
  await page.getByRole('button', { name: 'Issue the credit note' }).click();
  await expect(page.getByRole('heading', { name: /^Credit note/ })).toBeVisible();
  await expect(
    page.getByText(`This takes invoice ${number} back as a whole: on the club instead`),
  ).toBeVisible();
  // What is credited is not given back by that alone.
  await expect(page.getByText('Credited in all')).toBeVisible();
  await expect(page.getByText('Given back')).toHaveCount(0);

  // A job of before this record on that racket, as a table of elsewhere has it.
  await page.goto('/jobs/import');
  await awake(page);
  await page
    .getByLabel('Table or documents of jobs')
    .setInputFiles(
      fileOf(
        'before.csv',
        `Date;Customer;Racket;Mark;Kg mains;Kg crosses;String\n2025-04-17;${client};Ostrevan Heron 100;Z1;22;21;Warp 1.25`,
      ),
    );
  await page.getByRole('button', { name: 'Bring 1 job in' }).click();
  await page.waitForURL('/rackets');

  // The client's own page, without sign-in, and the way out.
  const theirs = await strangerIn(browser);
  await theirs.goto(link);
  await expect(theirs.getByRole('heading', { name: 'Ostrevan Heron 100, Z1' })).toBeVisible();
  await expect(theirs.getByText('24/23 kg')).toBeVisible();
  await expect(theirs.getByRole('region', { name: 'Strung before' })).toContainText(
    '17 Apr 202522/21 kgWarp 1.25',
  );
  await theirs.getByLabel('A word to the workshop').fill('before the league');
  await theirs.getByRole('button', { name: 'Bring it again' }).click();
  await expect(theirs.getByText('The workshop sees it at the counter.')).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Want to bring it again' })).toContainText(
    'before the league',
  );
  await theirs.goto(`${link}/no-more`);
  await theirs.getByRole('button', { name: 'No more messages' }).click();
  await expect(theirs.getByText('No more messages come from this workshop.')).toBeVisible();
  await page.goto(`/jobs/${first}`);
  await expect(page.getByText('does not want')).toBeVisible();
  await page.getByRole('button', { name: 'Withdraw its address' }).click();
  await expect(page.getByRole('link', { name: 'The client’s page' })).toHaveCount(0);
  expect((await theirs.goto(link))?.status()).toBe(404);

  // Found again: three letters and Enter lead to the client's last job.
  await page.goto('/');
  await awake(page);
  await page.keyboard.press('Control+k');
  const tail = client.split(' ').at(-1) ?? '';
  await page.keyboard.type(`${tail} clay`);
  await page.keyboard.press('Enter');
  await page.waitForURL(`/jobs/${first + 2}`);
  await page.goto(`/jobs?find=${encodeURIComponent(`zelinkova ${tail}`)}&order=number&down=no`);
  await expect(page.getByRole('status').filter({ hasText: '1 to 3 of 3' })).toBeVisible();
  await page.getByRole('link', { name: 'Price' }).click();
  await expect(page.getByRole('columnheader', { name: /^Price/ })).toHaveAttribute(
    'aria-sort',
    'descending',
  );
  const table = await page.request.get(`/jobs/table?find=${encodeURIComponent(tail)}`);
  expect((await table.text()).trim().split('\r\n')).toHaveLength(4);
});

test('a crack stops the ticket, until its owner has written or it is handed back with its paper', async ({
  page,
}) => {
  const { number } = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${number}/inspect`);
  await page.getByRole('group', { name: 'Frame' }).getByText('crack').click();
  await page.getByLabel('Where, and how large').fill('at the throat');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'so this ticket stops here' }),
  ).toBeVisible();
  await expect(page.getByText('Setup waits for its owner’s word')).toBeAttached();
  await page.goto(`/tickets/${number}/hand-over`);
  await expect(page.getByText('This station waits for')).toBeVisible();
  const paper = await wordsOfPdf(page, `/papers/${number}/unstrung/pdf`);
  if (paper) expect(paper).toContain('crack: at the throat');
  await page.goto(`/tickets/${number}/inspect`);
  await page.getByLabel('Its owner’s written word').fill('I know, one last match.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.waitForURL(/\/frame$/);
  await page.goto(`/tickets/${number}/inspect`);
  await expect(page.getByText('“I know, one last match.”')).toBeVisible();
});

test('clients of another program come in from its table, row by row first', async ({ page }) => {
  page.setDefaultTimeout(20_000);
  const [one, two] = [own('Imogen Farrow'), own('Piran Lusk')];
  await page.goto('/clients/import');
  await awake(page);
  const table = `A;B;C;D\n${one};von Ahn;555 01;links\n${two};;;\n;;x;\n`;
  const file = page.getByLabel('Table of clients');
  await page.context().setOffline(true);
  await file.setInputFiles(fileOf('clients.csv', table));
  await expect(sentence(page, 'could not be asked for, so nothing was read')).toBeVisible();
  await page.context().setOffline(false);
  await file.setInputFiles(fileOf('clients.csv', table));
  await expect(page.getByText('0 new, 0 here already, 3 not right')).toBeVisible();
  await expect(sentence(page, 'could not be asked for')).toBeHidden();
  const holds = (column: string, what: string) =>
    page.getByLabel(`“${column}” holds`).selectOption(what);
  await holds('A', 'Name');
  await holds('B', 'Name');
  await holds('C', 'How to reach them');
  await holds('D', 'Notes');
  await expect(page.getByText('2 new, 0 here already, 1 not right')).toBeVisible();
  // A drawn name may itself hold these words, but never begins its line with them.
  await expect(page.getByRole('row', { name: /^row 4 / })).toContainText('Give the client’s name');
  await page.getByRole('button', { name: 'Bring 2 clients in' }).click();
  await page.waitForURL('/clients');
  await page.goto(`/clients?find=${encodeURIComponent(one)}`);
  await expect(page.getByRole('link', { name: `${one} von Ahn` })).toBeVisible();
  await page.goto('/clients/import');
  await awake(page);
  await page.getByLabel('Table of clients').setInputFiles(fileOf('clients.csv', table));
  await holds('A', 'Name');
  await holds('B', 'Name');
  await expect(page.getByText('0 new, 2 here already, 1 not right')).toBeVisible();
});

test('jobs of before come in from a table, and closed jobs as documents', async ({ page }) => {
  page.setDefaultTimeout(20_000);
  const client = own('Sorrel Tamsin');
  const table = [
    'Date;Customer;Racket;Kg mains;Kg crosses;String;Total',
    `4/17/2025;${client};Threllan Vane 98;24;23;Warp 1.25;24,50`,
    `2/31/2025;${client};Threllan Vane 98;24;23;Warp 1.25;24,50`,
    `4/18/2025;${client};Threllan Vane 98;a lot;;Warp 1.25;24,50`,
  ].join('\n');
  await page.goto('/jobs/import');
  await awake(page);
  const file = page.getByLabel('Table or documents of jobs');
  await file.setInputFiles(fileOf('jobs.csv', table));
  await expect(page.getByText('1 new, 0 here already, 2 not right')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'the month first' })).toBeChecked();
  await expect(page.getByRole('row').filter({ hasText: 'row 3' })).toContainText('no day');
  await page.getByRole('button', { name: 'Bring 1 job in' }).click();
  await page.waitForURL('/rackets');
  // Found by its words, it leads to its racket, and to what is known at the counter.
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox').fill(`${client} warp`);
  await pick(page.getByRole('option').filter({ hasText: client }).filter({ hasText: '24/23' }));
  await page.waitForURL(/\/rackets\/.*#before/);
  await expect(page.getByRole('row').filter({ hasText: 'Warp 1.25' })).toContainText('17 Apr 2025');
  await page.getByRole('link', { name: 'Take it in' }).click();
  await expect(page.getByText('before this record, ')).toBeVisible();

  // What goes out comes in again and adds nothing; another job under the same number is refused.
  const documents = await (await page.request.get('/jobs/documents')).text();
  await page.goto('/jobs/import');
  await awake(page);
  await file.setInputFiles(fileOf('jobs.jsonl', documents));
  const count = documents.trim().split('\n').length;
  await page.getByRole('button', { name: `Bring ${count} jobs in` }).click();
  await page.waitForURL('/jobs');
  // Who pays or collects at this moment, in a test beside this one, changes a job's books only.
  const records = (lines: string) => lines.replaceAll(/,"books":\{.*$/gm, '').split('\n');
  const later = new Set(records(await (await page.request.get('/jobs/documents')).text()));
  expect(records(documents).filter((line) => !later.has(line))).toEqual([]);
  await page.goto('/jobs/import');
  await awake(page);
  const [first = ''] = documents.split('\n');
  await file.setInputFiles(fileOf('jobs.jsonl', first.replace('"client":"', '"client":"Another ')));
  await page.getByRole('button', { name: 'Bring 1 job in' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'is another job here' })).toBeVisible();

  const svg = await page.request.get('/jobs/390/bed');
  expect(svg.headers()['content-type']).toContain('image/svg+xml');
  expect(await svg.text()).toContain('<title>Job 390, ');
});

test('a calendar subscribes to what is promised and due, until its address is withdrawn', async ({
  page,
  playwright,
  baseURL,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/me');
  await page.getByRole('button', { name: 'Make an address to subscribe to' }).click();
  const address = await page.getByText(/\/calendars\/[\w-]{22}$/).innerText();
  // As a calendar reads it: signed in nowhere.
  const calendar = await playwright.request.newContext({ baseURL });
  const answer = await calendar.get(new URL(address).pathname);
  expect(answer.headers()['content-type']).toContain('text/calendar');
  const text = await answer.text();
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
  expect(text).toContain('SUMMARY:Due: ');
  await page.getByRole('button', { name: 'Withdraw the address' }).click();
  await expect(page.getByRole('button', { name: /Make an address/ })).toBeVisible();
  expect((await calendar.get(new URL(address).pathname)).status()).toBe(404);
});

test('money is put right: change, a tip, money given back, a forgotten line, and a job that was closed wrongly', async ({
  page,
}) => {
  const { number } = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${number}/setup`);
  await setUp(page, 'Threllan Plainsong', '24/23 kg');
  await cutAndHandOver(page);
  const payment = page.getByRole('region', { name: 'Payment' });
  await awake(page);
  await expect(payment).toContainText('€22.90 to pay');
  // A slip of a digit does not close the day at 229.
  await payment.getByLabel('Amount (EUR)').fill('229');
  await payment.getByRole('button', { name: 'Mark it as paid' }).click();
  await expect(sentence(page, '€229.00 is €206.10 more than is owed')).toBeVisible();
  await payment.getByLabel('Amount (EUR)').fill('25');
  await payment.getByRole('radio', { name: 'given as change' }).click();
  // The answer to the press is lost on the way: pressed again it counts once, and for another sum it is refused.
  let lost = 0;
  await page.route(`**/jobs/${number}`, async (route) => {
    if (route.request().method() !== 'POST' || lost++ > 0) return route.continue();
    await route.fetch();
    return route.abort();
  });
  await payment.getByRole('button', { name: 'Mark it as paid' }).click();
  await expect(sentence(page, 'does not answer')).toBeVisible();
  await payment.getByLabel('Amount (EUR)').fill('24');
  await payment.getByRole('button', { name: 'Mark it as paid' }).click();
  await expect(sentence(page, 'The press before kept €22.90 by cash, paid.')).toBeVisible();
  await payment.getByLabel('Amount (EUR)').fill('25');
  await payment.getByRole('button', { name: 'Mark it as paid' }).click();
  await expect(payment.getByRole('row')).toContainText(['of €25.00, €2.10 change']);
  await expect(payment.locator('p').first()).toHaveText('paid');

  await payment.getByText('Another payment, or money given back').click();
  await payment.getByLabel('Amount (EUR)').fill('10');
  await payment.getByRole('radio', { name: 'given back' }).click();
  await payment.getByRole('button', { name: 'Mark it as given back' }).click();
  await expect(payment.getByRole('row')).toHaveCount(2);
  // What was given back is nobody's debt.
  await expect(payment.locator('p').first()).toHaveText('paid');

  // A part of an invoice: the note says how much, and what was given back of it.
  await page.getByRole('button', { name: 'Issue an invoice' }).click();
  await page.waitForURL(/\/invoices\/\d+$/);
  const invoice = page.url();
  const takeBack = async (amount: string) => {
    await page.goto(invoice);
    await page.getByText('Take this invoice back, or a part of it').click();
    if (amount) await page.getByLabel('Only a part (EUR)').fill(amount);
    await page.getByLabel('Why').fill('a scratch');
    await page.getByRole('button', { name: 'Issue the credit note' }).click();
    await expect(page.getByRole('heading', { name: /^Credit note/ })).toBeVisible();
  };
  const issued = invoice.split('/').at(-1);
  await takeBack('10');
  await expect(
    page.getByText(`This takes €10.00 of invoice ${issued} back: a scratch`),
  ).toBeVisible();
  await expect(page.getByText(/^Given back: €10\.00 by \w+ on /)).toBeVisible();
  await page.goto(`/jobs/${number}`);
  await awake(page);

  await payment.getByText('Add a line that was forgotten').click();
  await payment.getByLabel('What it is').fill('Overgrip');
  await payment.getByLabel('Price (EUR)').fill('4');
  await payment.getByRole('button', { name: 'Add the line' }).click();
  await expect(payment).toContainText('part paid, €4.00 to pay');
  await expect(fact(page, 'Price')).toContainText('Overgrip €4.00');

  await page.getByText('Void this job').click();
  await page.getByRole('textbox', { name: 'Why' }).fill('the wrong ticket was closed');
  await page.getByRole('button', { name: 'Void the job' }).click();
  await expect(sentence(page, 'Say first what became of its string')).toBeVisible();
  await page.getByRole('radio', { name: 'was not used: back on the shelf' }).click();
  await page.getByRole('button', { name: 'Void the job' }).click();
  await expect(sentence(page, `It stands on invoice ${issued}: take that back`)).toBeVisible();
  await takeBack('');
  await page.goto(`/jobs/${number}`);
  await page.getByText('Void this job').click();
  await page.getByRole('textbox', { name: 'Why' }).fill('the wrong ticket was closed');
  await page.getByRole('radio', { name: 'was not used: back on the shelf' }).click();
  await page.getByRole('button', { name: 'Void the job' }).click();
  await expect(page.getByText(/Voided on .*: the wrong ticket was closed/)).toBeVisible();
  await expect(payment).toContainText('paid too much');
  await page.goto(`/jobs?find=${number}`);
  await expect(page.getByRole('link', { name: String(number), exact: true })).toHaveCount(0);
  await page.goto('/jobs/withdrawn');
  await expect(page.getByText('voided: the wrong ticket was closed').first()).toBeVisible();
});
