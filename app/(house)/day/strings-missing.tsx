import { leftBy, notCut, stockOfLength } from '@/app/(house)/shelf/cuts-of-day';
import { formatWall, type WallTime } from '@/core/measure/promised-time';
import { missingFor } from '@/core/shelf/missing';
import { stockKey } from '@/db/shelf';
import type { ListedTicket } from '@/db/tickets';
import type { Records } from '@/db/workshop';
import { Link } from '@/ui/link';

interface StringsMissingProps {
  readonly shelf: ShelfOfDay;
  readonly open: readonly ListedTicket[];
  readonly now: WallTime;
}

/** What the shelf holds for the day. */
export async function shelfOfDay({ shelf, strings }: Pick<Records, 'shelf' | 'strings'>) {
  const [isKept, lengths, known, cut] = await Promise.all([
    shelf.isKept(),
    shelf.there(),
    strings.find(''),
    shelf.cutOfOpen(),
  ]);
  return { isKept, lengths, strings: known, cut };
}

type ShelfOfDay = Awaited<ReturnType<typeof shelfOfDay>>;

/** Strings to order before a promise breaks; nothing where no shelf is kept. */
export function StringsMissing({ shelf, open: all, now }: StringsMissingProps) {
  const { isKept, lengths, strings, cut } = shelf;
  if (!isKept) return null;
  const open = notCut(all, cut);
  const named = new Map(
    strings.flatMap(({ id, name, gaugesMm, setMm }) =>
      gaugesMm.map(
        (mm) => [stockKey(id, mm), { name: `${name} ${mm.toFixed(2)}`, setMm }] as const,
      ),
    ),
  );
  const half = (stringId: string | null, gaugeMm: number | null, supplied: boolean) => {
    if (stringId === null || gaugeMm === null || supplied) return [];
    const key = stockKey(stringId, gaugeMm);
    const string = named.get(key);
    return string ? [{ key, mm: string.setMm / 2 }] : [];
  };
  const missing = missingFor(
    leftBy(lengths, stockOfLength),
    open.map((ticket) => {
      const { mainStringId, mainGaugeMm, mainSupplied } = ticket;
      const { crossStringId, crossGaugeMm, crossSupplied } = ticket;
      const [mains] = half(mainStringId, mainGaugeMm, mainSupplied);
      const [crosses] = half(crossStringId, crossGaugeMm, crossSupplied);
      const one = mains && crosses && mains.key === crosses.key;
      return {
        number: ticket.number,
        promised: ticket.promised,
        needs: one
          ? [{ key: mains.key, mm: mains.mm + crosses.mm }]
          : [mains, crosses].flatMap((each) => each ?? []),
      };
    }),
  );
  if (missing.length === 0) return null;
  return (
    <p className="text-warn mb-2">
      <Link href="/shelf" className="underline">
        String to order
      </Link>
      :{' '}
      {missing
        .map(({ number, key }) => {
          const ticket = open.find((each) => each.number === number);
          return `${named.get(key)?.name ?? ''} for ticket ${number}${ticket ? `, promised ${formatWall(ticket.promised, now)}` : ''}`;
        })
        .join('; ')}
    </p>
  );
}
