import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { countWords } from '@/core/terms/count-words';
import { Link } from '@/ui/link';
import { may } from '@/core/house/role-rights';
import { checkDue, checkWords } from '@/core/house/calibration';
import { dayAt } from '@/core/measure/promised-time';

export const metadata: Metadata = { title: 'Machines' };

/** The machines of the workshop, and whether their pull is checked in time. */
export default async function MachinesPage() {
  const { workshop, machines, role } = await openFor('see machines');
  const today = dayAt(new Date(), workshop.timeZone);
  const known = await machines.checked();
  return (
    <main className="max-w-4xl px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">Machines</h1>
        {may(role, 'change the workshop') && (
          <Link href="/workshop" className="underline">
            Workshop
          </Link>
        )}
      </div>
      <p className="label mb-3 max-w-prose">
        Its reach counts in the cut, its clamps and mounts in the order of the work, its checks in
        every pull. Choose one at the Cut station; without one, a machine with six mounts, two
        clamps and a starting clamp is taken for granted.
      </p>
      <ul aria-label="Machines">
        {known.map(({ checks, ...machine }) => {
          const { inDays } = checkDue(checks, machine.checkEveryDays, today);
          const caution = checkWords(checks, machine.checkEveryDays, today);
          return (
            <li key={machine.id} className="border-hair flex flex-wrap gap-x-6 border-t py-3">
              <Link href={`/workshop/machines/${machine.id}`} className="font-medium underline">
                {machine.name}
              </Link>
              <span className="text-soft grow">
                {machine.kind}, {machine.mounts} mounts, {machine.clamps} {machine.clampKind}{' '}
                {machine.clamps === 1 ? 'clamp' : 'clamps'}
                {machine.headAddress && ', head linked'}
              </span>
              {caution ? (
                <span className="text-warn">{caution}</span>
              ) : (
                <span className="text-soft">next check in {countWords(inDays ?? 0, 'day')}</span>
              )}
            </li>
          );
        })}
      </ul>
      {known.length === 0 && <p className="text-soft">No machine is named yet.</p>}
      {may(role, 'change machines') && (
        <p className="mt-5">
          <Link href="/workshop/machines/new" className="bg-ink text-paper px-5 py-2 font-medium">
            Add a machine
          </Link>
        </p>
      )}
    </main>
  );
}
