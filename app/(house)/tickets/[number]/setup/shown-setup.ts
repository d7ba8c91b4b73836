/** What the form of a ticket's setup shows: what the ticket says, whatever the advice says by now. */
import { openFor } from '@/app/identity/at-work';
import { caseOf } from '@/core/advice/case';
import { strungFrom } from '@/core/advice/record';
import { climb } from '@/core/advice/staircase';
import { SILENT, type Talk } from '@/core/advice/talk';
import { ticketEntry, type TicketTension } from '@/core/measure/units';
import type { Client } from '@/db/clients';
import { crossesEndOf } from '../load/hoop-of';
import { houseOf, lastJobOn, type OpenTicket } from '../ticket';
import { isHybridSetup } from './chosen-strings';
import type { SetupEntry } from './setup-entry';
import { NO_STRINGS } from './strings-entry';
import { talkEntryOf } from './talk-entry';

/** What a client and a racket are remembered by, before anything is said at a ticket of theirs. */
export async function rememberedTalk(
  client: Pick<Client, 'talk'> | undefined,
  racketId: string | undefined,
): Promise<Talk> {
  const said = client?.talk ?? SILENT;
  if (!racketId) return { ...said, racket: SILENT.racket };
  const { rackets, tickets, court } = await openFor('set up');
  const racket = await rackets.get(racketId);
  const before = (await tickets.lastOfRacket(racketId, 3)).find(({ record }) => record);
  const [played] = before ? await court.ofTickets([before.id]) : [];
  return {
    ...said,
    // What they said of this racket’s last bed stands before what is remembered of them.
    ...(played && { faults: [...played.faults] }),
    racket: racket?.build ?? SILENT.racket,
  };
}

/** What was said at this ticket, else what the client and the racket are remembered by. */
const talkOn = async ({ ticket, client }: OpenTicket): Promise<Talk> =>
  ticket.advice ? ticket.advice.talk : rememberedTalk(client, ticket.racketId);

/** What the staircase comes to now, with the strings of the ticket. */
async function advisedNow(open: OpenTicket, talk: Talk): Promise<TicketTension | undefined> {
  const { ticket, frame, study, setup, unit } = open;
  if (!setup || !frame || !study?.bed) return undefined;
  const house = houseOf(open, false);
  const about = caseOf({
    bed: study.bed,
    talk,
    house,
    record: await lastJobOn(ticket.racketId, ticket.number),
    crossesEnd: crossesEndOf(frame.spec, frame.hoopFactor, house),
  });
  return climb(about, strungFrom(setup), unit, ticket.advice?.switched).ticket;
}

const sameTension = (a: TicketTension, b: TicketTension): boolean =>
  a.unit === b.unit && Math.abs(a.mainN - b.mainN) < 1e-6 && Math.abs(a.crossN - b.crossN) < 1e-6;

/**
 * The entry of a ticket's setup. A tension that the advice still comes to follows it; every other one stands there as
 * it was settled, so that a form which is opened and saved changes nothing.
 */
export async function shownSetup(open: OpenTicket): Promise<SetupEntry> {
  const { ticket, setup } = open;
  const talk = await talkOn(open);
  const base = {
    talk: talkEntryOf(talk),
    switched: { ...ticket.advice?.switched },
    todaysRules: false,
    ownWord: ticket.advice?.ownWord ?? '',
    overPrint: ticket.advice?.overPrint ?? '',
  };
  if (!setup) return { ...NO_STRINGS, ...base };
  const { mains, crosses, tension } = setup;
  const advised = await advisedNow(open, talk);
  return {
    ...base,
    mainStringId: mains.string.id,
    mainGauge: mains.gaugeMm.toFixed(2),
    mainSupplied: mains.supplied,
    hybrid: isHybridSetup(setup),
    crossStringId: crosses.string.id,
    crossGauge: crosses.gaugeMm.toFixed(2),
    crossSupplied: crosses.supplied,
    tension: advised && sameTension(advised, tension) ? '' : ticketEntry(tension),
  };
}
