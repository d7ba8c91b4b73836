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
import { letterOf } from '@/core/papers/letter';
import { PAPER_KINDS, type Paper, type PaperFact, type PaperKind } from '@/core/papers/paper';
import { slipOf } from '@/core/papers/slip';
import type { ListedTicket } from '@/db/tickets';

const fact = (name: string, value: string): readonly PaperFact[] =>
  value === '' ? [] : [{ name, value }];

/** What a ticket has for each paper; undefined where it is not that far. */
function contentOf(
  kind: PaperKind,
  ticket: ListedTicket,
  unit: TensionUnit,
  { workshop }: OpenHouse,
): Record<string, unknown> | undefined {
  const now = wallTime(new Date(), workshop.timeZone);
  const { record, closedAt, wish, extra, inspection } = ticket;
  const closedDay = closedAt && dayAt(closedAt, workshop.timeZone);
  const promised = formatWall(ticket.promised, now);
  const money = (minor: number) => formatMoney(minor, workshop.currency, workshop.locale);
  if (kind === 'stub') {
    const work = extraWorkWords(extra);
    return {
      promised,
      facts: [
        ...fact('You asked for', wish),
        ...fact('Seen with you', inspectionWords(inspection).join(', ')),
        ...fact(
          extra?.agreed ? 'Agreed besides' : 'Besides, not agreed yet',
          work && `${work}: ${money(extraWorkMinor(extra))}`,
        ),
      ],
    };
  }
  if (kind === 'label') {
    const { mainN, crossN } = ticket;
    return {
      figure: mainN && crossN ? formatTicket({ mainN, crossN, unit }) : '',
      facts: closedDay
        ? [
            ...fact('Strung', formatDay(closedDay)),
            ...fact(
              'String',
              [...new Set([record?.setup.mains.name ?? '', record?.setup.crosses.name ?? ''])].join(
                ' / ',
              ),
            ),
          ]
        : [...fact('Promised', promised), ...fact('They ask for', wish)],
    };
  }
  if (kind === 'unstrung') {
    if (!ticket.withdrawnAt && !isCracked(inspection)) return undefined;
    return {
      why: ticket.withdrawnWhy || 'The frame is cracked.',
      seen: inspectionWords(inspection),
    };
  }
  if (!record || !closedDay) return undefined;
  const { number } = ticket;
  const known = houseAgeing(workshop);
  const slip = slipOf({ workshop: workshop.name, number, day: closedDay, unit, record, known });
  if (kind === 'slip') return { slip };
  if (!record.advice) return undefined;
  const { due } = bedToday(record, closedDay, closedDay, known);
  return {
    letter: letterOf(record.advice),
    facts: [
      ...slip.strings.flatMap(({ where, string }) => fact(where, string)),
      ...fact('Tension', `${slip.tension}, which is ${slip.converted}`),
      ...fact('Strung', slip.by ? `${slip.strung} by ${slip.by}` : slip.strung),
      ...fact('Due again', slip.due),
    ],
    back: `Come back by ${formatDay(due.day)}, ${COME_BACK_LETTER[due.by]}.`,
  };
}

const isKind = (text: string): text is PaperKind =>
  (PAPER_KINDS as readonly string[]).includes(text);

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
  if (!isKind(kind)) notFound();
  const { tickets, clients, clientLinks, workshop } = open;
  const ticket = await tickets.get(number);
  if (!ticket) notFound();
  const client = await clients.get(ticket.clientId);
  const unit = client?.tensionUnit ?? workshop.tensionUnit;
  const content = contentOf(kind, ticket, unit, open);
  if (!content) return { open, number, paper: undefined };
  const token = await clientLinks.ensure(ticket.racketId);
  const day = ticket.closedAt ?? new Date();
  return {
    open,
    number,
    paper: {
      kind,
      workshop: workshop.name,
      address: workshop.address,
      number,
      client: ticket.record?.client ?? ticket.clientName,
      racket: `${ticket.record?.racket.frameName ?? ticket.frameName}${ticket.mark ? `, ${ticket.mark}` : ''}`,
      day: formatDay(wallTime(day, workshop.timeZone)),
      page: clientPage(await ourAddress(), token),
      language: 'en',
      ...content,
    } as Paper,
  };
}
