'use server';

import { action, ticketNumber } from '@/app/action';
import { said } from '@/app/answers';
import { putInOutbox, sendSoon } from '@/app/outbox';
import { countWords } from '@/core/terms/count-words';
import { dueBeds } from './due-list';

/** Reminds the owner of one bed; at most once a month, and nobody who has come meanwhile. */
export const remind = action('write to clients', said, [ticketNumber], async (open, number) => {
  const { words } = await putInOutbox(open, number, 'due', { about: '', values: {} });
  sendSoon(open);
  return words;
});

/** Reminds everybody whose bed is due by now and who may be written to. */
export const remindAll = action('write to clients', said, [], async (open) => {
  const due = (await dueBeds(open, open.workshop)).filter(
    ({ isDue, mayWrite }) => isDue && mayWrite,
  );
  let written = 0;
  for (const { number } of due) {
    const { kept } = await putInOutbox(open, number, 'due', { about: '', values: {} });
    written += Number(kept);
  }
  sendSoon(open);
  return written === 0
    ? 'Nobody was written to: whoever is due was reminded within a month, has not agreed, or has no address.'
    : `${countWords(written, 'reminder')} went into the outbox.`;
});
