/** What a finished bed tells, and the last look at one of one's own. */
import { expect, test } from '@playwright/test';
import { awake, cutToHandOver, fact, pick, sentence, setUp } from './bench';
import { ticketOn } from './tickets';

test('a bed that was strung elsewhere is gone over, tells its story, and is kept with its racket', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/rackets?find=abroad');
  await page.getByRole('main').getByRole('row').nth(1).getByRole('link').first().click();
  await page.waitForURL(/\/rackets\/[0-9a-f-]{36}$/);
  await page.getByRole('link', { name: 'Read its bed' }).click();
  await page.waitForURL(/\/reading$/);
  await awake(page);
  // The demo's misstrung racket: 18 mains, the outermost on the left of the other string, the mains tied at both ends.
  const before = page.getByRole('region', { name: 'Read before' });
  await expect(before.getByRole('row').nth(1)).toContainText(
    'The mains piece was too short, and was patched',
  );
  await expect(before).toContainText('an outer main is of the crosses’ string');

  const tells = page.getByRole('region', { name: 'What it tells' });
  await expect(tells).toContainText('Nothing was looked at yet.');
  await expect(tells).not.toContainText('Leave it');

  // Straight crosses prove nothing about direction; a bow to the head says that they came from the throat.
  await page.getByRole('radiogroup', { name: 'Crosses bow' }).getByText('not at all').click();
  await expect(tells).toContainText('cannot be told: a straight bed proves nothing');
  await page.getByRole('radiogroup', { name: 'Crosses bow' }).getByText('to the head').click();
  await page.getByLabel('By (mm, at the middle)').fill('a little');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(sentence(page, 'How far, in mm from rim to rim?')).toBeVisible();
  await page.getByLabel('By (mm, at the middle)').fill('4.5');
  await expect(tells.getByRole('listitem').first()).toContainText('Crosses from the throat up');
  await expect(tells).toContainText('for it: the crosses bow 4.5 mm towards the head');
  await expect(tells).toContainText('Watch it: look at the frame at 10 and 2 o’clock');

  // On a photograph, which stays in the browser: three presses, the middle 6 of 200 below the line.
  await page.getByText('Measure the bow on a photograph').click();
  await page.getByLabel('Photograph of the bed').setInputFiles('docs/screenshots/reading.png');
  const photo = page.getByRole('button', { name: /^Photograph: press the ends/ });
  for (const [x, y] of [
    [40, 50],
    [140, 56],
    [240, 50],
  ] as const)
    await photo.click({ position: { x, y } });
  await expect(page.getByText('Measured. A press begins anew.')).toBeVisible();
  // 6/200 of the longest cross of this frame, 244 mm and a little less.
  await expect(page.getByLabel('By (mm, at the middle)')).toHaveValue(/^7\.[0-9]$/);
  await expect(tells.getByRole('listitem').first()).toContainText('Crosses never straightened');
  await page.getByRole('radiogroup', { name: 'Crosses bow' }).getByText('to the head').click();
  await page.getByLabel('By (mm, at the middle)').fill('4.5');

  // Two pairs tell nothing yet, and it is said; a millimetre that is not typed yet takes nothing away.
  await page.getByLabel('Mains, left and right (Hz)').fill('612 598\n604 590');
  await expect(tells).toContainText('2 pairs of mains were rung: from three on they count.');
  await expect(tells.getByRole('listitem').first()).toContainText('Crosses from the throat up');

  // On the drawing by keys: a crossing that does not alternate, three to the right and one down.
  await page.getByRole('radio', { name: 'weave' }).click();
  const crossing = page.getByRole('button', { name: /^C\d+ M\d[LR]: alternates$/ });
  await crossing.first().focus();
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowDown', 'Enter'])
    await page.keyboard.press(key);
  await expect(page.getByRole('button', { name: /does not alternate$/ })).toHaveCount(1);
  await expect(page.getByRole('checkbox', { name: 'weave' })).toBeChecked();
  await expect(tells).toContainText('A fault in the weave');

  // A reload loses nothing that was marked.
  await page.reload();
  await awake(page);
  await expect(tells).toContainText('A fault in the weave');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(before.getByRole('row')).toHaveCount(3);
  await expect(before.getByRole('row').nth(1)).toContainText('Crosses from the throat up');
  await before.getByRole('row').nth(1).getByRole('button', { name: 'Take back' }).click();
  await expect(before.getByRole('row')).toHaveCount(2);
});

test('the last look closes a job: what was mended stands on the record, teaches, and its tap begins the curve', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  const { number } = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${number}/setup`);
  await setUp(page, 'Threllan Lull', '24/23 kg');
  await cutToHandOver(page);

  const look = page.getByRole('region', { name: 'Last look' });
  await awake(page);
  await look.getByRole('radiogroup', { name: 'Weave' }).getByText('mended').click();
  const press = page.getByRole('button', { name: 'Hand over and close the job' });
  await press.click();
  await expect(sentence(page, 'Something was not looked at yet')).toBeVisible();
  await look.getByRole('button', { name: 'All good at once' }).click();
  await look.getByRole('radiogroup', { name: 'Weave' }).getByText('mended').click();
  await look.getByLabel('Rings at (Hz)').fill('9');
  await press.click();
  await expect(sentence(page, 'A bed rings between 100 and 3000 Hz')).toBeVisible();
  await look.getByLabel('Rings at (Hz)').fill('655.5');
  // The one press of the page takes the look along.
  await page.getByRole('checkbox', { name: 'It is strung to the last knot' }).click();
  await press.click();
  await page.waitForURL(/\/jobs\/\d+$/);
  await expect(fact(page, 'Last look')).toContainText(
    'weave alternates everywhere: mended; rang at 655.5 Hz',
  );
  await page.getByRole('link', { name: /^Ostrevan Heron 100/ }).click();
  await page.getByRole('link', { name: 'How it ages' }).click();
  await expect(page.getByRole('region', { name: 'Readings' })).toContainText('655.5 Hz, tapped');

  // What was amiss in several of the last jobs is said before the next.
  await page.goto('/tickets/401/pull');
  await expect(page.getByRole('region', { name: 'What the last jobs teach' })).toContainText(
    'look at the weave before each pull',
  );
});

test('each answer of the house has its cost on a frame, and crosses are offered what they lose', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await page.goto('/workshop/house-rules');
  await awake(page);
  await page.getByLabel('What each answer costs on this frame').fill('Heron Tour 98');
  await pick(page.getByRole('option', { name: /Heron Tour 98/ }));
  await page.waitForURL(/house-rules\?frame=/);
  const ahead = page.getByRole('region', { name: 'Mains ahead on one side' });
  await expect(ahead.getByText(/mm out of shape on the way/)).toHaveCount(5, { timeout: 30_000 });
  // The schools' own reasons stay beside it.
  await expect(ahead).toContainText('The hoop is pulled out of shape least');
  await page.getByRole('link', { name: 'Under load, pull by pull' }).click();
  await page.waitForURL(/\/frames\/[0-9a-f-]{36}\/load$/);
  // The demo's calipers have measured this one.
  await expect(page.getByText('This hoop was measured: 93 % of the usual stiffness')).toBeVisible();
  await expect(page.getByText(/10 and 2 o’clock bear \+\d\.\d\d N·m/)).toBeVisible({
    timeout: 30_000,
  });
  await expect(page.getByRole('row', { name: /crosses the other way/ })).toBeVisible();

  const { number } = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${number}/setup`);
  await awake(page);
  const offered = page.getByRole('checkbox', { name: 'Crosses end below their figure counts' });
  await expect(offered).not.toBeChecked();
  await expect(page.getByText('offered: tick it to count it')).toBeVisible();
  const advised = page.getByLabel('Tension, mains/crosses');
  const before = await page.getByRole('main').innerText();
  await offered.click();
  await expect(offered).toBeChecked();
  await expect(advised).toBeVisible();
  expect(await page.getByRole('main').innerText()).not.toBe(before);
});
