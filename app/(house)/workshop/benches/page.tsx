import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { may } from '@/core/house/role-rights';
import { formatHours, WEEKDAYS } from '@/core/queue/hours';
import { Link } from '@/ui/link';

export const metadata: Metadata = { title: 'Benches' };

/** Where the workshop strings, and when. */
export default async function BenchesPage() {
  const { benches, role } = await openFor('see machines');
  const known = await benches.all();
  const mayChange = may(role, 'change machines');
  return (
    <main className="max-w-4xl px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">Benches</h1>
        <Link href="/" className="underline">
          Today
        </Link>
        <Link href="/workshop/machines" className="underline">
          Machines
        </Link>
      </div>
      <p className="label mb-3 max-w-prose">
        A bench is a place at which one racket after the other is strung. Its hours and the hand
        that works there say what can be promised; a job is not split over a break.
      </p>
      <ul aria-label="Benches">
        {known.map(({ id, name, machine, hand, hours }) => (
          <li key={id} className="border-hair flex flex-wrap gap-x-6 border-t py-3">
            {mayChange ? (
              <Link href={`/workshop/benches/${id}`} className="font-medium underline">
                {name}
              </Link>
            ) : (
              <span className="font-medium">{name}</span>
            )}
            <span className="text-soft grow">
              {machine ?? 'any machine'}, {hand} hands
            </span>
            <span className="label w-full">
              {WEEKDAYS.map(
                (day, i) => `${day.slice(0, 3)} ${formatHours(hours.week[i] ?? []) || 'closed'}`,
              ).join(' · ')}
            </span>
          </li>
        ))}
      </ul>
      {known.length === 0 && (
        <p className="text-soft">
          No bench is named yet: one is taken for granted, with the hours that are usual.
        </p>
      )}
      {mayChange && (
        <p className="mt-5">
          <Link href="/workshop/benches/new" className="bg-ink text-paper px-5 py-2 font-medium">
            Add a bench
          </Link>
        </p>
      )}
    </main>
  );
}
