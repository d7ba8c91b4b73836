import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import wavefile from 'wavefile';
import { chanceFrom } from '@/core/maths/chance';
import { tappedBed } from '@/core/testing/tapped';
import { isAccessible } from './accessible';
import { awake, pick, sentence } from './bench';
import { mailTo, type Mail } from './mail';
import { OWNER, strangerIn } from './people';

const RATE = 48_000;

/** A recording of taps on a bed of such a pitch. */
function tapsFile(folder: string, hz: number): string {
  const samples = tappedBed(chanceFrom(12), {
    hz,
    at: [0.5, 1.2, 1.9, 2.6, 3.3],
    seconds: 4,
    rate: RATE,
    decayS: 0.1,
    signalToNoiseDb: 25,
  });
  const wav = new wavefile.WaveFile();
  wav.fromScratch(
    1,
    RATE,
    '16',
    Array.from(samples, (sample) => Math.round(sample * 32_767)),
  );
  const file = join(folder, 'taps.wav');
  writeFileSync(file, wav.toBuffer());
  return file;
}

/** The one message of a subject that came to somebody. */
async function expectMail(address: string, subject: string): Promise<readonly Mail[]> {
  const mine = async () => (await mailTo(address)).filter((mail) => mail.subject === subject);
  await expect.poll(async () => (await mine()).length).toBe(1);
  return mine();
}

test('a bed of eight weeks ago is due in nine days by its curve, is tapped, and its owner is reminded once', async ({
  page,
  browser,
  baseURL,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/');
  const due = page.getByRole('region', { name: 'Due again' });
  const row = due.getByRole('row', { name: /Hesper Dunnock-Vane/ });
  await expect(row).toContainText('by what its strings have lost by then');
  await row.getByRole('link').click();
  await page.waitForURL(/\/ageing$/);
  const address = page.url();
  await expect(page.getByText('in 9 days,')).toBeVisible();
  await expect(page.getByText('by the curve, which decides')).toBeVisible();
  await expect(page.getByText(/2 readings of this racket made it \d+ % narrower/)).toBeVisible();
  await awake(page);
  await isAccessible(page);

  // Nonsense is answered at its field.
  await page.getByLabel('Its figure').fill('soft');
  await page.getByLabel('On', { exact: true }).fill('2020-01-05');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(sentence(page, 'A tester’s figure is 1 to 999.')).toBeVisible();
  await expect(sentence(page, 'nothing was measured before')).toBeVisible();
  await page.getByText('a weight and a caliper').click();
  await page.getByLabel('Goes in (mm)').fill('6.4');
  await page.getByLabel('On', { exact: true }).fill('');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(sentence(page, 'Which mass, in grams')).toBeVisible();
  await page.getByLabel('Under a mass of (g)').fill('2000');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  const readings = page.getByRole('region', { name: 'Readings' });
  await expect(readings).toContainText('6.4 mm under 2000 g');
  await readings
    .getByRole('row', { name: /6\.4 mm/ })
    .getByRole('button', { name: 'Take back' })
    .click();
  await expect(readings).not.toContainText('6.4 mm');

  // A browser whose microphone hears the taps.
  const folder = mkdtempSync(join(tmpdir(), 'orthotens-'));
  const listening = await chromium.launch({
    executablePath: process.env.ORTHOTENS_CHROMIUM ?? '/usr/bin/chromium-headless-shell',
    args: [
      '--no-sandbox',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${tapsFile(folder, 670)}`,
    ],
  });
  const ear = await (
    await listening.newContext({ storageState: OWNER, ...(baseURL && { baseURL }) })
  ).newPage();
  ear.setDefaultTimeout(20_000);
  await ear.goto(address);
  await awake(ear);
  await ear.getByRole('button', { name: 'Listen' }).click();
  await expect(ear.getByText('Tap now.')).toBeVisible();
  await ear.waitForTimeout(4500);
  await ear.getByRole('button', { name: 'I have tapped' }).click();
  await expect(ear.getByText(/^6(6[6-9]|7[0-3])\.\d Hz/)).toBeVisible();
  await ear.getByRole('button', { name: 'Keep this tap' }).click();
  await expect(ear.getByRole('region', { name: 'Readings' })).toContainText(
    /6(6[6-9]|7[0-3])\.\d Hz, tapped/,
  );
  await expect(ear.getByText(/3 readings of this racket/)).toBeVisible();
  await listening.close();
  rmSync(folder, { recursive: true });

  // A microphone that is refused says so, and a recording that is none.
  await page.reload();
  await awake(page);
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(page.getByRole('alert').filter({ hasText: /microphone|listen/ })).toBeVisible();
  await page.getByText('From a recording').click();
  await page.getByLabel('Recording of the taps').setInputFiles({
    name: 'taps.wav',
    mimeType: 'audio/wav',
    buffer: Buffer.from('RIFF nothing'),
  });
  await expect(sentence(page, 'no sound that can be read')).toBeVisible();

  // The reminder goes out once, whoever asks for it.
  await page.goto('/');
  await row.getByRole('button', { name: 'Remind' }).click();
  await expect(row).toContainText(/reminded/);
  await page.goto('/outbox');
  await expect(page.getByRole('row', { name: /due, job \d+ Hesper Dunnock-Vane/ })).toHaveCount(1);

  const [mail] = await expectMail(
    'hesper@skerrowmouth.example',
    'Your strings have done their time',
  );
  const link = /http\S+\/c\/[\w-]{22}/.exec(mail?.text ?? '')?.[0] ?? '';

  // The client’s own page shows the curve, and goes by what they say they play.
  const theirs = await strangerIn(browser);
  theirs.setDefaultTimeout(20_000);
  await theirs.goto(link);
  const curve = theirs.getByRole('img', {
    name: /^Strung at .* left; due \d+ days after stringing\.$/,
  });
  const words = (await curve.getAttribute('aria-label')) ?? '';
  await expect(
    theirs.getByText(/About \d+ hours? of play (are|is) left\.|Its hours are played\./),
  ).toBeVisible();
  const plays = theirs.getByLabel('I play so many times a week');
  await plays.fill('daily');
  await theirs.getByRole('button', { name: 'Show my curve' }).click();
  await expect(theirs.getByText('So many times a week cannot be')).toBeVisible();
  await plays.fill('4');
  await theirs.getByRole('button', { name: 'Show my curve' }).click();
  await expect(theirs.getByText('at 4 plays a week')).toBeVisible();
  await expect(curve).not.toHaveAttribute('aria-label', words);
  const calendar = await theirs.request.get(`${link}/calendar`);
  expect(await calendar.text()).toMatch(
    /BEGIN:VEVENT[\s\S]*DTSTART;VALUE=DATE:\d{8}[\s\S]*Strings are due/,
  );
  await theirs.context().close();
});

test('the next take-in asks how the last bed played, and Setup begins with it', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/tickets/405/take-in');
  await awake(page);
  const asked = page.getByRole('region', { name: 'How the last one played' });
  await asked.getByRole('checkbox', { name: 'launches' }).click();
  await asked.getByRole('radio', { name: 'no, another one' }).click();
  await asked.getByRole('button', { name: 'Save how it played' }).click();
  await expect(asked.getByText('It is saved, and Setup begins with it.')).toBeVisible();
  await page.goto('/tickets/405/setup');
  await expect(page.getByText(/^They would not take .* again\./)).toBeVisible();
  await expect(page.getByText(/last time: launches/).first()).toBeVisible();
  await expect(page.getByText('It launched').first()).toBeVisible();
  // What was said already can be said again, with a word more.
  await page.goto('/tickets/405/take-in');
  await awake(page);
  await expect(asked.getByRole('checkbox', { name: 'launches' })).toBeChecked();
  await asked.getByLabel('A word more, if you like').fill('too lively indoors');
  await asked.getByRole('button', { name: 'Save how it played' }).click();
  await expect(asked.getByText('It is saved, and Setup begins with it.')).toBeVisible();
  await page.reload();
  await expect(asked.getByLabel('A word more, if you like')).toHaveValue('too lively indoors');
});

test('a racket is weighed and swung, what would make it another is worked out, and the hoop is seen pull by pull', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/tickets/401/pull');
  await page.getByRole('link', { name: 'What the hoop does' }).click();
  await page.waitForURL(/\/load$/);
  const hoop = page.getByRole('img', {
    name: /^The hoop with the mounts open: length \+0\.\d\d mm, width −1\.\d\d mm/,
  });
  await expect(hoop).toBeVisible();
  await page.getByRole('slider').fill('3');
  await expect(page.getByRole('img', { name: /^The hoop after M\d[LR]:/ })).toBeVisible();
  // The other ways are worked out beside the page, and drawn side by side.
  const ways = page.getByRole('main').getByRole('table');
  await expect(ways.getByRole('row')).toHaveCount(11, { timeout: 30_000 });
  await ways.getByRole('checkbox', { name: 'on two mounts' }).click();
  await expect(
    page.getByRole('heading', { name: /as planned beside on two mounts/ }),
  ).toBeVisible();
  await expect(page.getByRole('img', { name: /^The hoop after M\d[LR]:/ })).toHaveCount(2);
  // A third that stands above the second in the list is drawn where the title has it: last.
  await ways.getByRole('checkbox').nth(1).click();
  const drawn = page.getByRole('main').locator('h3');
  await expect(drawn).toHaveCount(3);
  await expect(
    page.getByRole('heading', {
      name: `Under load, ${(await drawn.allInnerTexts()).join(' beside ')}`,
    }),
  ).toBeVisible();
  await ways.getByRole('checkbox').nth(1).click();
  await expect(page.getByText(/^The mounts bear: head \d+ N, throat \d+ N\.$/)).toBeVisible();

  // Calipers: nonsense is refused, what the page expects itself is a hoop of the usual stiffness.
  const calipers = page.getByRole('region', { name: 'Measured with calipers' });
  const [, length = '', width = ''] =
    /should be (\S+) and (\S+) after/.exec((await calipers.innerText()).replace(/\s+/g, ' ')) ?? [];
  await awake(page);
  await page.getByLabel('Length after the mains (mm)').fill('a little');
  await page.getByLabel('Width after the mains (mm)').fill(width);
  await page.getByRole('button', { name: 'This hoop measures so' }).click();
  await expect(sentence(page, 'Against the empty frame, in mm')).toBeVisible();
  await page.getByLabel('Length after the mains (mm)').fill('9');
  await page.getByRole('button', { name: 'This hoop measures so' }).click();
  await expect(page.getByText('No hoop does that')).toBeVisible();
  await page.getByLabel('Length after the mains (mm)').fill(length);
  await page.getByRole('button', { name: 'This hoop measures so' }).click();
  await expect(
    page.getByText(/This hoop was measured: \d+ % of the usual stiffness/),
  ).toBeVisible();

  await page.goto('/rackets?find=Caspian');
  await page.getByRole('main').getByRole('row').nth(1).getByRole('link').first().click();
  await page.waitForURL(/\/rackets\/[0-9a-f-]{36}$/);
  await page.getByRole('link', { name: 'Mass and balance' }).click();
  await page.waitForURL(/\/balance$/);
  await awake(page);
  await page.getByLabel('Mass (g)', { exact: true }).fill('31');
  await page.getByLabel('Put on since, one a line').fill('some lead');
  await page.getByRole('button', { name: 'Save these figures' }).click();
  await expect(sentence(page, 'A racket weighs 60 to 450 g.')).toBeVisible();
  await expect(sentence(page, 'is no part: write 5 g at 680 tip')).toBeVisible();
  await page.getByLabel('Mass (g)', { exact: true }).fill('300');
  await page.getByLabel('Balance (mm from the butt)').fill('320');
  await page.getByLabel('Swing weight (kg·cm²)', { exact: true }).fill('300');
  await page.getByLabel('Put on since, one a line').fill('10 g at 600 tip');
  await page.getByRole('button', { name: 'Save these figures' }).click();
  // Σmx/Σm, and 10 g at half a metre from the axis.
  await expect(page.getByRole('row', { name: 'with what was put on' })).toContainText(
    '310.0 g329.0 mm325.0 kg·cm²',
  );
  await page.getByLabel('Wanted mass (g)').fill('315');
  await expect(
    page.getByText('So it comes to what is wanted.').or(page.getByText('the nearest is')),
  ).toBeVisible();
  await page.getByLabel('Wanted mass (g)').fill('3');
  await expect(page.getByText('A racket weighs 60 to 450 g.')).toBeVisible();

  // What is in it is known from its last job; what another one weighs more or less is put on.
  const another = page.getByRole('region', { name: 'Another string' });
  await another.getByRole('combobox', { name: 'String' }).fill('Bryndal Anvil');
  await pick(page.getByRole('option').first());
  await another.getByRole('button', { name: /^Put on: -?\d/ }).click();
  await expect(page.getByLabel('Put on since, one a line')).toHaveValue(
    /^10 g at 600 tip\n-?\d+(\.\d)? g \d{3}-\d{3} Bryndal Anvil/,
  );

  // In a hot car it loses more by lying.
  await page.goto(page.url().replace('/balance', '/ageing'));
  await awake(page);
  const curve = page.getByRole('region', { name: 'The curve' });
  const before = await curve.innerText();
  await page.getByRole('radio', { name: 'a hot car or attic' }).click();
  await expect.poll(() => curve.innerText()).not.toBe(before);
  await page.reload();
  await expect(page.getByRole('radio', { name: 'a hot car or attic' })).toBeChecked();
});
