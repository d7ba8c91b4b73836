'use server';

import { action, entryOf, rowId, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused, wholly } from '@/app/answers';
import { searchIn } from '@/app/search-text';
import { may, type Role } from '@/core/house/role-rights';
import { wallTime } from '@/core/measure/promised-time';
import { listed } from '@/core/terms/listed';
import { countWords } from '@/core/terms/count-words';
import { cutOf, type Ticket } from '@/db/tickets';
import type { KnownRacket } from '@/db/rackets';
import type { Pick } from '@/ui/form/picker';
import type { FormAnswer } from '@/ui/form/result';
import { clientFor, racketFor } from './at-the-counter';
import { knownOf, type KnownFact } from './known';
import {
  askedSchema,
  takeInSchema,
  type AskedEntry,
  type ReadTakeIn,
  type TakeInEntry,
} from './take-in-entry';

const MOST_FOUND = 8;

/** A client as the counter finds them, with their rackets, the one that was here last first. */
export type FoundClient = Pick & { readonly rackets: readonly FoundRacket[] };
/** A racket, with the number of the open ticket that it is on. */
export type FoundRacket = Pick & { readonly openNumber: number | undefined };

const nobody = (): readonly FoundClient[] => [];
const none = (): readonly FoundRacket[] => [];
const noFrame = (): readonly Pick[] => [];
const unknown = (): readonly KnownFact[] => [];

const MOST_FRAMES = 12;

export const findClients = action(
  'take in',
  nobody,
  [searchIn],
  async ({ clients, rackets }, text) => {
    const found = await clients.findNear(text, MOST_FOUND);
    return Promise.all(
      found.map(async ({ id, name, contact }) => ({
        id,
        text: name,
        detail: contact,
        rackets: picksOf(await rackets.ofClient(id)),
      })),
    );
  },
);

/** Frames of the library by a few letters. */
export const findFrames = action('take in', noFrame, [searchIn], async ({ frames }, text) =>
  (await frames.find(text, MOST_FRAMES)).map(({ id, name, sport }) => ({
    id,
    text: name,
    detail: sport,
  })),
);

/** What the records say of a racket, while its ticket is written. */
export const knownAtTheCounter = action('take in', unknown, [rowId], async (open, racketId) =>
  knownOf(open, racketId),
);

export const racketsOfClient = action('take in', none, [rowId], async ({ rackets }, clientId) =>
  picksOf(await rackets.ofClient(clientId)),
);

const picksOf = (rackets: readonly KnownRacket[]): readonly FoundRacket[] =>
  rackets.map(({ id, frameName, mark, openNumber }) => ({
    id,
    text: frameName,
    detail: openNumber === null ? mark : `${mark && `${mark}, `}on ticket ${openNumber}`,
    openNumber: openNumber ?? undefined,
  }));

/** Every racket of the form with what is asked for it, the first one first. */
const linesOf = (taken: ReadTakeIn) =>
  [taken, ...taken.more].map(({ requestKey, racketId, frameId, frameLabel, mark, wish }) => ({
    requestKey,
    racketId,
    frameId,
    frameLabel,
    mark,
    wish: taken.alike ? taken.wish : wish,
  }));

/** The next station after the counter; whoever does not set up is back at the day, with the racket on it. */
const onFrom = (role: Role, number: number): string =>
  may(role, 'set up') ? `/tickets/${number}/frame` : '/';

/** First it is looked at. */
const toInspect = (number: number): string => `/tickets/${number}/inspect`;

/** What a form that was sent before has made, if that is what it says now; a press belongs to what it was pressed on. */
function sentBefore(
  made: readonly Ticket[],
  taken: ReadTakeIn,
  lines: ReturnType<typeof linesOf>,
): FormAnswer {
  const numbers = made.map(({ number }) => number);
  const isSame =
    made.length === lines.length &&
    made.every(({ requestKey, wish, condition }) => {
      const i = lines.findIndex((line) => line.requestKey === requestKey);
      return wish === lines[i]?.wish && condition === (i === 0 ? taken.condition : '');
    });
  if (isSame) return { ok: true, go: toInspect(numbers[0] ?? 0) };
  return refused(
    `The press before took ${countWords(made.length, 'racket')} in: ${listed(numbers.map((number) => `ticket ${number}`))}, “${made[0]?.wish || 'no wish'}”. What you changed since is not kept: open the ticket on Today and change it there.`,
  );
}

/** Client, rackets and their tickets, all of them or none. */
export const takeIn = action(
  'take in',
  refused,
  [entryOf<TakeInEntry>()],
  async (open, entry): Promise<FormAnswer> => {
    const { workshop, tickets, together } = open;
    const read = takeInSchema(wallTime(new Date(), workshop.timeZone)).safeParse(entry);
    if (!read.success) return misread(read.error);
    const taken = read.data;
    const lines = linesOf(taken);
    const keys = lines.map(({ requestKey }) => requestKey);
    const made = await tickets.byRequest(keys);
    if (made[0]) return sentBefore(made, taken, lines);
    try {
      return await wholly(() =>
        together(async (records) => {
          const clientId = await clientFor(records, taken);
          const before = taken.again ? await records.tickets.get(Number(taken.again)) : undefined;
          const { promised, condition } = taken;
          let first: number | undefined;
          for (const [i, line] of lines.entries()) {
            const racketId = await racketFor(
              records,
              line,
              clientId,
              i === 0 ? '' : `more.${i - 1}.`,
            );
            const ticket = await records.tickets.add(line.requestKey, {
              racketId,
              promised,
              wish: line.wish,
              condition: i === 0 ? condition : '',
              visit: lines.length > 1 ? taken.requestKey : null,
              ...(before?.racketId === racketId && {
                mainStringId: before.mainStringId,
                mainGaugeMm: before.mainGaugeMm,
                mainSupplied: before.mainSupplied,
                crossStringId: before.crossStringId,
                crossGaugeMm: before.crossGaugeMm,
                crossSupplied: before.crossSupplied,
                mainN: before.mainN,
                crossN: before.crossN,
                tensionUnit: before.tensionUnit,
                ...cutOf(before),
              }),
            });
            await records.clientLinks.answer({ racketId });
            first ??= ticket.number;
          }
          return { ok: true, go: toInspect(first ?? 0) };
        }),
      );
    } catch (error) {
      // The same form, sent twice at once: the second loses the race for the key and finds the first.
      const first = await tickets.byRequest(keys);
      if (first[0]) return sentBefore(first, taken, lines);
      throw error;
    }
  },
);

/** Corrects what was agreed at the counter. */
export const changeAsked = action(
  'take in',
  refused,
  [ticketNumber, rowVersion, entryOf<AskedEntry>()],
  async ({ workshop, tickets, role }, number, version, entry) => {
    const ticket = await tickets.get(number);
    if (!ticket) return refused('This ticket is not there any more.');
    const read = askedSchema(wallTime(new Date(), workshop.timeZone), ticket.promised).safeParse(
      entry,
    );
    if (!read.success) return misread(read.error);
    return answerTo(
      await tickets.change(number, version, read.data),
      'ticket',
      onFrom(role, number),
    );
  },
);
