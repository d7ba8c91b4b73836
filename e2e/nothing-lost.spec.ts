import { readFile } from 'node:fs/promises';
import { createServer, connect, type Server } from 'node:net';
import { expect, test, type Page } from '@playwright/test';
import { kept, header, OwnServer, spaceTo, toBench } from './at-the-bench';
import { awake, cutAndHandOver, fact, handOver, own, sentence, setUp } from './bench';
import { openFrame, readyTicket } from './tickets';

const FORGED = '3f2504e0-4f89-41d3-9a0c-0305e82c3301';

const savedClient = async (page: Page) => {
  const name = own('Kept');
  await page.goto('/clients/new');
  await page.getByLabel('Name').fill(name);
  await page.getByRole('button', { name: 'Keep this client' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  return name;
};

test('nothing is saved while a sentence says that it is wrong: a frame that is not in the library', async ({
  page,
}) => {
  await openFrame(page, 'Ostrevan Heron 100');
  await page.getByRole('link', { name: 'Ostrevan Heron 100' }).first().click();
  await page.waitForURL(/\/rackets\//);
  await page.getByLabel('Frame').fill('Heron of another kind');
  await page.keyboard.press('Escape');
  await page.getByLabel('Notes').fill('must not be lost');
  await page.getByRole('button', { name: 'Save the racket' }).click();
  await expect(sentence(page, 'None goes by “Heron of another kind”')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Frame')).toHaveValue('Heron of another kind');
  await expect(page.getByRole('heading', { name: 'Ostrevan Heron 100' })).toBeVisible();
  await page.getByLabel('Frame').fill('ostrevan heron 100');
  await page.getByRole('button', { name: 'Save the racket' }).click();
  await page.reload();
  await expect(page.getByLabel('Notes')).toHaveValue('must not be lost');
  await expect(page.getByLabel('Frame')).toHaveValue('Ostrevan Heron 100');
});

test('a conflict between two tabs keeps what was typed across the reload that it asks for', async ({
  page,
  context,
}) => {
  const name = await savedClient(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByLabel('How to reach them').fill('from the other tab');
  await page.getByLabel('Notes').fill('typed here');
  await other.getByRole('button', { name: 'Save the client' }).click();
  await expect(other.getByText('The client is saved')).toBeVisible();
  await page.getByRole('button', { name: 'Save the client' }).click();
  await expect(sentence(page, 'what you typed is put over it')).toBeVisible();
  await page.reload();
  await expect(page.getByText('This was saved anew since you typed')).toBeVisible();
  await expect(page.getByLabel('Notes')).toHaveValue('typed here');
  await expect(page.getByLabel('How to reach them')).toHaveValue('from the other tab');
  await page.getByRole('button', { name: 'Save the client' }).click();
  await expect(page.getByText('The client is saved')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Notes')).toHaveValue('typed here');
  await expect(page.getByRole('heading', { name })).toBeVisible();
});

test('a page and a bench that were made for another workshop are refused', async ({ page }) => {
  await page.goto('/clients/new');
  await page.getByLabel('Name').fill(own('Elsewhere'));
  await page.route('**/clients/new', (route) => {
    const body = route.request().postData();
    return body === null
      ? route.continue()
      : route.continue({ postData: body.replace(/^\["[0-9a-f-]{36}"/, `["${FORGED}"`) });
  });
  await page.getByRole('button', { name: 'Keep this client' }).click();
  await expect(sentence(page, 'made for another workshop')).toBeVisible();

  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '52/50 lb');
  await toBench(page, number);
  await spaceTo(page, 0, 2);
  await kept(page);
  let foreign = true;
  await page.route('**/deeds', (route) =>
    route.continue(
      foreign
        ? {
            postData: (route.request().postData() ?? '').replace(
              /"madeFor":"[^"]*"/,
              `"madeFor":"${FORGED}"`,
            ),
          }
        : {},
    ),
  );
  await spaceTo(page, 2, 5);
  await expect(page.getByText('Another workshop answers here')).toBeVisible();
  foreign = false;
  await kept(page);
  await page.reload();
  await expect(header(page)).toContainText('5 of');
});

test('a poisoned deed is set aside and shown, and a long backlog goes on in parts', async ({
  page,
}) => {
  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '52/50 lb');
  await toBench(page, number);
  await spaceTo(page, 0, 3);
  await kept(page);
  // As a bench of an earlier version, or a hand in the store, may have left it; and a day without a connection.
  await page.evaluate(
    async ({ ticket, plan }) => {
      const prefix = Object.keys(localStorage).find((key) => key.startsWith('bench '));
      const workshop = await fetch(`/bench/${ticket}`).then((page) => page.text());
      const id = /workshopId\\?":\\?"([0-9a-f-]{36})/.exec(workshop)?.[1] ?? '';
      const bench = crypto.randomUUID();
      const logged = (done: number, deed: object, more: object = {}) => ({
        id: crypto.randomUUID(),
        bench,
        plan,
        at: new Date().toISOString(),
        done,
        deed,
        ...more,
      });
      const notes = Array.from({ length: 1200 }, (_, i) =>
        logged(
          3,
          { kind: 'note', text: `note ${i}` },
          { at: new Date(Date.now() + i).toISOString() },
        ),
      );
      localStorage.setItem(
        prefix ?? `bench ${id} ${ticket} ${bench}`,
        JSON.stringify([
          logged(3, { kind: 'note', text: 'ancient' }, { at: '0000-01-01T00:00:00Z' }),
          ...notes.slice(0, 600),
          logged(999, { kind: 'step' }, { plan: '00000000' }),
          ...notes.slice(600),
        ]),
      );
    },
    { ticket: number, plan: '0badcafe' },
  );
  await expect(page.getByText('2 entries are set aside')).toBeVisible();
  await kept(page);
  await page.getByText('2 entries are set aside').click();
  await expect(page.getByText('its clock is far off')).toBeVisible();
  await expect(page.getByText('a plan that this job does not have')).toBeVisible();
  await page.reload();
  await kept(page);
  // The last thing that comes to this page by itself, and moves what stands below it.
  await expect(page.getByText('Another bench is at work')).toBeVisible();
  await page.getByText('2 entries are set aside').click();
  await page.getByRole('button', { name: 'I have seen it' }).click();
  await expect(page.getByText('set aside')).toHaveCount(0);
  await spaceTo(page, 3, 4);
  await kept(page);
  await page.goto(`/tickets/${number}/hand-over`);
  await expect(page.getByText(/4 of \d+ steps were kept at the bench/)).toBeVisible();
  await handOver(page);
  const bench = fact(page, 'At the bench');
  await expect(bench).toContainText(/4 of \d+ steps; the other \d+ were not kept at the bench/);
  await expect(bench).toContainText('note 1199');
  // The four first steps hold no pull, so none is listed.
  await expect(bench.getByText('Every pull')).toHaveCount(0);
});

test('a job that was never at the bench says so, and one closed elsewhere takes what comes late', async ({
  page,
  context,
}) => {
  await openFrame(page, 'Ostrevan Heron 100');
  await page.getByRole('link', { name: 'The holes are right' }).click();
  await setUp(page, 'Cordwane Drift', '23');
  await cutAndHandOver(page);
  await expect(fact(page, 'At the bench')).toContainText('not kept at the bench');

  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '52/50 lb');
  await toBench(page, number);
  await spaceTo(page, 0, 3);
  await kept(page);
  // This bench loses its line; the job is handed over at the counter, from another machine.
  await page.route('**/deeds', (route) => route.abort());
  await spaceTo(page, 3, 7);
  const counter = await context.newPage();
  await counter.goto(`/tickets/${number}/hand-over`);
  await handOver(counter);
  await expect(fact(counter, 'At the bench')).toContainText(/3 of \d+ steps/);
  await page.unroute('**/deeds');
  await expect(page.getByText('This job is closed; all of it is on record')).toBeVisible();
  await counter.reload();
  await expect(fact(counter, 'At the bench')).toContainText(/3 of \d+ steps/);
  await expect(fact(counter, 'With what came late')).toContainText(/7 of \d+ steps/);
});

test('files of more than a megabyte come in, one after the other, and can be stopped', async ({
  page,
}) => {
  const document = JSON.parse(await readFile('docs/formats/example.json', 'utf8')) as object;
  const names = [1, 2, 3].map((n) => own(`Large ${n}`));
  const files = names.map((name) => ({
    name: `${name}.json`,
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...document, name }) + ' '.repeat(1_500_000)),
  }));
  await page.goto('/frames/import');
  await awake(page);
  await page.getByLabel('Files of frames').setInputFiles(files);
  let sent = 0;
  let goOn: (() => void) | undefined;
  await page.route('**/frames/import/file', async (route) => {
    if (++sent === 2) await new Promise<void>((resolve) => (goOn = resolve));
    await route.continue();
  });
  await page.getByRole('button', { name: 'Keep the 3 new frames' }).click();
  await expect.poll(() => goOn).toBeDefined();
  await page.getByRole('button', { name: 'Stop' }).click();
  goOn?.();
  await expect(sentence(page, 'Stopped: 2 of 3 files are in')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the one new frame' }).click();
  await page.waitForURL('/frames');
  for (const name of names) {
    await page.goto('/frames?find=' + encodeURIComponent(name));
    await expect(page.getByRole('link', { name })).toHaveCount(1);
  }
});

test('after the database was away, trying again really reads again', async ({ page }) => {
  const real = new URL(process.env.DATABASE_URL ?? '');
  const gate: Server = createServer((near) => {
    const far = connect(Number(real.port || 5432), real.hostname);
    for (const [one, other] of [
      [near, far],
      [far, near],
    ] as const) {
      one.on('error', () => other.destroy());
      one.pipe(other);
    }
  });
  const through = new URL(real);
  through.hostname = '127.0.0.1';
  // A port that is free, and that nobody listens on yet.
  await new Promise<void>((resolve) => gate.listen(0, '127.0.0.1', resolve));
  const address = gate.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  await new Promise((resolve) => gate.close(resolve));
  through.port = String(port);
  const server = await OwnServer.open({ DATABASE_URL: through.toString() });
  try {
    await page.goto(`${server.origin}/clients`);
    await expect(page.getByText('The records cannot be read just now')).toBeVisible();
    await new Promise<void>((resolve) => gate.listen(port, '127.0.0.1', resolve));
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: 'Clients' })).toBeVisible();
  } finally {
    await server.kill();
    gate.close();
  }
});

test('the workshop says how old its last proven backup is', async ({ page }) => {
  await expect(async () => {
    await page.goto('/workshop');
    await expect(fact(page, 'Last backup')).toContainText('old, proven', { timeout: 1000 });
  }).toPass({ timeout: 90_000 });
});
