import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { notFound } from 'next/navigation';
import { routeId } from '@/app/route-id';
import { checkDue, checkWords, pullsFor, setFor } from '@/core/house/calibration';
import { dayAt, formatDay } from '@/core/measure/promised-time';
import { countWords } from '@/core/terms/count-words';
import { formatTension, newtons, roundTo } from '@/core/measure/units';
import { DriftChart } from '@/ui/drift-chart';
import { may } from '@/core/house/role-rights';
import { Seen } from '@/ui/form/only-seen';
import { RemoveButton } from '@/ui/remove-button';
import {
  addCheck,
  changeMachine,
  removeCheck,
  removeMachine,
  restoreCheck,
  restoreMachine,
} from '../actions';
import { CheckForm, MachineForm } from '@/app/(house)/when-used';
import { machineEntryOf } from '../machine-entry';

export const metadata: Metadata = { title: 'Machine' };

/** A machine: what it is, and whether it pulls what it is set to. */
export default async function MachinePage({ params }: PageProps<'/workshop/machines/[id]'>) {
  const id = routeId((await params).id);
  const { workshop, machines, role } = await openFor('see machines');
  const machine = await machines.get(id);
  if (!machine || machine.removedAt) notFound();
  const checks = await machines.checks(id);
  const unit = workshop.tensionUnit;
  const today = dayAt(new Date(), workshop.timeZone);
  const due = checkDue(checks, machine.checkEveryDays, today);
  const caution = checkWords(checks, machine.checkEveryDays, today);
  const usual = newtons(unit === 'kg' ? 24 : 53, unit);
  return (
    <main className="px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">{machine.name}</h1>
        <Link href="/workshop/machines" className="underline">
          All machines
        </Link>
      </div>
      <div className="grid gap-10 lg:grid-cols-2">
        <div>
          <Seen only={!may(role, 'change machines')}>
            <MachineForm
              key={machine.version}
              name={`machine ${id}`}
              version={machine.version}
              initial={machineEntryOf(machine)}
              action="Save this machine"
              save={changeMachine.bind(null, workshop.id, id, machine.version)}
            />
            <RemoveButton
              what="machine"
              remove={removeMachine.bind(null, workshop.id, id)}
              restore={restoreMachine.bind(null, workshop.id, id)}
              listHref="/workshop/machines"
            />
          </Seen>
        </div>
        <section aria-label="Checks of its pull">
          <Seen only={!may(role, 'check machines')}>
            <h2 className="figure text-2xl">Checks of its pull</h2>
            <p className="label mb-2">
              Hang a known weight on the gripper, or hook a spring scale in: what was it set to, and
              what did it pull? Stand aside, and follow the maker’s instructions.
            </p>
            {caution && <p className="text-warn mb-2">{caution}</p>}
            {due.inDays !== undefined && due.inDays >= 0 && (
              <p className="mb-2">Next check in {countWords(due.inDays, 'day')}.</p>
            )}
            {checks.length > 0 && (
              <p className="mb-3">
                It pulls <span className="figure">{roundTo(100 * pullsFor(checks), 0.1)} %</span> of
                its figure by the checks of the latest day. For {formatTension(usual, unit)} the
                bench sets it to{' '}
                <span className="figure">{formatTension(setFor(usual, checks), unit)}</span>.
              </p>
            )}
            <DriftChart checks={checks} />
            <CheckForm
              key={checks.length}
              name={`check ${id}`}
              unit={unit}
              save={addCheck.bind(null, workshop.id, id, randomUUID())}
            />
            <ul className="mt-4">
              {checks.toReversed().map(({ id: check, day, askedN, measuredN }) => (
                <li key={check} className="border-hair flex flex-wrap gap-x-5 border-t py-1">
                  <span>{formatDay(day)}</span>
                  <span className="figure grow">
                    {formatTension(askedN, unit)} set, {formatTension(measuredN, unit)} pulled
                  </span>
                  <RemoveButton
                    what="check"
                    remove={removeCheck.bind(null, workshop.id, check)}
                    restore={restoreCheck.bind(null, workshop.id, check)}
                    listHref={`/workshop/machines/${id}`}
                  />
                </li>
              ))}
            </ul>
          </Seen>
        </section>
      </div>
    </main>
  );
}
