import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { readTogether } from '@/app/read-together';
import { pageNumber, searchText } from '@/app/search-text';
import { pageOf } from '@/db/a-page';
import { may } from '@/core/house/role-rights';
import { hasWords } from '@/core/measure/has-words';
import { formatMoney, moneyFigure } from '@/core/measure/money';
import { formatDay, formatWall, wallTime } from '@/core/measure/promised-time';
import { formatStringLength, roundTo } from '@/core/measure/units';
import { earnings } from '@/core/shelf/earning';
import { pieceId, stockOf } from '@/core/shelf/day-cuts';
import { stockKey, type LengthThere } from '@/db/shelf';
import { Link } from '@/ui/link';
import { FindForm, Pages, RowLink, Table } from '@/ui/list-page';
import { Press } from '@/ui/press';
import { buy, countLength, throwAway, undoMove } from './actions';
import { BoughtForm, ShelfLengths } from '@/app/(house)/when-used';
import {
  cutsOfDay,
  notCut,
  orderLines,
  piecesOf,
  shelfLength,
  WEEKS_LOOKED_AT,
} from './cuts-of-day';

export const metadata: Metadata = { title: 'Shelf' };

const MOVES_SHOWN = 12;
const MOST_EARNING = 12;

/** Whole ones that are alike in everything stand in one line. */
function inLines(lengths: readonly LengthThere[]): readonly (readonly LengthThere[])[] {
  const lines = new Map<string, LengthThere[]>();
  for (const each of lengths) {
    const { id, stringId, gaugeMm, kind, mm, leftMm, priceMinor, supplier, place, day } = each;
    const key =
      leftMm < mm ? id : [stringId, gaugeMm, kind, mm, priceMinor, supplier, place, day].join('|');
    lines.set(key, [...(lines.get(key) ?? []), each]);
  }
  return [...lines.values()];
}

const metres = (mm: number): string => (mm / 1000).toFixed(2);

/** What lies on the shelf, what the open tickets are cut from, what to order, and every movement. */
export default async function ShelfPage({ searchParams }: PageProps<'/shelf'>) {
  const asked = await searchParams;
  const find = searchText(asked);
  const { workshop, shelf, strings, tickets, role } = await openFor('see strings');
  const keeps = may(role, 'keep the shelf');
  const seesMoney = may(role, 'see the money');
  const [lengths, known, open, cut, moves, used, timed, paid] = await readTogether(
    `Shelf ${workshop.id} ${role}`,
    () =>
      Promise.all([
        shelf.there(),
        strings.find(''),
        may(role, 'see tickets') ? tickets.open() : [],
        shelf.cutOfOpen(),
        shelf.moves(MOVES_SHOWN),
        shelf.usedByWeek(WEEKS_LOOKED_AT),
        seesMoney ? tickets.timedJobs() : [],
        seesMoney ? shelf.pricePerMm() : new Map<string, number>(),
      ]),
  );
  const waiting = notCut(open, cut);
  const { jobs, plan, leaves } = await cutsOfDay(waiting, lengths);
  const money = (minor: number) => formatMoney(minor, workshop.currency, workshop.locale);
  const length = (mm: number) => formatStringLength(mm, workshop.lengthSystem);
  const worth = lengths.reduce(
    (sum, { priceMinor, leftMm, mm }) => sum + (priceMinor * leftMm) / mm,
    0,
  );
  const byId = new Map(lengths.map((each) => [each.id, each]));
  const opens = new Map(stockOf(lengths.map(shelfLength)).map(({ id, price }) => [id, price]));
  const lines = orderLines(known, lengths, used).filter(({ aWeek }) => aWeek > 0);
  const earned = earnings(
    timed.map((job) => ({
      strings: job.mains === job.crosses ? job.mains : `${job.mains} / ${job.crosses}`,
      incomeMinor: (job.labourMinor ?? 0) + (job.stringMinor ?? 0),
      minutes: job.minutes,
      cuts: piecesOf(job, { plan: job }),
    })),
    paid,
  ).slice(0, MOST_EARNING);
  const now = wallTime(new Date(), workshop.timeZone);
  const bought = (mm: number, minor: number) => ({
    length: String(roundTo(mm / 1000, 0.001)),
    price: moneyFigure(minor, workshop.currency),
  });
  const nameOf = ({ string, gaugeMm }: Pick<LengthThere, 'string' | 'gaugeMm'>) =>
    `${string} ${gaugeMm.toFixed(2)}`;
  const found = inLines(
    lengths.filter((each) => hasWords(find, `${nameOf(each)} ${each.place} ${each.supplier}`)),
  );
  const shown = pageOf(found, pageNumber(asked));
  return (
    <main className="px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">Shelf</h1>
        <p className="label grow">
          {lengths.length} lengths, worth {money(Math.round(worth))}
        </p>
        <Link href="/strings" className="underline">
          Strings
        </Link>
        <a href="/shelf/table" download className="underline">
          As a table
        </a>
      </div>
      <div className="grid gap-10 lg:grid-cols-[1.6fr_1fr]">
        <div className="flex flex-col gap-8">
          <section aria-label="Cut from what">
            <h2 className="figure mb-1 text-2xl">For the open tickets</h2>
            <Table
              head={['Ticket', 'Piece', 'Needs', 'Cut it from', 'Leaves']}
              empty={
                waiting.length < open.length
                  ? 'All open tickets whose cut is planned are cut.'
                  : 'No open ticket has its cut planned.'
              }
              rows={jobs.flatMap(({ number, pieces, client }) =>
                pieces.map(({ name, mm }) => {
                  const cut = plan.cuts.find(({ piece }) => piece === pieceId(number, name));
                  const from = cut && byId.get(cut.from);
                  return {
                    key: pieceId(number, name),
                    cells: [
                      <span key="ticket">
                        {may(role, 'plan the cut') ? (
                          <RowLink href={`/tickets/${number}/cut`}>{number}</RowLink>
                        ) : (
                          number
                        )}{' '}
                        <span className="label">{client}</span>
                      </span>,
                      name,
                      <span key="needs" className="whitespace-nowrap">
                        {length(mm)}
                      </span>,
                      from ? (
                        <span key="from">
                          {nameOf(from)}, {from.leftMm < from.mm ? 'opened ' : ''}
                          {from.kind} of {length(from.leftMm)}
                          {from.place && `, ${from.place}`}
                          {(opens.get(from.id) ?? 0) > 0 && (
                            <span className="label"> opens {money(opens.get(from.id) ?? 0)}</span>
                          )}
                        </span>
                      ) : (
                        <span key="none" className="text-warn">
                          nothing on the shelf is long enough: order before it is due
                        </span>
                      ),
                      from && (
                        <span key="leaves" className="whitespace-nowrap">
                          {length(leaves.get(from.id) ?? from.leftMm)}
                        </span>
                      ),
                    ],
                  };
                }),
              )}
            />
          </section>
          <section aria-label="What is there">
            <div className="mb-3 flex flex-wrap items-end gap-x-8">
              <h2 className="figure text-2xl">What is there</h2>
              <FindForm search={find} label="Find by string, place or supplier" />
            </div>
            <ShelfLengths
              empty={
                find
                  ? `Nothing on the shelf is found by “${find}”.`
                  : 'Nothing lies on the shelf yet. What is put on it is cut from by itself at hand-over.'
              }
              lines={shown.rows.flatMap((alike) =>
                alike.slice(0, 1).map((each) => ({
                  id: each.id,
                  name: nameOf(each),
                  what:
                    alike.length > 1
                      ? `${alike.length} × ${each.kind}`
                      : `${each.leftMm < each.mm ? 'opened ' : ''}${each.kind}`,
                  alike: alike.length,
                  left: metres(each.leftMm),
                  place: each.place,
                  bought: `${formatDay(each.day)}, ${money(each.priceMinor)}${each.supplier && `, ${each.supplier}`}`,
                })),
              )}
              {...(keeps && {
                count: countLength.bind(null, workshop.id),
                throwAway: throwAway.bind(null, workshop.id),
              })}
            />
            <Pages path="/shelf" find={find} page={shown.page} more={shown.more} />
          </section>
          <section aria-label="Movements">
            <h2 className="figure mb-1 text-2xl">Movements</h2>
            <Table
              head={['When', 'What', 'String', 'Metres', 'Who', '']}
              empty="None yet."
              rows={moves.map(({ id, at, kind, mm, number, who, note, undone, ...string }) => ({
                key: id,
                cells: [
                  formatWall(wallTime(at, workshop.timeZone), now),
                  [kind, note, number !== null && `ticket ${number}`, undone && 'taken back']
                    .filter(Boolean)
                    .join(', '),
                  nameOf(string),
                  `${mm > 0 ? '+' : '−'}${metres(Math.abs(mm))}`,
                  who,
                  keeps && kind !== 'undone' && !undone && (
                    <Press
                      key="undo"
                      action="Take back"
                      press={undoMove.bind(null, workshop.id, id)}
                    />
                  ),
                ],
              }))}
            />
          </section>
        </div>
        <div className="flex flex-col gap-8">
          {keeps && (
            <section aria-label="Bought">
              <h2 className="figure mb-2 text-2xl">Bought</h2>
              <BoughtForm
                key={lengths.length}
                currency={workshop.currency}
                stock={known.flatMap(
                  ({ id, name, gaugesMm, setMm, setPriceMinor, reelMm, reelPriceMinor }) =>
                    gaugesMm.map((gaugeMm) => ({
                      value: stockKey(id, gaugeMm),
                      text: `${name} ${gaugeMm.toFixed(2)}`,
                      set: bought(setMm, setPriceMinor),
                      ...(reelMm !== null && { reel: bought(reelMm, reelPriceMinor ?? 0) }),
                    })),
                )}
                save={buy.bind(null, workshop.id, randomUUID())}
              />
            </section>
          )}
          {earned.length > 0 && (
            <section aria-label="Earned by the hour">
              <h2 className="figure mb-1 text-2xl">What strings earn</h2>
              <p className="label mb-2">
                What is left for an hour at the bench when the string is paid at what it cost here;
                of the last jobs whose time is known.
              </p>
              <Table
                head={['Strings', 'Jobs', 'Min a job', 'An hour']}
                empty=""
                rows={earned.map(({ strings: name, jobs: count, minutesAJob, hourMinor }) => ({
                  key: name,
                  cells: [name, count, minutesAJob, money(hourMinor)],
                }))}
              />
            </section>
          )}
          <section aria-label="To order">
            <div className="flex flex-wrap items-baseline gap-x-5">
              <h2 className="figure mb-1 grow text-2xl">To order</h2>
              <a href="/shelf/order" download className="underline">
                As a list
              </a>
            </div>
            <p className="label mb-2">
              In sets, so that 95 of 100 weeks are served until a delivery of a week is there; by
              what the last {WEEKS_LOOKED_AT} weeks have used.
            </p>
            <Table
              head={['String', 'There', 'A week', 'Level', 'Order']}
              empty="Nothing was cut from the shelf in these weeks."
              rows={lines.map((line) => ({
                key: stockKey(line.stringId, line.gaugeMm),
                cells: [
                  `${line.name} ${line.gaugeMm.toFixed(2)}`,
                  line.there.toFixed(1),
                  line.aWeek.toFixed(1),
                  line.level,
                  line.toOrder > 0 ? (
                    <strong key="order">{line.toOrder}</strong>
                  ) : (
                    <span key="order" className="label">
                      enough
                    </span>
                  ),
                ],
              }))}
            />
          </section>
        </div>
      </div>
    </main>
  );
}
