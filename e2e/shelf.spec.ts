import { expect, test } from '@playwright/test';
import { awake, cutAndHandOver, own, setUp, sentence } from './bench';
import { ticketOn } from './tickets';

test('what is bought lies on the shelf, a job is cut from it, and it is right by count', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  const place = own('box');
  const string = 'Threllan Lull 1.30';
  await page.goto('/shelf');
  await awake(page);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(sentence(page, 'Choose a string and its thickness')).toBeVisible();
  await page.getByRole('combobox', { name: 'String' }).selectOption({ label: string });
  await expect(page.getByLabel('Length of each (m)')).toHaveValue('12.2');
  await page.getByLabel('How many').fill('-3');
  await page.getByLabel('Where it lies').fill(place);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(sentence(page, /a whole number|number from 1 to 100/i)).toBeVisible();
  await page.getByLabel('How many').fill('1');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('It lies on the shelf.')).toBeVisible();
  const there = page.getByRole('region', { name: 'What is there' });
  const findThere = async () => {
    await awake(page);
    await there.getByLabel('Find by string, place or supplier').fill(`${place} lull`);
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/find=/);
    await awake(page);
  };
  await findThere();
  await expect(there.getByRole('row')).toHaveCount(2);
  const line = there.getByRole('row').filter({ hasText: place });
  await expect(line).toContainText(string);

  const { number } = await ticketOn('Ostrevan Heron 100');
  await page.goto(`/tickets/${number}/setup`);
  await setUp(page, 'Threllan Lull', '24/23 kg');
  await cutAndHandOver(page);
  await page.goto('/shelf');
  const moves = page.getByRole('region', { name: 'Movements' });
  const cut = moves.getByRole('row').filter({ hasText: `ticket ${number}` });
  // Two pieces of one job.
  await expect(cut).toHaveCount(2);
  await expect(cut.first()).toContainText('−');
  await cut.first().getByRole('button', { name: 'Take back' }).click();
  await expect(cut.filter({ hasText: 'taken back' })).toHaveCount(1);

  await findThere();
  const left = line.getByRole('textbox');
  await left.fill('a lot');
  await line.getByRole('button', { name: 'Counted' }).click();
  await expect(line.getByRole('alert')).toBeVisible();
  await left.fill('4.5');
  await line.getByRole('button', { name: 'Counted' }).click();
  await expect(left).toHaveValue('4.50');
  const table = await (await page.request.get('/shelf/table')).text();
  expect(table).toContain(place);
});
