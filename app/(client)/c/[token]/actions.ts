'use server';

import { z } from 'zod';
import { openLink } from '@/app/client-page-at';
import { linkToken } from '@/db/client-links';
import { SILENT } from '@/core/advice/talk';
import { daysSince } from '@/app/racket-ageing';
import { courtWordsSchema, hoursProblem, type CourtWords } from '@/core/ageing/court';
import type { CourtAnswer } from '@/ui/court/how-it-played';
import { bareFigure } from '@/core/measure/figures';
import { keepable, textIn } from '@/core/measure/typed';

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

const FEWEST = 0;
const MOST = 14;

/** How often they play, as they say it themselves: their curve goes by it, and the next advice. */
export async function sayPlays(typed: string, text: string): Promise<string> {
  const read = token.safeParse(typed);
  const said = words.safeParse(text);
  if (!read.success || !said.success) return NO_LINK;
  const plays = bareFigure(said.data, 1);
  if (!(plays > FEWEST && plays <= MOST))
    return `So many times a week cannot be: write a number up to ${MOST}, such as 2 or 0.5.`;
  const { work, racketId } = await openLink(read.data);
  await work(async ({ rackets, clients }) => {
    const racket = await rackets.get(racketId);
    const client = racket && (await clients.get(racket.clientId));
    if (client)
      await clients.remember(client.id, { ...(client.talk ?? SILENT), playsAWeek: plays });
  });
  return 'Thank you. The curve goes by it.';
}

const notSaved = (words: string): CourtAnswer => ({ saved: false, words });

/** How the bed that is in it played. */
export async function sayHowItPlayed(typed: string, said: CourtWords): Promise<CourtAnswer> {
  const read = token.safeParse(typed);
  const words = courtWordsSchema.safeParse(said);
  if (!read.success || !words.success) return notSaved(NO_LINK);
  const { work, racketId } = await openLink(read.data);
  return work(async ({ tickets, court, shopOfLink }) => {
    const [last] = (await tickets.lastOfRacket(racketId, 2)).filter(({ closedAt }) => closedAt);
    if (!last) return notSaved('It has not been strung here yet.');
    const { timeZone } = await shopOfLink();
    const problem = hoursProblem(words.data.brokeHours, daysSince(last.closedAt, timeZone));
    if (problem) return notSaved(problem);
    await court.say(last.id, null, { ...words.data, note: keepable(words.data.note) });
    return { saved: true, words: 'Thank you. The next advice goes by it.' };
  });
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
