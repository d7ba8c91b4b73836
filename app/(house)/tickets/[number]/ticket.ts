import { notFound } from 'next/navigation';
import { cache } from 'react';
import { routeNumber } from '@/app/route-id';
import { studyFrame, type Study } from '@/core/bed';
import { wallTime } from '@/core/promise';
import type { CutSourceKind } from '@/core/record';
import type { TicketTension, TensionUnit } from '@/core/units';
import type { Client } from '@/db/clients';
import type { Frame } from '@/db/frames';
import type { StringRow } from '@/db/strings';
import type { ListedTicket } from '@/db/tickets';
import { openWorkshop, type Workshop } from '@/db/workshop';

export interface Setup {
  readonly mains: {
    readonly string: StringRow;
    readonly gaugeMm: number;
    readonly supplied: boolean;
  };
  readonly crosses: {
    readonly string: StringRow;
    readonly gaugeMm: number;
    readonly supplied: boolean;
  };
  readonly tension: TicketTension;
}

export interface OpenTicket {
  readonly workshop: Workshop;
  readonly now: string;
  readonly ticket: ListedTicket;
  readonly client: Client;
  readonly racketVersion: number;
  readonly frame: Frame | undefined;
  readonly study: Study | undefined;
  readonly setup: Setup | undefined;
  /** The unit this client's papers are written in. */
  readonly unit: TensionUnit;
}

/** A ticket with everything its stations need. Shared by the layout and the page of one request. */
export const openTicket = cache(async (numberText: string): Promise<OpenTicket> => {
  const { workshop, tickets, clients, rackets, frames, strings } = await openWorkshop();
  const ticket = await tickets.get(routeNumber(numberText));
  if (!ticket) notFound();
  const [client, racket, frame, mainString, crossString] = await Promise.all([
    clients.get(ticket.clientId),
    rackets.get(ticket.racketId),
    ticket.frameId ? frames.get(ticket.frameId) : undefined,
    ticket.mainStringId ? strings.get(ticket.mainStringId) : undefined,
    ticket.crossStringId ? strings.get(ticket.crossStringId) : undefined,
  ]);
  if (!client || !racket) notFound();
  const { mainGaugeMm, crossGaugeMm, mainN, crossN, tensionUnit } = ticket;
  const whole =
    mainString && crossString && mainGaugeMm && crossGaugeMm && mainN && crossN && tensionUnit;
  return {
    workshop,
    now: wallTime(new Date(), workshop.timeZone),
    ticket,
    client,
    racketVersion: racket.version,
    frame,
    study: frame && studyFrame(frame.spec),
    setup: whole
      ? {
          mains: { string: mainString, gaugeMm: mainGaugeMm, supplied: ticket.mainSupplied },
          crosses: { string: crossString, gaugeMm: crossGaugeMm, supplied: ticket.crossSupplied },
          tension: { mainN, crossN, unit: tensionUnit },
        }
      : undefined,
    unit: client.tensionUnit ?? workshop.tensionUnit,
  };
});

/** One set serves both pieces when they are one string of one thickness; a hybrid takes half of each. */
export const usualCutSource = ({ mains, crosses }: Setup): CutSourceKind =>
  mains.string.id === crosses.string.id && mains.gaugeMm === crosses.gaugeMm
    ? 'one set'
    : 'two half sets';
