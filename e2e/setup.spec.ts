import { expect, test, type Page } from '@playwright/test';
import { awake, choose, cutAndHandOver, fact, own, sentence } from './bench';
import { ticketOn } from './tickets';

/** A 100 in² head with 22 to 26 kg in its throat: common practice starts it at 24. */
const FRAME = 'Ostrevan Heron 100';

const toSetup = async (page: Page, frame: string) => {
  const { number } = await ticketOn(frame);
  await page.goto(`/tickets/${number}/setup`);
  await awake(page);
  return number;
};

const stair = (page: Page, title: string) =>
  page.getByRole('list', { name: 'Staircase' }).getByRole('listitem').filter({ hasText: title });

test('the talk, a setup and the way to the cut, from the keyboard', async ({ page }) => {
  const number = await toSetup(page, FRAME);
  const figures = page.locator('#tension-understood');
  await expect(figures).toContainText('24/24 kg · 52.9/52.9 lb · as advised');

  // The keyboard begins at the first question; each is one stop for Tab, and a digit answers it.
  await expect(page.getByRole('radio', { name: 'junior' })).toBeFocused();
  const talk = page.getByRole('region', { name: 'The talk' });
  const asked = talk.getByRole('radiogroup').or(talk.getByRole('group'));
  await expect(asked).toHaveCount(5);
  await expect(talk.getByRole('radiogroup', { name: 'Arm' })).toBeVisible();
  // Whoever wants to say more is asked everything, from the first question that came.
  await talk.getByRole('button', { name: 'All questions' }).press('Enter');
  await expect(talk.getByRole('radio', { name: 'slow' })).toBeFocused();
  await expect(asked).toHaveCount(17);
  await page.getByRole('radio', { name: 'junior' }).focus();
  await page.keyboard.press('2');
  for (const key of ['2', '1', '1']) {
    await page.keyboard.press('Tab');
    await page.keyboard.press(key);
  }
  await expect(page.getByRole('radio', { name: 'flat' })).toBeChecked();
  await page.keyboard.press('Tab');
  await page.keyboard.press('1');
  await page.keyboard.press('Tab');
  await page.keyboard.press('3');
  await page.keyboard.press('Tab');
  await page.keyboard.press('1');
  await expect(page.getByText('a painful arm belongs with a clinician').first()).toBeVisible();
  // Practice: a sore arm goes down, a slow swing half a step more, with a soft and thin string.
  await expect(figures).toContainText('22/22 kg · 48.5/48.5 lb · as advised');
  await page.keyboard.press('Tab');
  await page.keyboard.press('2');
  await expect(stair(page, 'Wants control')).toContainText('yields to a stronger reason');
  await expect(page.getByRole('list', { name: 'Conflicts' })).toContainText('the arm is sore');

  const setups = page.getByRole('region', { name: 'Setups' });
  const soft = setups.getByRole('listitem', { name: 'full multifilament' });
  await expect(soft).toContainText('22/22 kg');
  await expect(soft).toContainText('1.25 mm');
  await page.getByRole('button', { name: 'That is all they said' }).press('Enter');
  await expect(soft.getByRole('button', { name: 'Take this' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'The talk' })).toContainText(
    'club, slow swing, flat · never breaks · elbow sore now · wants control',
  );
  await expect(page.getByRole('button', { name: 'Save and go to the cut' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/cut$/);

  await page.goto(`/why/${number}`);
  await expect(page.getByText(/at 22\/22 kg \(48\.5\/48\.5 lb\)/)).toBeVisible();
  await expect(
    page.getByText(
      /beside the middle of the printed range, 24 kg, it went in 2 kg lower, for “arm trouble”/,
    ),
  ).toBeVisible();

  // What was said is remembered with the client.
  await page.goto(`/tickets/${number}/setup`);
  await expect(page.getByRole('region', { name: 'The talk' })).toContainText('elbow sore now');
});

test('a step opens, is switched off, and what is typed wins and is recorded', async ({ page }) => {
  const number = await toSetup(page, FRAME);
  const figures = page.locator('#tension-understood');
  await page.getByRole('button', { name: 'All questions' }).click();
  await page.getByLabel('Altitude (m)').fill('2000');
  // Practice: 2000 m, one kilogram more.
  await expect(figures).toContainText('25/25 kg');
  await stair(page, 'Altitude').getByRole('button').click();
  await expect(stair(page, 'Altitude')).toContainText('Thin air slows the ball less');
  await expect(stair(page, 'Altitude')).toContainText('This house: move by small steps');
  await expect(stair(page, 'Altitude')).toContainText('Source: common practice');
  await stair(page, 'Altitude').getByRole('checkbox').click();
  await expect(figures).toContainText('24/24 kg');
  await expect(stair(page, 'Altitude')).toContainText('switched off');
  await stair(page, 'Altitude').getByRole('checkbox').click();
  await expect(figures).toContainText('25/25 kg');

  await page.getByLabel('Altitude (m)').fill('high');
  // Folded away, the talk opens again where a sentence must be read.
  await page.getByRole('button', { name: 'That is all they said' }).click();
  await page.getByRole('button', { name: 'Save and go to the cut' }).click();
  await expect(sentence(page, 'Metres above the sea: 0 to 5000')).toBeVisible();
  await expect(sentence(page, 'Choose the string for the mains')).toBeVisible();
  await page.getByLabel('Altitude (m)').fill('2000 m');

  await choose(page, 'String for the mains', 'Threllan Lull');
  await page.getByLabel('Tension, mains/crosses').fill('26/25');
  await expect(figures).toContainText('+1/±0 kg from the advice');
  await page.getByRole('button', { name: 'Save and go to the cut' }).click();
  await page.waitForURL(/\/cut$/);
  await cutAndHandOver(page);
  await expect(fact(page, 'Advice')).toContainText('25/25 kg');
  await expect(fact(page, 'Advice')).toContainText('pulled +1/±0 kg from the advice');

  // The next job starts from this one: it launched, so a kilogram more, and never above the printed 26.
  await page.getByRole('link', { name: 'The same again' }).click();
  await expect(page.getByLabel('Tension, mains/crosses')).toHaveValue('26/25 kg');
  await page.getByLabel('Promised').fill('+3d');
  await page.getByRole('button', { name: 'Setup' }).click();
  await page.waitForURL(/\/setup$/);
  await awake(page);
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(stair(page, 'The last job')).toContainText('26/25');
  await page.getByRole('checkbox', { name: 'launches' }).click();
  await expect(stair(page, 'It launched')).toContainText('27/26');
  await expect(stair(page, 'The printed maximum')).toContainText('26/26');
  await expect(page.getByRole('region', { name: 'What was in it' })).toBeVisible();
  expect(number).toBeGreaterThan(400);
});

test('what an arm speaks against is not offered; taken all the same, it asks for a word, on record', async ({
  page,
}) => {
  await toSetup(page, FRAME);
  await page.getByRole('radio', { name: 'sore now', exact: true }).first().click();
  const setups = page.getByRole('region', { name: 'Setups' });
  const offered = setups.getByRole('list').first();
  await expect(offered).toContainText('ull multifilament');
  await expect(offered).not.toContainText('Full monofilament');
  await setups.getByText(/^Not advised: \d+$/).click();
  const refused = setups.getByRole('list', { name: 'Not advised' });
  const monofilament = refused.getByRole('listitem', { name: 'full monofilament' });
  await expect(monofilament).toContainText('never a firm string at a high tension');
  await monofilament.getByRole('button', { name: 'Take it on my word' }).click();
  await page.getByRole('button', { name: 'Save and go to the cut' }).click();
  await expect(page.getByLabel('Your own word for it')).toBeFocused();
  await expect(page.getByLabel('Your own word for it')).toHaveAttribute('aria-invalid', 'true');
  await page
    .getByLabel('Your own word for it')
    .fill('Their coach insists; told to stop when it hurts.');
  await page.getByRole('button', { name: 'Save and go to the cut' }).click();
  await page.waitForURL(/\/cut$/);
  await cutAndHandOver(page);
  await expect(fact(page, 'Not advised')).toContainText('Arm trouble');
  await expect(fact(page, 'Not advised')).toContainText('Their coach insists');
});

test('a house rule moves the next job, and a job keeps the rules it was begun with', async ({
  page,
}) => {
  // Only this test strings squash with monofilament, so no other one meets the rule it changes.
  const begun = await toSetup(page, 'Bryndal Cinder 120');
  const figures = page.locator('#tension-understood');
  await choose(page, 'String for the mains', 'Cordwane Nick');
  await expect(stair(page, 'Monofilament lower')).toContainText('−0.9 kg');
  const before = await figures.textContent();
  await page.getByRole('button', { name: 'Save and go to the cut' }).click();
  await page.waitForURL(/\/cut$/);

  await page.goto('/workshop/house-rules');
  await awake(page);
  const lowered = page.getByLabel('Monofilament lower by (%)');
  await lowered.fill('40');
  await page.getByRole('button', { name: 'Save the house rules' }).click();
  await expect(sentence(page, '0 to 20 %')).toBeVisible();
  await lowered.fill('15');
  await page.getByRole('button', { name: 'Save the house rules' }).click();
  await expect(page.getByText('The house rules are saved')).toBeVisible();

  await page.goto(`/tickets/${begun}/setup`);
  await expect(figures).toHaveText(before ?? '');
  await page.getByRole('checkbox', { name: 'Use the house rules of today' }).click();
  await expect(stair(page, 'Monofilament lower')).toContainText('−1.8 kg');

  await page.goto('/workshop/house-rules');
  await awake(page);
  await lowered.fill('7.5');
  await page.getByRole('button', { name: 'Save the house rules' }).click();
  await expect(page.getByText('The house rules are saved')).toBeVisible();
});

test('the same feel: the same frame the same figure, a larger head a higher one', async ({
  page,
}) => {
  await page.goto('/rackets?find=Brackwether');
  await page.getByRole('link', { name: FRAME }).first().click();
  await page.getByRole('link', { name: 'Same feel on another racket' }).click();
  await awake(page);
  const answer = page.getByRole('region', { name: 'The same feel' });
  await page.getByLabel('At this tension').fill('24/23');
  await choose(page, 'And now string this one', FRAME);
  await expect(answer).toContainText('24/23 kg');
  // From memory: strung tennis rackets measure 30 to 44 N/mm; aramid stretches least and is stiffest.
  const stiffness = async () =>
    Number(/([\d.]+) N\/mm/.exec((await answer.textContent()) ?? '')?.[1]);
  const nylon = await stiffness();
  expect(nylon).toBeGreaterThan(30);
  expect(nylon).toBeLessThan(44);
  await page.getByText('Both strung with').click();
  const mains = page.getByRole('radiogroup', { name: 'Mains' });
  await mains.getByRole('radio', { name: 'aramid' }).click();
  await expect.poll(stiffness).toBeGreaterThan(nylon);
  await page.getByLabel('Thickness of the mains').fill('9');
  await expect(sentence(page, '9 mm is no tennis string')).toBeVisible();
  await page.getByLabel('Thickness of the mains').fill('16L');
  await choose(page, 'And now string this one', 'Tarnhelve Groyne Wide 115');
  await expect(answer).toContainText(/needs \d+\.\d % more/);
  await choose(page, 'And now string this one', 'Wexquay Wisp 7');
  await expect(sentence(page, 'choose one of the same sport')).toBeVisible();
  // Practice: a lock-out settles lower; 7.5 % stands in until somebody measures.
  await expect(page.getByRole('region', { name: 'Between machines' })).toContainText('22/21.5 kg');
});

test('strings come in from a table as a whole, and go out again', async ({ page }) => {
  const name = own('Test Weft');
  const head = 'name,sport,family,gauges_mm,set_m,set_price,not_for';
  await page.goto('/strings/import');
  await awake(page);
  const table = page.getByLabel('Or paste the table');
  await table.fill(
    `${head}\n${name},tennis,multifilament,1.25 1.30,12.2,17.50,juniors\nOdd,tennis,wire,1.25,12.2,9,`,
  );
  await expect(page.getByRole('row', { name: /row 2/ })).toContainText('new');
  await expect(page.getByRole('row', { name: /row 3/ })).toContainText(
    'family: The family is one of',
  );
  await expect(page.getByRole('button', { name: /Bring in/ })).toBeDisabled();
  await table.fill(`${head}\n${name},tennis,multifilament,1.25 1.30,12.2,17.50,juniors`);
  await page.getByRole('button', { name: 'Bring in 1 string' }).click();
  await page.waitForURL('/strings');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save all as a table' }).click(),
  ]);
  const saved = await download.createReadStream();
  let text = '';
  for await (const chunk of saved) text += String(chunk);
  expect(text).toContain(
    `${name},tennis,multifilament,,round,,1.25 1.30,12.2,17.50,,,,,,,juniors,`,
  );
});
