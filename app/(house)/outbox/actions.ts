'use server';

import { action, rowId } from '@/app/action';
import { said } from '@/app/answers';
import { sendSoon } from '@/app/outbox';

/** Tries a message again that did not go out. */
export const retryLetter = action('write to clients', said, [rowId], async (open, id) => {
  await open.outbox.retry(id);
  sendSoon(open);
  return 'It is tried again.';
});

/** Takes a message out that was not sent yet. */
export const dropLetter = action('write to clients', said, [rowId], async ({ outbox }, id) => {
  await outbox.drop(id);
});
