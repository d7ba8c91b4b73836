import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { may } from '@/core/house/role-rights';
import { jobListAddress } from '@/core/record/job-list';
import { A_PAGE } from '@/db/a-page';
import { COUNTED } from '@/db/jobs';
import { Link } from '@/ui/link';
import { jobsAsked } from './asked';
import { JobFilters } from './job-filters';
import { JobGrid } from '@/app/(house)/when-used';
import { jobRow } from './job-row';

export const metadata: Metadata = { title: 'Jobs on record' };

/** To choose from as one types; any other name may be typed too. */
const FRAMES_OFFERED = 500;

/** Closed jobs, filtered, sorted and paged by the records; all of it stands in the address. */
export default async function JobsPage({ searchParams }: PageProps<'/jobs'>) {
  const { workshop, jobs, frames, strings, machines, members, role } = await openFor('see records');
  const asked = jobsAsked(await searchParams, workshop);
  const { list } = asked;
  const [{ jobs: shown, more, count }, library, shelf, benches, staff] = await Promise.all([
    jobs.page(asked),
    frames.find('', FRAMES_OFFERED),
    strings.find(''),
    machines.all(),
    members.all(),
  ]);
  const first = (list.page - 1) * A_PAGE;
  const counted = count > COUNTED ? `more than ${COUNTED.toLocaleString('en-GB')}` : String(count);
  return (
    <main className="px-6 py-6">
      <div className="flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">Jobs on record</h1>
        <p className="label grow" role="status">
          {shown.length === 0 ? 'none' : `${first + 1} to ${first + shown.length} of ${counted}`}
        </p>
        <Link href="/jobs/withdrawn" className="underline">
          Withdrawn
        </Link>
        {may(role, 'bring records in') && (
          <Link href="/jobs/import" className="no-print underline">
            From elsewhere
          </Link>
        )}
        {may(role, 'take records out') && (
          <a href="/jobs/documents" download className="no-print underline">
            All as documents
          </a>
        )}
        {may(role, 'take records out') && (
          <a href={jobListAddress(list, {}, '/jobs/table')} download className="no-print underline">
            These as a table
          </a>
        )}
      </div>
      <JobFilters
        key={JSON.stringify(list)}
        list={list}
        frames={library.map(({ name }) => name)}
        strings={[...new Set(shelf.map(({ name }) => name))]}
        machines={benches.map(({ name }) => name)}
        people={staff.map(({ name }) => name)}
        currency={workshop.currency}
      />
      <JobGrid list={list} rows={shown.map((job) => jobRow(job, workshop))} />
      <nav aria-label="Pages" className="no-print mt-4 flex gap-6">
        {list.page > 1 && (
          <Link href={jobListAddress(list, { page: list.page - 1 })} className="underline">
            Before
          </Link>
        )}
        {more && (
          <Link href={jobListAddress(list, { page: list.page + 1 })} className="underline">
            The next {A_PAGE}
          </Link>
        )}
      </nav>
    </main>
  );
}
