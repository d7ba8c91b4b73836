/** What the form of a ticket's setup shows: what the ticket says, whatever the advice says by now. */
import { openFor } from '@/app/identity/at-work';
import { caseOf } from '@/core/advice/case';
import { strungFrom } from '@/core/advice/record';
import { climb } from '@/core/advice/staircase';
import { SILENT, type Talk } from '@/core/advice/talk';
import { ticketEntry, type TicketTension } from '@/core/measure/units';
import { crossesEndOf } from '../load/hoop-of';
import { houseOf, isHybridSetup, lastJobOn, type OpenTicket } from '../ticket';
import type { SetupEntry } from './setup-entry';
import { talkEntryOf } from './talk-entry';

/** What was said at this ticket, else what the client and the racket are remembered by. */
async function talkOn({ ticket, client }: OpenTicket): Promise<Talk> {
  if (ticket.advice) return ticket.advice.talk;
  const { rackets, tickets, court } = await openFor('set up');
  const racket = await rackets.get(ticket.racketId);
  const before = (await tickets.lastOfRacket(ticket.racketId, 3)).find(({ record }) => record);
  const [said] = before ? await court.ofTickets([before.id]) : [];
  return {
    ...(client.talk ?? SILENT),
    // What they said of this racket’s last bed stands before what is remembered of them.
    ...(said && { faults: [...said.faults] }),
    racket: racket?.build ?? SILENT.racket,
  };
}

/** What the staircase comes to now, with the strings of the ticket. */
async function advisedNow(open: OpenTicket, talk: Talk): Promise<TicketTension | undefined> {
  const { ticket, frame, study, setup, unit } = open;
  if (!setup || !frame || !study?.bed) return undefined;
  const house = houseOf(open, false);
  const about = caseOf({
    bed: study.bed,
    talk,
    house,
    record: await lastJobOn(open),
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
  if (!setup)
    return {
      ...base,
      mainStringId: '',
      mainGauge: '',
      mainSupplied: false,
      hybrid: false,
      crossStringId: '',
      crossGauge: '',
      crossSupplied: false,
      tension: '',
    };
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
