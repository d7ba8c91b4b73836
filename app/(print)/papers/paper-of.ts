import { strungParts } from '@/core/record/as-strung';
import { notFound } from 'next/navigation';
import { openFor, type OpenHouse } from '@/app/identity/at-work';
import { clientPage, ourAddress } from '@/app/our-address';
import { routeNumber } from '@/app/route-id';
import { extraWorkMinor, extraWorkWords } from '@/core/counter/extra-work';
import { inspectionWords, isCracked } from '@/core/counter/inspection';
import { formatMoney } from '@/core/measure/money';
import { dayAt, formatDay, formatWall, wallTime } from '@/core/measure/promised-time';
import { formatTicket, type TensionUnit } from '@/core/measure/units';
import { houseAgeing } from '@/app/house-ageing';
import { bedToday } from '@/core/ageing/bed-today';
import { COME_BACK_LETTER } from '@/core/ageing/comes-back';
import { letterAsStrung, letterOf } from '@/core/papers/letter';
import {
  isPaperKind,
  type Paper,
  type PaperFact,
  type PaperHead,
  type PaperKind,
  type PaperOf,
} from '@/core/papers/paper';
import { slipOf } from '@/core/papers/slip';
import type { ListedTicket } from '@/db/tickets';

const fact = (name: string, value: string): readonly PaperFact[] =>
  value === '' ? [] : [{ name, value }];

/** What a paper is made of. */
interface Told {
  /** What stands on each. */
  readonly head: PaperHead;
  readonly ticket: ListedTicket;
  readonly unit: TensionUnit;
  readonly workshop: OpenHouse['workshop'];
  /** Its tag and its event, in words; empty where it is of none. */
  readonly bag: string;
}

/** A ticket that is closed, and what its slip says. */
function closedOf({ ticket: { record, closedAt, number }, unit, workshop }: Told) {
  if (!record || !closedAt) return undefined;
  const day = dayAt(closedAt, workshop.timeZone);
  const known = houseAgeing(workshop);
  const slip = slipOf({ workshop: workshop.name, number, day, unit, record, known });
  return { record, day, known, slip };
}

// A paper is read on another day: it has a date, never *tomorrow*.
const promisedOn = ({ ticket }: Told): string => formatWall(ticket.promised);

/** Each paper as a ticket has it; undefined where it is not that far. */
const MADE: { readonly [K in PaperKind]: (told: Told) => PaperOf<K> | undefined } = {
  stub: (told) => {
    const { head, ticket, workshop } = told;
    const { wish, extra, inspection } = ticket;
    const work = extraWorkWords(extra);
    const money = formatMoney(extraWorkMinor(extra), workshop.currency, workshop.locale);
    return {
      ...head,
      kind: 'stub',
      promised: promisedOn(told),
      facts: [
        ...fact('You asked for', wish),
        ...fact('Seen with you', inspectionWords(inspection).join(', ')),
        ...fact(
          extra?.agreed ? 'Agreed besides' : 'Besides, not agreed yet',
          work && `${work}: ${money}`,
        ),
      ],
    };
  },
  label: (told) => {
    const { head, ticket, unit, workshop, bag } = told;
    const { record, closedAt, mainN, crossN, wish } = ticket;
    const strung = record
      ? strungParts(record, unit)
      : mainN && crossN
        ? { ticket: { mainN, crossN, unit }, changed: '' }
        : undefined;
    const { mains, crosses } = record?.setup ?? {};
    return {
      ...head,
      kind: 'label',
      figure: strung ? formatTicket(strung.ticket) : '',
      facts: closedAt
        ? [
            ...fact('Bag', bag),
            ...fact('Strung', formatDay(dayAt(closedAt, workshop.timeZone))),
            ...fact('Changed midway', strung?.changed ?? ''),
            ...fact('String', [...new Set([mains?.name ?? '', crosses?.name ?? ''])].join(' / ')),
          ]
        : [
            ...fact('Bag', bag),
            ...fact('Promised', promisedOn(told)),
            ...fact('They ask for', wish),
          ],
    };
  },
  unstrung: ({ head, ticket: { withdrawnAt, withdrawnWhy, inspection } }) =>
    withdrawnAt || isCracked(inspection)
      ? {
          ...head,
          kind: 'unstrung',
          why: withdrawnWhy || 'The frame is cracked.',
          seen: inspectionWords(inspection),
        }
      : undefined,
  slip: (told) => {
    const closed = closedOf(told);
    return closed && { ...told.head, kind: 'slip', slip: closed.slip };
  },
  letter: (told) => {
    const closed = closedOf(told);
    if (!closed?.record.advice) return undefined;
    const { record, day, known, slip } = closed;
    const { due } = bedToday(record, day, day, known);
    return {
      ...told.head,
      kind: 'letter',
      letter: letterAsStrung(letterOf(closed.record.advice), record),
      facts: [
        ...slip.strings.flatMap(({ where, string }) => fact(where, string)),
        ...fact('Tension', `${slip.tension}, which is ${slip.converted}`),
        ...fact('Strung', slip.by ? `${slip.strung} by ${slip.by}` : slip.strung),
        ...fact('Due again', slip.due),
      ],
      back: `Come back by ${formatDay(due.day)}, ${COME_BACK_LETTER[due.by]}.`,
    };
  },
};

/** What an address of a paper comes to; nothing where the ticket is not that far. */
export async function paperOf(
  params: Promise<{ readonly number: string; readonly paper: string }>,
): Promise<{
  readonly open: OpenHouse;
  readonly number: number;
  readonly paper: Paper | undefined;
}> {
  const open = await openFor('print papers');
  const { number: typed, paper: kind } = await params;
  const number = routeNumber(typed);
  if (!isPaperKind(kind)) notFound();
  const { tickets, clients, clientLinks, workshop } = open;
  const ticket = await tickets.get(number);
  if (!ticket) notFound();
  const client = await clients.get(ticket.clientId);
  const unit = client?.tensionUnit ?? workshop.tensionUnit;
  const at = kind === 'label' ? await open.events.ofTicket(ticket.id) : undefined;
  const bag = at ? `tag ${at.tag}, ${at.event.name}` : '';
  const day = ticket.closedAt ?? new Date();
  const head: PaperHead = {
    workshop: workshop.name,
    address: workshop.address,
    number,
    client: ticket.record?.client ?? ticket.clientName,
    racket: `${ticket.record?.racket.frameName ?? ticket.frameName}${ticket.mark ? `, ${ticket.mark}` : ''}`,
    day: formatDay(wallTime(day, workshop.timeZone)),
    page: '',
    language: 'en',
  };
  const paper = MADE[kind]({ head, ticket, unit, workshop, bag });
  if (!paper) return { open, number, paper: undefined };
  // The page of a racket that went to somebody else is theirs.
  if (ticket.strungFor !== null) return { open, number, paper };
  const token = await clientLinks.ensure(ticket.racketId);
  const page = token === undefined ? '' : clientPage(await ourAddress(), token);
  return { open, number, paper: { ...paper, page } };
}
