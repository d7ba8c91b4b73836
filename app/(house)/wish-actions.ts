'use server';

import { action, rowId } from '@/app/action';
import { said } from '@/app/answers';

/** Somebody at the counter has seen what a client wishes. */
export const answerWish = action('hand over', said, [rowId], async ({ clientLinks }, id) => {
  await clientLinks.answer({ id });
});
