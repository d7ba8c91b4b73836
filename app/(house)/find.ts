'use server';

import { action } from '@/app/action';
import { searchIn } from '@/app/search-text';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import { formatTicket } from '@/core/measure/units';
import { readQuestion } from '@/core/record/question';
import type { Found } from '@/db/found';
import type { Finding } from '@/ui/shell/palette';

const nothing = (): readonly Finding[] => [];

const HREF: Readonly<Record<Found['kind'], (found: Found) => string>> = {
  ticket: ({ number }) => `/tickets/${number}`,
  // A job of before has no number.
  job: ({ number, rowId }) => (number === null ? `/jobs/earlier/${rowId}` : `/jobs/${number}`),
  client: ({ rowId }) => `/clients/${rowId}`,
  racket: ({ rowId }) => `/rackets/${rowId}`,
  frame: ({ rowId }) => `/frames/${rowId}`,
  string: ({ rowId }) => `/strings/${rowId}`,
  machine: ({ rowId }) => `/workshop/machines/${rowId}`,
};

/**
 * Anything by words in any order, parts of words, slips of the pen, a number, a day or a tension. What is open
 * comes first, then the latest jobs: the first of a client is their last job.
 */
export const findAnything = action(
  'see clients',
  nothing,
  [searchIn],
  async ({ found, workshop }, text) => {
    if (!text) return [];
    const question = readQuestion(text, wallTime(new Date(), workshop.timeZone));
    return (await found.find(question)).map((each): Finding => ({
      href: HREF[each.kind](each),
      kind: each.kind,
      text: each.number === null ? each.title : `${each.number}  ${each.title}`,
      detail: [
        each.tension && formatTicket(each.tension),
        each.detail,
        each.kind === 'job' && each.at && formatDay(wallTime(each.at, workshop.timeZone)),
      ]
        .filter(Boolean)
        .join(' · '),
    }));
  },
);
