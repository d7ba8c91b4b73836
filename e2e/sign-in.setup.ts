import { test } from '@playwright/test';
import { OWNER, pressIn } from './people';

test('the owner of the demo comes in with one press', async ({ page }) => {
  await pressIn(page, 'Hesper');
  await page.context().storageState({ path: OWNER });
});
