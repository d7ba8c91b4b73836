'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, answerToAdded, misread, refused, said } from '@/app/answers';
import { eventSchema, type EventEntry } from './event-entry';

const entry = entryOf<EventEntry>();

export const addEvent = action(
  'arrange the day',
  refused,
  [rowId, entry],
  async ({ events, workshop }, newId, typed) => {
    const read = eventSchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    await events.add(read.data, newId);
    return answerToAdded(await events.get(newId), read.data, `/events/${newId}`);
  },
);

export const changeEvent = action(
  'arrange the day',
  refused,
  [rowId, rowVersion, entry],
  async ({ events, workshop }, eventId, version, typed) => {
    const read = eventSchema(workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(
      await events.change(eventId, version, read.data),
      'event',
      `/events/${eventId}`,
    );
  },
);

export const removeEvent = action('arrange the day', said, [rowId], async ({ events }, eventId) => {
  await events.setRemoved(eventId, true);
});

export const restoreEvent = action(
  'arrange the day',
  said,
  [rowId],
  async ({ events }, eventId) => {
    await events.setRemoved(eventId, false);
  },
);
