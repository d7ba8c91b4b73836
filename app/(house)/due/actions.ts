'use server';

import { action, ticketNumber } from '@/app/action';
import { said } from '@/app/answers';
import { putInOutbox, sendSoon } from '@/app/outbox';
import { countWords } from '@/core/terms/count-words';
import { dueList } from './due-list';

/** So many beds are gone through at a press, those that are due longest. */
const MOST_AT_ONCE = 1000;

/** Reminds the owner of one bed; at most once a month, and nobody who has come meanwhile. */
export const remind = action('write to clients', said, [ticketNumber], async (open, number) => {
  const { words } = await putInOutbox(open, number, 'due', { about: '', values: {} });
  sendSoon(open);
  return words;
});

/** Reminds everybody whose bed is due by now and who may be written to. */
export const remindAll = action('write to clients', said, [], async (open) => {
  const { beds } = await dueList(open, open.workshop, MOST_AT_ONCE);
  let written = 0;
  for (const { number } of beds.filter(({ isDue, mayWrite }) => isDue && mayWrite === 'yes')) {
    const { kept } = await putInOutbox(open, number, 'due', { about: '', values: {} });
    written += Number(kept);
  }
  sendSoon(open);
  return written === 0
    ? 'Nobody was written to: whoever is due was reminded within a month, has not agreed, or has no address.'
    : `${countWords(written, 'reminder')} went into the outbox.`;
});
