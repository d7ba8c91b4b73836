import { expect, test } from '@playwright/test';
import { isAccessible } from './accessible';
import { awake, own, pick, sentence } from './bench';

/** A day far from those of the other tests. */
const DAY = new Date(Date.now() + 200 * 86_400_000).toISOString().slice(0, 10);

test('a tournament: a player with standing orders, a bag with tags, a match that moves, and the board', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  const name = own('Jetty Cup');
  await page.goto('/events/new');
  await awake(page);
  await page.getByLabel('Event').fill(name);
  await page.getByLabel('Days and hours').fill('some day');
  await page.getByLabel('Ready before the match (min)').fill('soon');
  await page.getByRole('button', { name: 'Add the event' }).click();
  await expect(sentence(page, 'does not begin with a day')).toBeVisible();
  await expect(sentence(page, 'Minutes are a whole number up to 600.')).toBeVisible();
  await page.getByLabel('Days and hours').fill(`${DAY} 8-13 13:30-20`);
  await page.getByLabel('Ready before the match (min)').fill('45');
  await page.getByLabel('Stringing (EUR)').fill('22');
  await page.getByLabel('On top when in a hurry (EUR)').fill('8');
  await page.getByRole('button', { name: 'Add the event' }).click();
  await page.waitForURL(/\/events\/[0-9a-f-]{36}$/);
  const event = page.url();

  const player = own('Wilmot Sarn');
  await awake(page);
  await page.getByLabel('Who plays').fill(player);
  await pick(page.getByRole('option', { name: `New client: ${player}` }));
  await page.waitForURL(/\/players\//);
  await awake(page);
  await page.getByLabel('Standing orders').fill('a few at 24');
  await page.getByRole('button', { name: 'Save what they want' }).click();
  await expect(sentence(page, 'is no order: write 2 at 24/23, every morning.')).toBeVisible();
  await page.getByLabel('Standing orders').fill('two at 24/23, every morning\n1 at 52 lb');
  await page.getByLabel('String', { exact: true }).fill('Cordwane Keel');
  await pick(page.getByRole('listbox').getByRole('option').first());
  await page.getByRole('button', { name: 'Save what they want' }).click();
  await expect(page.getByText('The player is saved.')).toBeVisible();
  await expect(page.getByLabel('Tension (kg)')).toHaveCount(3);
  await expect(page.getByLabel('Tension (kg)').nth(2)).toHaveValue('52/52 lb');

  // The bag: nobody knows when they play, and which frame it is has to be said.
  await page.getByLabel('Frame of the new ones').fill('Jetty frame');
  await page.getByRole('button', { name: 'Take the bag in' }).click();
  await expect(sentence(page, 'Nobody knows yet when they play')).toBeVisible();
  await page.getByLabel('Wanted by').fill(`${DAY} 12:00`);
  await page.getByRole('button', { name: 'Take the bag in' }).click();
  const rackets = page.getByRole('region', { name: 'Their rackets' });
  await expect(rackets.getByRole('row')).toHaveCount(4);
  await expect(rackets.getByRole('row').nth(1)).toContainText(
    /^3.*Jetty frame, 3.*52\/52 lb.*12:00.*waiting/,
  );
  await isAccessible(page);
  // The morning’s are in: the next bag is not the same again.
  await expect(page.getByLabel('Tension (kg)')).toHaveCount(1);
  const ticket = await rackets.getByRole('row').nth(3).getByRole('link').getAttribute('href');

  // The label of one of a bag says whose bag and where, on whatever day it is read.
  await page.goto(`/papers/${/\d+/.exec(ticket ?? '')?.[0] ?? ''}/label`);
  await expect(page.getByText(/^tag \d+, /)).toBeVisible();
  await expect(page.getByText(/tomorrow|today/)).toHaveCount(0);

  // The order of play: what is promised moves with it.
  await page.goto(event);
  await awake(page);
  const line = page.getByRole('row', { name: player });
  await expect(line).toContainText('3 in, 2 wanted');
  const plays = page.getByLabel(`When ${player} plays`);
  await plays.fill('yesterday');
  await line.getByRole('button', { name: 'Set' }).click();
  await expect(line.getByRole('alert')).toBeVisible();
  await plays.fill(`${DAY} 14:00`);
  await line.getByRole('button', { name: 'Set' }).click();
  await expect(line).toContainText('13:15');
  const later = page.getByLabel('Later by (min)');
  await later.fill('0');
  await page.getByRole('button', { name: 'Move them all' }).click();
  await expect(sentence(page, 'Say by how many minutes')).toBeVisible();
  await later.fill('30');
  await page.getByRole('button', { name: 'Move them all' }).click();
  await expect(page.getByText('1 player and 3 open rackets moved.')).toBeVisible();
  await expect(line).toContainText('13:45');
  await expect(line).toContainText('1 2 3 waiting');

  // A tag is a ticket like any other.
  await page.goto(ticket ?? '');
  await expect(page.getByRole('main').getByText(/13:45/).first()).toBeVisible();
  await expect(page.getByRole('link', { name })).toBeVisible();

  // The board for the wall gives no name away that is not to be shown.
  await page.goto(`${event}/board`);
  await expect(page.getByRole('listitem')).toContainText('W. S.');
  await expect(page.getByRole('listitem')).toContainText('14:30');
  await expect(page.getByText(player)).toBeHidden();
  await isAccessible(page);
  await page.goto(`${event}/account`);
  await expect(page.getByText('Nothing was handed over on this day.')).toBeVisible();

  // An entry list comes in as a table, row by row first; a second time it adds nobody.
  await page.goto(event);
  await page.getByRole('link', { name: 'Players from a table' }).click();
  const [one, two] = [own('Perran Lisk'), own('Tamsin Orle')];
  const table = `Player;Mail;Rackets\n${player};;\n${one};perran@court.example;"2 at 24/23, every morning; 1 at 52 lb"\n${two};;a few at 24\n`;
  const chooseTable = async (text: string) => {
    await awake(page);
    await page.getByLabel('Table of players').setInputFiles({
      name: 'entries.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(text),
    });
  };
  await chooseTable(table);
  await expect(page.getByText('1 new, 1 here already, 1 not right')).toBeVisible();
  await expect(page.getByRole('row', { name: /^row 4 / })).toContainText('is no order');
  await expect(page.getByRole('row', { name: /^row 3 / })).toContainText(
    'perran@court.example · 2 at 24/23 kg, every morning; 1 at 52/52 lb',
  );
  await isAccessible(page);
  await chooseTable(table.replace('a few at 24', '1 at 25'));
  await page.getByRole('button', { name: 'Bring 2 players in' }).click();
  await page.waitForURL(event);
  await expect(page.getByRole('row', { name: one })).toContainText('0 in, 2 wanted');
  await expect(page.getByRole('row', { name: two })).toBeVisible();
  await page.getByRole('link', { name: 'Players from a table' }).click();
  await chooseTable(table.replace('a few at 24', '1 at 25'));
  await expect(page.getByText('0 new, 3 here already, 0 not right')).toBeVisible();
  const many = Array.from({ length: 501 }, (_, i) => `Entrant ${i}`).join('\n');
  await chooseTable(`Player\n${many}\n`);
  await page.getByRole('button', { name: 'Bring 501 players in' }).click();
  await expect(sentence(page, 'at most 500 in one table. Nobody was brought in.')).toBeVisible();
});
