/** The account of one day of an event. */
import { z } from 'zod';
import { accountOf, type AccountLine } from '@/core/tournament/account';
import type { OpenHouse } from '@/app/identity/at-work';
import { eventAt, handedOver, type EventAt } from '../event-at';

export interface DayAccount extends EventAt {
  readonly day: string;
  /** The days on which something was closed, and today. */
  readonly days: readonly string[];
  readonly lines: readonly AccountLine[];
}

export async function dayAccount(
  open: OpenHouse,
  id: string,
  asked: string | undefined,
): Promise<DayAccount> {
  const at = await eventAt(open, id);
  const closed = at.players.flatMap((player) => handedOver(player, open.workshop.timeZone));
  const today = at.now.slice(0, 10);
  const day = z.iso.date().safeParse(asked).data ?? today;
  return {
    ...at,
    day,
    days: [...new Set([today, ...closed.map(({ at: when }) => when.slice(0, 10))])].toSorted(),
    lines: accountOf(closed.filter(({ at: when }) => when.startsWith(day))),
  };
}
