import { leftBy } from '@/app/(house)/shelf/cuts-of-day';
import type { ShelfString } from '@/core/advice/shelf';
import type { Sport } from '@/core/terms/sport';
import type { StringRow } from '@/db/strings';
import type { Records } from '@/db/workshop';

/** The strings of a sport with what lies there of each thickness; as they are where no shelf is kept. */
export async function stringsToChoose(
  { strings, shelf }: Pick<Records, 'strings' | 'shelf'>,
  sport: Sport,
): Promise<readonly (StringRow & ShelfString)[]> {
  const [known, isKept, there] = await Promise.all([
    strings.find('', sport),
    shelf.isKept(),
    shelf.there(),
  ]);
  if (!isKept) return known;
  return known.map((string) => {
    const mine = there.filter(({ stringId }) => stringId === string.id);
    const left = leftBy(mine, ({ gaugeMm }) => gaugeMm.toFixed(2));
    return { ...string, thereMm: Object.fromEntries(left) };
  });
}
