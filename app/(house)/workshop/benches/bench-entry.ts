import { z } from 'zod';
import { handSchema } from '@/core/bench/times';
import { nameText, pickedOrNone, typed } from '@/core/measure/typed';
import type { Hours, WeekHours } from '@/core/queue/clock';
import {
  formatHours,
  formatOtherDays,
  parseHours,
  parseOtherDays,
  USUAL_WEEK,
} from '@/core/queue/hours';
import type { BenchFacts } from '@/db/benches';

const hours = typed(parseHours);

/** By the weekday that each field is of. */
export const DAY_FIELDS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;

export const benchSchema = z
  .object({
    name: nameText('the bench a name'),
    machineId: pickedOrNone('a machine'),
    hand: handSchema,
    mon: hours,
    tue: hours,
    wed: hours,
    thu: hours,
    fri: hours,
    sat: hours,
    sun: hours,
    others: typed(parseOtherDays),
  })
  .transform(
    ({ name, machineId, hand, mon, tue, wed, thu, fri, sat, sun, others }): BenchFacts => ({
      name,
      machineId: machineId || null,
      hand,
      hours: { week: [mon, tue, wed, thu, fri, sat, sun], others },
    }),
  );

export type BenchEntry = z.input<typeof benchSchema>;

const weekEntry = (week: WeekHours) => {
  const of = (day: Hours) => formatHours(day) || 'closed';
  const [mon, tue, wed, thu, fri, sat, sun] = week;
  return {
    mon: of(mon),
    tue: of(tue),
    wed: of(wed),
    thu: of(thu),
    fri: of(fri),
    sat: of(sat),
    sun: of(sun),
  };
};

export const NEW_BENCH: BenchEntry = {
  name: '',
  machineId: '',
  hand: 'practised',
  ...weekEntry(USUAL_WEEK),
  others: '',
};

export const benchEntryOf = ({ name, machineId, hand, hours: kept }: BenchFacts): BenchEntry => ({
  name,
  machineId: machineId ?? '',
  hand,
  ...weekEntry(kept.week),
  others: formatOtherDays(kept.others),
});
