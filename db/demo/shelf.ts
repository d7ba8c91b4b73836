/** What lies on the demo's shelf, and what the last half year has cut from it. */
import { randomUUID } from 'node:crypto';
import type { Chance } from '@/core/maths/chance';
import type { Connection } from '../connection';
import type { strings } from '../racket-schema';
import { stockLengths, stockMoves } from '../shelf-schema';

type StringRow = Pick<
  typeof strings.$inferInsert,
  'id' | 'gaugesMm' | 'setMm' | 'setPriceMinor' | 'reelMm' | 'reelPriceMinor'
>;

const WEEK = 7 * 24 * 60 * 60 * 1000;
const WEEKS = 26;
const PLACES = ['drawer 1', 'drawer 2', 'by the window', 'high shelf'];

/** Sets of the first strings, a reel of those that come on one, and lengths that are opened already. */
export async function fillShelf(
  db: Connection,
  workshopId: string,
  rows: readonly StringRow[],
  today: Date,
  chance: Chance,
): Promise<void> {
  const lengths: (typeof stockLengths.$inferInsert)[] = [];
  const moves: (typeof stockMoves.$inferInsert)[] = [];
  const ago = (ms: number) => new Date(today.getTime() - ms);
  const dayOf = (date: Date) => date.toISOString().slice(0, 10);
  const inGauges = rows.flatMap((string) =>
    string.gaugesMm.map((gaugeMm, n) => ({ string, gaugeMm, first: n === 0 })),
  );
  for (const [i, { string, gaugeMm, first }] of inGauges.entries()) {
    const put = (
      facts: Pick<typeof stockLengths.$inferInsert, 'kind' | 'mm' | 'priceMinor'>,
      daysAgo: number,
    ): string => {
      const id = randomUUID();
      lengths.push({
        ...facts,
        id,
        workshopId,
        stringId: string.id ?? '',
        gaugeMm,
        supplier: i % 2 === 0 ? 'Harbour Sports Supply' : '',
        place: PLACES[i % PLACES.length] ?? '',
        day: dayOf(ago(daysAgo * 86_400_000)),
      });
      return id;
    };
    for (let n = 0; n < 1 + (i % 3); n++)
      put({ kind: 'set', mm: string.setMm, priceMinor: string.setPriceMinor }, 10 + i);
    if (!first) continue;
    const opened = put({ kind: 'set', mm: string.setMm, priceMinor: string.setPriceMinor }, 30);
    moves.push({
      id: randomUUID(),
      workshopId,
      lengthId: opened,
      kind: 'cut',
      mm: -string.setMm / 2,
      note: 'mains',
      at: ago(3 * 86_400_000 + i * 3_600_000),
    });
    // What came and went since spring, of those that are asked for.
    for (let week = 1; first && i % 3 === 0 && week < WEEKS; week++) {
      const used = chance.below(3);
      for (let n = 0; n < used; n++) {
        const gone = put(
          { kind: 'set', mm: string.setMm, priceMinor: string.setPriceMinor },
          7 * week + 20,
        );
        moves.push({
          id: randomUUID(),
          workshopId,
          lengthId: gone,
          kind: 'cut',
          mm: -string.setMm,
          note: 'whole',
          at: ago(week * WEEK - chance.below(WEEK)),
        });
      }
    }
    if (string.reelMm && string.reelPriceMinor)
      put({ kind: 'reel', mm: string.reelMm, priceMinor: string.reelPriceMinor }, 40);
  }
  await db.insert(stockLengths).values(lengths);
  await db.insert(stockMoves).values(moves);
}
