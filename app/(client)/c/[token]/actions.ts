'use server';

import { z } from 'zod';
import { openLink } from '@/app/client-page-at';
import { linkToken } from '@/db/client-links';
import { textIn } from '@/core/measure/reading';

const token = z.string().regex(linkToken);
const words = textIn.transform((text) => text.trim().slice(0, 400));

const NO_LINK = 'This address does not open anything any more. Please call the workshop.';

/** “Bring it again”: a wish at the counter, one at a time. */
export async function bringAgain(typed: string, text: string): Promise<string> {
  const read = token.safeParse(typed);
  const said = words.safeParse(text);
  if (!read.success || !said.success) return NO_LINK;
  const { work, racketId } = await openLink(read.data);
  await work(({ clientLinks }) => clientLinks.wish(racketId, said.data));
  return 'Thank you. The workshop sees it at the counter.';
}

/** The way out of all messages. */
export async function noMoreMessages(typed: string): Promise<string> {
  const read = token.safeParse(typed);
  if (!read.success) return NO_LINK;
  const { work, racketId } = await openLink(read.data);
  await work(async ({ rackets, clients, outbox }) => {
    const racket = await rackets.get(racketId);
    if (!racket) return;
    await clients.wantNoMessages(racket.clientId);
    await outbox.dropAll(racket.clientId);
  });
  return 'No more messages come from this workshop.';
}
