import { openFor } from '@/app/identity/at-work';
import { may } from '@/core/house/role-rights';
import { Link } from '@/ui/link';
import { stationTitle } from '../station-title';
import { openTicket } from '../ticket';
import { keepLastLook } from './actions';
import { LastLookForm } from '@/app/(house)/when-used';
import { isStrungAt, TOO_EARLY } from './is-strung';
import { LookWords } from './look-words';
import { Lessons } from './lessons';

export const generateMetadata = stationTitle('Last look');

/** The bed, gone over once more while the mounts still hold it. */
export default async function LastLookPage({
  params,
  searchParams,
}: PageProps<'/tickets/[number]/last-look'>) {
  const fromBench = (await searchParams).bench !== undefined;
  const records = await openFor('string');
  const { ticket, workshop } = await openTicket((await params).number);
  return (
    <div className="max-w-3xl">
      <h2 className="figure mb-1 text-2xl">Last look</h2>
      <p className="label mb-3 max-w-prose">
        Before the mounts are opened: what is amiss can still be mended, and counts as mended. What
        is left goes on record.
      </p>
      {ticket.closedAt ? (
        <LookWords look={ticket.lastLook} />
      ) : !(await isStrungAt(ticket.number)) ? (
        <p className="bg-warn-wash max-w-prose px-3 py-2">
          {TOO_EARLY} A bed that was strung without the bench is looked over at the hand-over.
        </p>
      ) : (
        <LastLookForm
          key={JSON.stringify(ticket.lastLook)}
          name={`ticket ${ticket.id} last look`}
          kept={ticket.lastLook}
          save={keepLastLook.bind(null, workshop.id, ticket.number, fromBench)}
        />
      )}
      <Lessons records={records} />
      <p className="mt-6 flex gap-6">
        <a href={`/bench/${ticket.number}`} className="underline">
          Back to the bench
        </a>
        {may(records.role, 'hand over') && (
          <Link href={`/tickets/${ticket.number}/hand-over`} className="underline">
            To the hand-over
          </Link>
        )}
      </p>
    </div>
  );
}
