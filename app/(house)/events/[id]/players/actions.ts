'use server';

import { z } from 'zod';
import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, misread, refused, said, Undone, wholly } from '@/app/answers';
import { newClient } from '@/app/(house)/take-in/new-client';
import { parsePromise, wallTime, type WallTime } from '@/core/measure/promised-time';
import { lineText, nameText, sameName, textIn } from '@/core/measure/typed';
import { formatTicket } from '@/core/measure/units';
import { wallMinutes, wallOf } from '@/core/queue/clock';
import { countWords } from '@/core/terms/count-words';
import { refusal } from '@/core/terms/result';
import { nextTags, promiseBefore } from '@/core/tournament/court';
import type { NamedPlayer, WorkshopEvent } from '@/db/events';
import { cutOf } from '@/db/tickets';
import type { Records } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { parseMinutes } from '../../event-entry';
import { giveBenches } from './give-bench';
import {
  bagSchema,
  NEW_PLAYER,
  playerSchema,
  type BagEntry,
  type PlayerEntry,
} from './player-entry';

const GONE = 'This player or their event was removed in another tab. Nothing was saved.';

type Playing = { readonly player: NamedPlayer; readonly event: WorkshopEvent };

/** A player with their event, where both are still there. */
async function playing(
  { events }: Pick<Records, 'events'>,
  id: string,
): Promise<Playing | undefined> {
  const player = await events.player(id);
  const event = player && (await events.get(player.eventId));
  return player && event && !player.removedAt && !event.removedAt ? { player, event } : undefined;
}

const who = z.object({ clientId: z.union([rowId, z.literal('')]), name: textIn });

/** The same press sent again is answered as it was; another one under its key is not kept. */
const answerToPlayer = (
  before: NamedPlayer,
  typed: { readonly eventId: string; readonly clientId: string; readonly name: string },
): FormAnswer =>
  before.eventId === typed.eventId &&
  (typed.clientId
    ? before.clientId === typed.clientId
    : sameName(before.name) === sameName(typed.name))
    ? { ok: true, go: `/events/${before.eventId}/players/${before.id}` }
    : refused(
        `The press before took “${before.name}” in. Nobody else was taken in by this one: reload, and choose again.`,
      );

/** Somebody plays: a client by id, or a new one by name. */
export const addPlayer = action(
  'take in',
  refused,
  [rowId, rowId, who],
  async ({ together, events }, eventId, newId, { clientId, name }) => {
    const event = await events.get(eventId);
    if (!event || event.removedAt) return refused(GONE);
    const read = nameText('the player a name').safeParse(name);
    if (!clientId && !read.success) return misread(read.error);
    return wholly(() =>
      together(async (records) => {
        const before = await records.events.player(newId);
        if (before) return answerToPlayer(before, { eventId, clientId, name });
        const known = clientId ? await records.clients.get(clientId) : undefined;
        if (clientId && (!known || known.removedAt)) return refused(GONE);
        const client = known?.id ?? (await newClient(records, read.data ?? '', ''));
        const id = await records.events.addPlayer(newId, eventId, client, NEW_PLAYER);
        return { ok: true, go: `/events/${eventId}/players/${id}` };
      }),
    );
  },
);

export const changePlayer = action(
  'take in',
  refused,
  [rowId, rowVersion, entryOf<PlayerEntry>()],
  async ({ events, workshop }, id, version, typed) => {
    const at = await playing({ events }, id);
    if (!at) return refused(GONE);
    const read = playerSchema(at.event.sport, workshop.tensionUnit).safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(await events.changePlayer(id, version, read.data), 'player');
  },
);

export const removePlayer = action('take in', said, [rowId], async ({ events }, id) => {
  await events.setPlayerRemoved(id, true);
});

export const restorePlayer = action('take in', said, [rowId], async ({ events }, id) => {
  await events.setPlayerRemoved(id, false);
});

/** When a player is on court next; what is open of theirs is promised for it. Nothing typed: nobody knows yet. */
export const moveCourt = action(
  'arrange the day',
  said,
  [rowId, textIn],
  async (open, id, text) => {
    const { together, workshop } = open;
    const now = wallTime(new Date(), workshop.timeZone);
    const onCourt = text.trim() === '' ? undefined : parsePromise(text, now);
    if (onCourt && !onCourt.ok) return onCourt.problem;
    const event = await together(async (records) => {
      const at = await playing(records, id);
      if (!at) return undefined;
      await records.events.moveCourt(id, onCourt?.value ?? null, at.player.court, at.event.leadMin);
      return at.event;
    });
    if (!event) return GONE;
    await giveBenches(open, event.id, [id]);
    return undefined;
  },
);

export const sayCourt = action(
  'arrange the day',
  said,
  [rowId, textIn],
  async (records, id, text) => {
    const court = lineText('the court').safeParse(text);
    if (!court.success) return court.error.issues[0]?.message;
    if (!(await playing(records, id))) return GONE;
    await records.events.nameCourt(id, court.data);
    return undefined;
  },
);

/** Rain: everybody who has not been on court plays so much later. */
export const allLater = action(
  'arrange the day',
  said,
  [rowId, textIn],
  async (open, eventId, text) => {
    const { together, workshop } = open;
    const minutes = parseMinutes(text);
    if (!minutes.ok || minutes.value === 0) return refusal('event.later').problem;
    const now = wallTime(new Date(), workshop.timeZone);
    const moved = await together(async ({ events }) => {
      const event = await events.get(eventId);
      if (!event || event.removedAt) return undefined;
      const later = (await events.players(eventId)).filter(
        ({ onCourt }) => onCourt !== null && onCourt >= now,
      );
      let rackets = 0;
      for (const { id, onCourt, court } of later)
        rackets += await events.moveCourt(
          id,
          wallOf(wallMinutes(onCourt ?? now) + minutes.value),
          court,
          event.leadMin,
        );
      return { players: later.map(({ id }) => id), rackets };
    });
    if (!moved) return GONE;
    await giveBenches(open, eventId, moved.players);
    return `${countWords(moved.players.length, 'player')} and ${countWords(moved.rackets, 'open racket')} moved.`;
  },
);

/** By when a bag is promised: what was said, else so long before the match as the event wants it. */
function promiseOf(
  { player, event }: Playing,
  said: WallTime | null,
  now: WallTime,
): WallTime | FormAnswer {
  if (said !== null) return said;
  const problem = (sentence: string): FormAnswer => ({
    ok: false,
    problems: { promised: sentence },
  });
  if (player.onCourt === null)
    return problem('Nobody knows yet when they play: say when they want them.');
  const before = promiseBefore(player.onCourt, event.leadMin);
  return before >= now
    ? before
    : problem(
        `${event.leadMin} minutes before their match is over already: say when they want them.`,
      );
}

/** The last job of a racket, or of another of theirs of the same frame. */
async function lastLike({ tickets }: Records, racketId: string, alike: readonly string[]) {
  for (const id of [racketId, ...alike]) {
    const [last] = (await tickets.lastOfRacket(id, 2)).filter(({ closedAt }) => closedAt !== null);
    if (last) return last;
  }
  return undefined;
}

/** What is set up already on a racket’s ticket: the player’s strings, and the cut of the last job that was like it. */
async function settings(
  records: Records,
  { player }: Playing,
  racketId: string,
  alike: readonly string[],
) {
  const { mainStringId, mainGaugeMm, crossStringId, crossGaugeMm, supplied } = player;
  if (!mainStringId || !crossStringId) return undefined;
  const last = await lastLike(records, racketId, alike);
  return {
    mainStringId,
    mainGaugeMm,
    mainSupplied: supplied,
    crossStringId,
    crossGaugeMm,
    crossSupplied: supplied,
    // Its remnants are used up.
    ...(last && last.cutFrom !== 'remnant' && cutOf(last)),
  };
}

/** A player’s bag: every racket with its tag and ticket, all of them or none. */
export const bagIn = action(
  'take in',
  refused,
  [rowId, entryOf<BagEntry>()],
  async (open, playerId, typed): Promise<FormAnswer> => {
    const { workshop, together, tickets } = open;
    const at = await playing(open, playerId);
    if (!at) return refused(GONE);
    const now = wallTime(new Date(), workshop.timeZone);
    const read = bagSchema(at.event.sport, workshop.tensionUnit, now).safeParse(typed);
    if (!read.success) return misread(read.error);
    const { lines, frameId, frameLabel, wish } = read.data;
    const go = `/events/${at.event.id}/players/${playerId}`;
    const keys = lines.map(({ requestKey }) => requestKey);
    if ((await tickets.byRequest(keys)).length > 0) return { ok: true, go };
    const promised = promiseOf(at, read.data.promised, now);
    if (typeof promised !== 'string') return promised;
    try {
      const answer = await wholly(() =>
        together(async (records) => {
          const { clientId } = at.player;
          const known = await records.rackets.ofClient(clientId);
          const frame = frameId ? await records.frames.get(frameId) : undefined;
          const tags = nextTags(await records.events.tags(at.event.id), lines.length);
          let fresh = known.length;
          for (const [i, { requestKey, racketId, tension }] of lines.entries()) {
            const racket = known.find(({ id }) => id === racketId);
            const problem = (sentence: string) =>
              new Undone({ ok: false, problems: { [`lines.${i}.racketId`]: sentence } });
            if (racketId && !racket)
              throw problem('This racket was removed in another tab. Choose again.');
            if (racket?.openNumber)
              throw problem(`This racket is on ticket ${racket.openNumber} already.`);
            const id =
              racket?.id ??
              (
                await records.rackets.add({
                  clientId,
                  frameId: frame?.id ?? null,
                  label: frame?.name ?? frameLabel.trim(),
                  mark: String(++fresh),
                  notes: '',
                })
              ).id;
            const frameOf = racket?.frameId ?? (racket ? null : (frame?.id ?? null));
            const alike = known.filter((each) => frameOf !== null && each.frameId === frameOf);
            const set = await settings(
              records,
              at,
              id,
              alike.map((each) => each.id),
            );
            const ticket = await records.tickets.add(requestKey, {
              racketId: id,
              promised,
              wish: [formatTicket(tension), wish].filter(Boolean).join(', '),
              condition: '',
              visit: lines.length > 1 ? (keys[0] ?? null) : null,
              ...(set && {
                ...set,
                mainN: tension.mainN,
                crossN: tension.crossN,
                tensionUnit: tension.unit,
              }),
            });
            await records.events.addRacket({
              ticketId: ticket.id,
              eventId: at.event.id,
              playerId,
              tag: tags[i] ?? 0,
            });
          }
          return { ok: true, go } as const;
        }),
      );
      if (answer.ok) await giveBenches(open, at.event.id, [playerId]);
      return answer;
    } catch (error) {
      if ((await tickets.byRequest(keys)).length > 0) return { ok: true, go };
      throw error;
    }
  },
);
