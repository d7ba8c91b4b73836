import { expect, test, type Page } from '@playwright/test';
import { header, kept, spaceTo, step, tooSmall } from './at-the-bench';
import { fact, handOver, own, sentence } from './bench';
import { readyTicket } from './tickets';

/** What the live regions of the page say from now on. */
async function listen(page: Page): Promise<() => Promise<readonly string[]>> {
  const heard = await page.evaluateHandle(() => {
    const said: string[] = [];
    const live = '[aria-live=polite], [aria-live=assertive], [role=status], [role=alert]';
    new MutationObserver((changes) => {
      for (const { target } of changes) {
        const at = target instanceof Element ? target : target.parentElement;
        const region = at?.closest(`${live}, [aria-live=off]`);
        if (region?.matches(live)) said.push(region.textContent);
      }
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
    return said;
  });
  return () => heard.jsonValue();
}

const HEAD = `ws://127.0.0.1:${process.env.ORTHOTENS_HEAD_PORT ?? '3700'}`;

test('a machine is checked, its correction applied, and its head pulls, slips and pulls again', async ({
  page,
}) => {
  const machine = own('Electronic');
  await page.goto('/workshop/machines/new');
  await page.getByRole('button', { name: 'Add the machine' }).click();
  await expect(sentence(page, 'Give the machine a name.')).toBeVisible();
  await page.getByLabel('Machine', { exact: true }).fill(machine);
  await page.getByLabel('From its frame to its gripper (cm)').fill('36');
  await page.getByLabel('Where its head answers').fill('over there');
  await page.getByRole('button', { name: 'Add the machine' }).click();
  await expect(sentence(page, 'Write where the head answers')).toBeVisible();
  await page.getByLabel('Where its head answers').fill(HEAD);
  for (const sport of ['tennis', 'badminton', 'squash'])
    await page.getByRole('checkbox', { name: sport }).click();
  await page.getByRole('button', { name: 'Add the machine' }).click();
  await expect(sentence(page, 'Tick what its mounts hold')).toBeVisible();
  await page.getByRole('checkbox', { name: 'tennis' }).click();
  await page.getByRole('button', { name: 'Add the machine' }).click();
  await page.waitForURL(/machines\/[0-9a-f-]{36}$/);
  await expect(page.getByText('Its pull was never checked')).toBeVisible();
  await page.getByLabel('Set to (kg)').fill('a lot');
  await page.getByLabel('Scale or weight says (kg)').fill('24.5');
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(sentence(page, 'Write one pull as it is read')).toBeVisible();
  await page.getByLabel('Set to (kg)').fill('25');
  // A reading that nobody would believe asks before it turns every figure.
  await page.getByLabel('Scale or weight says (kg)').fill('2.45');
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(sentence(page, '2.5 kg where 25 kg was set: is it misread?')).toBeVisible();
  await page.getByLabel('Scale or weight says (kg)').fill('24.5');
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByText('25 kg set, 24.5 kg pulled')).toBeVisible();
  // Worked by hand: 24.5 / 25 = 98 %; 24 / 0.98 = 24.49.
  await expect(page.getByText('98 %', { exact: true })).toBeVisible();
  await expect(page.getByText('24.5 kg', { exact: true })).toBeVisible();
  await expect(page.getByText('Next check in 30 days')).toBeVisible();

  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '24/23 kg', machine);
  await page.goto(`/tickets/${number}/pull`);
  await page.getByRole('link', { name: 'Go to the bench' }).click();
  await page.waitForURL(/\/bench\/\d+$/);
  await expect(page.getByRole('button', { name: '. pause' })).toBeEnabled();
  await spaceTo(page, 0, 5);
  await expect(step(page)).toContainText('Pull M1R');
  const head = page.getByRole('region', { name: 'Tension head' });
  await expect(head).toContainText('at rest');
  await expect(head).toContainText('pulls 98 % of its figure');
  // The big figure is what is set; the aim stands beside it.
  await expect(step(page).locator('p').first()).toContainText('24.5 kg');
  await expect(step(page)).toContainText('on the dial; aim 24 kg');
  expect(await tooSmall(page)).toEqual([]);
  await page.getByLabel('Rehearse in the next pull').selectOption('slip');
  await page.keyboard.press('Space');
  await expect(head.getByRole('alert')).toContainText('The gripper slipped');
  await expect(header(page)).toContainText('5 of');
  // What is sent meanwhile is told, too.
  await kept(page);
  const said = await listen(page);
  await page.keyboard.press('Space');
  // The step waits until its tension is reached.
  await page.keyboard.press('Space');
  await expect(header(page)).toContainText('5 of');
  await expect(head).toContainText('at tension: clamp it');
  // A reader of the screen hears what the head does, not each tenth that it gains.
  const heard = await said();
  expect(heard.length, heard.join(' | ')).toBeLessThanOrEqual(3);
  await page.keyboard.press('Space');
  await expect(header(page)).toContainText('6 of');

  // Without its head the job goes on by hand.
  await page.getByLabel('Rehearse in the next pull').selectOption('lost link');
  await page.keyboard.press('Space');
  await expect(head.getByRole('alert')).toContainText('The link to the head is lost');
  await page.keyboard.press('Space');
  await expect(header(page)).toContainText('7 of');
  await kept(page);

  await page.goto(`/tickets/${number}/hand-over`);
  await handOver(page);
  const bench = fact(page, 'At the bench');
  await expect(bench).toContainText('1 of 2 pulls measured');
  await bench.getByText('Every pull').click();
  await expect(fact(page, 'Set on the dial')).toContainText('24.5/23.5 kg');
  const [, asked, pulled] = (await bench.getByRole('row').nth(1).innerText()).split('\t');
  expect(asked).toBe('24 kg');
  expect(Math.abs(Number.parseFloat(pulled ?? '') - 24)).toBeLessThan(0.2);
});

test('clamps and mounts change the order of the work, or refuse it with the reason', async ({
  page,
}) => {
  const machine = own('Old drop weight');
  await page.goto('/workshop/machines/new');
  await page.getByLabel('Machine', { exact: true }).fill(machine);
  await page.getByLabel('From its frame to its gripper (cm)').fill('31');
  const choose = (group: string, answer: string) =>
    page.getByRole('radiogroup', { name: group }).getByRole('radio', { name: answer }).click();
  await choose('How it pulls', 'crank with lock-out');
  await choose('Points that hold the frame', '2');
  await choose('How many', '1');
  await page.getByRole('button', { name: 'Add the machine' }).click();
  await page.waitForURL(/machines\/[0-9a-f-]{36}$/);
  const number = await readyTicket('Ostrevan Heron 100', 'Threllan Lull', '24/23 kg', machine);
  await page.goto(`/tickets/${number}/pull`);
  // From memory: 7.5 %, so 24/23 kg come to 25.9/24.9, written 26/25.
  await expect(page.getByText(`${machine} pulls with a lock-out`)).toContainText('26/25 kg');
  await page.getByText('Every step in its order').click();
  await expect(page.getByText('two points leave the sides free')).toBeVisible();
  await expect(page.getByText('the starting clamp holds it outside').first()).toBeVisible();

  await page.goto('/workshop/machines');
  await page.getByRole('link', { name: machine }).click();
  await page.waitForURL(/machines\/[0-9a-f-]{36}$/);
  await choose('Starting clamp', 'none');
  await page.getByRole('button', { name: 'Save this machine' }).click();
  await expect(page.getByText('The machine is saved.')).toBeVisible();
  await page.goto(`/tickets/${number}/pull`);
  await expect(page.getByText('There is no starting clamp.')).toBeVisible();
});
