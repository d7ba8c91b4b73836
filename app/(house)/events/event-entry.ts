import { z } from 'zod';
import { moneyFigure, parseMoney } from '@/core/measure/money';
import { parseCount } from '@/core/measure/parsing';
import { nameText, typed } from '@/core/measure/typed';
import { formatOtherDays, parseOtherDays } from '@/core/queue/hours';
import { failure, success, type Result } from '@/core/terms/result';
import { sportSchema } from '@/core/terms/sport';
import type { EventFacts } from '@/db/events';

const MOST_MINUTES = 600;

/** Minutes as they are typed, up to ten hours. */
export function parseMinutes(text: string): Result<number> {
  const read = parseCount(text);
  return read.ok && read.value <= MOST_MINUTES ? read : failure('event.minutes');
}

export const eventSchema = (currency: string) => {
  const money = typed(parseMoney(currency));
  const minutes = typed(parseMinutes);
  return z
    .object({
      name: nameText('the event a name'),
      sport: sportSchema,
      days: typed((text) => {
        const read = parseOtherDays(text);
        if (!read.ok) return read;
        return Object.values(read.value).some((hours) => hours.length > 0)
          ? success(read.value)
          : failure('event.no days');
      }),
      /** Which of the workshop's benches stand there, by their ids. */
      benches: z.record(z.uuid(), z.boolean()),
      lead: minutes,
      labour: money,
      ownString: money,
      rush: money,
      rushMin: minutes,
      oneBench: z.boolean(),
      boardNames: z.boolean(),
    })
    .transform(
      ({
        name,
        sport,
        days,
        benches,
        lead,
        labour,
        ownString,
        rush,
        rushMin,
        ...rest
      }): EventFacts => ({
        name,
        sport,
        days: { days },
        benchIds: Object.entries(benches).flatMap(([id, there]) => (there ? [id] : [])),
        leadMin: lead,
        labourMinor: labour,
        ownStringMinor: ownString,
        rushMinor: rush,
        rushMin,
        ...rest,
      }),
    );
};

export type EventEntry = z.input<ReturnType<typeof eventSchema>>;

/** An event as its form begins, with what the workshop asks for a racket. */
export const newEvent = (
  benchIds: readonly string[],
  labourMinor: number,
  currency: string,
): EventEntry => ({
  name: '',
  sport: 'tennis',
  days: '',
  benches: Object.fromEntries(benchIds.map((id) => [id, true])),
  lead: '45',
  labour: moneyFigure(labourMinor, currency),
  ownString: moneyFigure(labourMinor, currency),
  rush: moneyFigure(0, currency),
  rushMin: '0',
  oneBench: true,
  boardNames: false,
});

export const eventEntryOf = (
  event: EventFacts,
  benchIds: readonly string[],
  currency: string,
): EventEntry => ({
  name: event.name,
  sport: event.sport,
  days: formatOtherDays(event.days.days),
  benches: Object.fromEntries(benchIds.map((id) => [id, event.benchIds.includes(id)])),
  lead: String(event.leadMin),
  labour: moneyFigure(event.labourMinor, currency),
  ownString: moneyFigure(event.ownStringMinor, currency),
  rush: moneyFigure(event.rushMinor, currency),
  rushMin: String(event.rushMin),
  oneBench: event.oneBench,
  boardNames: event.boardNames,
});
