/** A tournament that the demo's workshop strings at in a few days, with those of its clients who play. */
import { newtons } from '@/core/measure/units';
import { wallTime } from '@/core/measure/promised-time';
import type { StandingOrder } from '@/core/tournament/orders';
import type { Connection } from '../connection';
import { eventsOf } from '../events';
import { randomUUID } from 'node:crypto';
import type { clients, strings } from '../racket-schema';

const DAY = 24 * 60 * 60 * 1000;

const order = (
  count: number,
  mains: number,
  crosses: number,
  when: StandingOrder['when'],
): StandingOrder => ({
  count,
  tension: { mainN: newtons(mains, 'kg'), crossN: newtons(crosses, 'kg'), unit: 'kg' },
  when,
});

const ORDERS: readonly (readonly StandingOrder[])[] = [
  [order(2, 24, 23, 'every morning'), order(2, 25, 24, 'every morning')],
  [order(2, 23, 22, 'every match')],
  [order(1, 26, 26, 'every morning'), order(1, 25, 25, 'every match')],
  [],
];

export async function fillEvent(
  db: Connection,
  workshopId: string,
  people: readonly Pick<typeof clients.$inferInsert, 'id'>[],
  shelf: readonly Pick<typeof strings.$inferInsert, 'id' | 'sport' | 'gaugesMm'>[],
  benchIds: readonly string[],
  today: Date,
  timeZone: string,
): Promise<void> {
  const events = eventsOf(db, workshopId);
  const id = randomUUID();
  const dayIn = (days: number) =>
    wallTime(new Date(today.getTime() + days * DAY), timeZone).slice(0, 10);
  await events.add(
    {
      name: 'Skerrowmouth Winter Cup',
      sport: 'tennis',
      days: {
        days: Object.fromEntries(
          [9, 10, 11].map((days) => [
            dayIn(days),
            [
              ['08:00', '13:00'],
              ['13:30', '20:00'],
            ] as const,
          ]),
        ),
      },
      benchIds: [...benchIds],
      leadMin: 45,
      labourMinor: 2000,
      ownStringMinor: 1700,
      rushMinor: 800,
      rushMin: 90,
      oneBench: true,
      boardNames: false,
    },
    id,
  );
  const tennis = shelf.filter(({ sport }) => sport === 'tennis');
  for (const [i, orders] of ORDERS.entries()) {
    const string = tennis[i % tennis.length];
    const gaugeMm = string?.gaugesMm[0] ?? null;
    await events.addPlayer(randomUUID(), id, people[i]?.id ?? '', {
      orders: { orders },
      mainStringId: string?.id ?? null,
      mainGaugeMm: gaugeMm,
      crossStringId: string?.id ?? null,
      crossGaugeMm: gaugeMm,
      supplied: i === 1,
      benchId: null,
    });
  }
}
