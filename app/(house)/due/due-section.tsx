import { COME_BACK_WORDS } from '@/core/ageing/comes-back';
import type { OpenHouse } from '@/app/identity/at-work';
import { may } from '@/core/house/role-rights';
import { formatDay } from '@/core/measure/promised-time';
import { countWords } from '@/core/terms/count-words';
import { dayAt } from '@/core/measure/promised-time';
import { RowLink, Table } from '@/ui/list-page';
import { Press } from '@/ui/press';
import { remind, remindAll } from './actions';
import { dueList } from './due-list';

const SHOWN = 12;

/** Whose strings are due, and a word to them. */
export async function DueSection({ house }: { readonly house: OpenHouse }) {
  const { workshop, role } = house;
  const [{ beds, count, now }, reminded] = await Promise.all([
    dueList(house, workshop, SHOWN),
    house.outbox.remindedAt(),
  ]);
  if (beds.length === 0) return null;
  const writes = may(role, 'write to clients');
  const remindedOn = (clientId: string) => {
    const at = reminded.get(clientId);
    return at && formatDay(dayAt(at, workshop.timeZone));
  };
  return (
    <section className="mt-8" aria-label="Due again">
      <div className="mb-1 flex flex-wrap items-baseline gap-x-6">
        <h2 className="figure text-2xl">Due again</h2>
        <p className="label grow">
          {countWords(now, 'racket')} by now, {count - now} within a fortnight
          {count > SHOWN && `; the first ${SHOWN}`}
        </p>
        {writes && now > 0 && (
          <Press action="Remind all who are due" press={remindAll.bind(null, workshop.id)} />
        )}
      </div>
      <Table
        head={['Due', 'Client', 'Racket', 'Strung', 'Why', '']}
        empty=""
        rows={beds.map((bed) => ({
          key: bed.racketId,
          cells: [
            <span key="due" className={bed.isDue ? 'font-semibold' : undefined}>
              {bed.isDue && 'since '}
              {formatDay(bed.due.day)}
            </span>,
            bed.client,
            <RowLink key="racket" href={`/rackets/${bed.racketId}/ageing`}>
              {bed.racket}
              {bed.mark && `, ${bed.mark}`}
            </RowLink>,
            formatDay(dayAt(bed.closedAt, workshop.timeZone)),
            COME_BACK_WORDS[bed.due.by],
            writes && (
              <span key="remind">
                {remindedOn(bed.clientId) ? (
                  <span className="label">reminded {remindedOn(bed.clientId)}</span>
                ) : bed.mayWrite === 'yes' ? (
                  <Press action="Remind" press={remind.bind(null, workshop.id, bed.number)} />
                ) : (
                  <span className="label">has not agreed to messages</span>
                )}
              </span>
            ),
          ],
        }))}
      />
    </section>
  );
}
