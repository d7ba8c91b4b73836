import { spawn, type ChildProcess } from 'node:child_process';
import { openSync } from 'node:fs';
import { createServer } from 'node:net';
import { expect, type Page } from '@playwright/test';
import { awake, cutToHandOver, fact, handOver, setUp, takeIn } from './bench';

export const step = (page: Page) => page.getByRole('region', { name: 'Step' });
/** The line of words of the step in hand, without the figures above and the next step below. */
export const words = (page: Page): Promise<string> => step(page).locator('p').nth(1).innerText();
export const header = (page: Page) => page.locator('header');
export const kept = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: 'All is on the server' })).toBeVisible();

/** A new job, cut and ready; ends at its Pull station. */
export async function readyJob(
  page: Page,
  frame: string,
  string: string,
  tension: string,
  machine?: string,
): Promise<number> {
  const { number } = await takeIn(page, frame, true);
  await page.goto(`/tickets/${number}/setup`);
  await setUp(page, string, tension);
  if (machine) await page.getByRole('radio', { name: machine }).click();
  await cutToHandOver(page);
  return number;
}

/** Opens the bench of a job, and waits until it answers to keys. */
export async function toBench(page: Page, number: number, origin = ''): Promise<number> {
  await page.goto(`${origin}/bench/${number}`);
  await expect(page.getByRole('button', { name: '. pause' })).toBeEnabled();
  return Number(/of (\d+)/.exec(await header(page).innerText())?.[1]);
}

/** What can be pressed at the bench and is less than 44 px high or wide. */
export const tooSmall = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('main :is(button, a[href], select, summary)')]
      .filter((target) => target.checkVisibility() && !target.closest('[inert]'))
      .filter((target) => {
        const { width, height } = target.getBoundingClientRect();
        return width < 43.5 || height < 43.5;
      })
      .map((target) => target.textContent),
  );

/** Where the bench leads to the last look, takes it and comes back; does nothing at every other step. */
export async function lookOnTheWay(page: Page): Promise<void> {
  if (!(await step(page).innerText()).includes('Weave, gaps, knots')) return;
  // What is not at the server yet is not known to it.
  await kept(page);
  if ((await page.getByRole('button', { name: 'Take the last look (space)' }).count()) === 0)
    return;
  await page.keyboard.press('Space');
  await page.waitForURL(/\/last-look\?bench=1$/);
  await awake(page);
  await page.getByRole('button', { name: 'All good at once' }).click();
  await page.getByRole('button', { name: 'Save the last look' }).click();
  await page.waitForURL(/\/bench\/\d+$/);
  await expect(page.getByRole('button', { name: '. pause' })).toBeEnabled();
}

/** Presses the space bar until so many steps are done. */
export async function spaceTo(page: Page, from: number, to: number): Promise<void> {
  for (let i = from; i < to; i++) {
    await lookOnTheWay(page);
    await page.keyboard.press('Space');
    await expect(header(page)).toContainText(`${i + 1} of`);
  }
}

/** Hands a job over and reads every pull off its record: what was asked, by string. */
export async function recordedPulls(
  page: Page,
  number: number,
): Promise<ReadonlyMap<string, string>> {
  await page.goto(`/tickets/${number}/hand-over`);
  await handOver(page);
  const bench = fact(page, 'At the bench');
  await expect(bench).toContainText('pulled by hand');
  await bench.getByText('Every pull').click();
  const rows = (await bench.getByRole('row').allInnerTexts()).slice(1);
  return new Map(
    rows.map((row) => {
      const [string = '', asked = ''] = row.split('\t');
      return [string, asked] as const;
    }),
  );
}

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });

/** A second server on the same database, that a test may kill. */
export class OwnServer {
  private process: ChildProcess | undefined;
  private constructor(
    private readonly port: number,
    private readonly env: Record<string, string>,
    private readonly log: string | undefined,
  ) {}

  static async open(env: Record<string, string> = {}, log?: string): Promise<OwnServer> {
    const server = new OwnServer(await freePort(), env, log);
    await server.start();
    return server;
  }

  get origin(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const log = this.log === undefined ? 'ignore' : openSync(this.log, 'a');
    this.process = spawn(
      process.execPath,
      ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(this.port)],
      { stdio: ['ignore', log, log], env: { ...process.env, NODE_ENV: 'production', ...this.env } },
    );
    await expect
      .poll(() =>
        fetch(`${this.origin}/health`).then(
          // Without its database it is up, too, and says so.
          ({ status }) => status === 200 || status === 503,
          () => false,
        ),
      )
      .toBe(true);
  }

  /** As a power cut does it. */
  async kill(): Promise<void> {
    const gone = new Promise((resolve) => this.process?.once('exit', resolve));
    this.process?.kill('SIGKILL');
    await gone;
  }
}
