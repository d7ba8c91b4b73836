'use server';

import { action } from '@/app/action';
import { searchIn } from '@/app/search-text';
import type { Finding } from '@/ui/shell/palette';

const EACH = 5;

const nothing = (): readonly Finding[] => [];

/** Clients, rackets, jobs, frames and strings by a few letters or a number. */
export const findAnything = action(
  'see clients',
  nothing,
  [searchIn],
  async ({ clients, rackets, tickets, frames, strings }, text) => {
    if (!text) return [];
    const [people, owned, open, jobs, library, shelf] = await Promise.all([
      clients.find(text, EACH),
      rackets.find(text, EACH),
      tickets.open(),
      tickets.closed(text, EACH),
      frames.find(text, EACH),
      strings.find(text),
    ]);
    const lower = text.toLowerCase();
    const waiting = open.filter(
      ({ number, clientName, frameName }) =>
        String(number) === text || `${clientName} ${frameName}`.toLowerCase().includes(lower),
    );
    return [
      ...waiting.slice(0, EACH).map(({ number, clientName, frameName }) => ({
        href: `/tickets/${number}`,
        kind: 'ticket',
        text: `${number}  ${clientName}, ${frameName}`,
      })),
      ...people.map(({ id, name }) => ({ href: `/clients/${id}`, kind: 'client', text: name })),
      ...owned.map(({ id, clientName, frameName, mark }) => ({
        href: `/rackets/${id}`,
        kind: 'racket',
        text: `${frameName}${mark ? `, ${mark}` : ''}, ${clientName}`,
      })),
      ...jobs.map(({ number, clientName, frameName }) => ({
        href: `/jobs/${number}`,
        kind: 'job',
        text: `${number}  ${clientName}, ${frameName}`,
      })),
      ...library.map(({ id, name }) => ({ href: `/frames/${id}`, kind: 'frame', text: name })),
      ...shelf
        .slice(0, EACH)
        .map(({ id, name }) => ({ href: `/strings/${id}`, kind: 'string', text: name })),
    ];
  },
);
