import { may } from '@/core/house/role-rights';
import { Seen } from '@/ui/form/only-seen';
import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { rulesOf } from '@/core/house/house-rules';
import { saveHouseRules } from '../actions';
import { houseEntryOf } from './house-entry';
import { HouseForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'House rules' };

export default async function HouseRulesPage({ searchParams }: PageProps<'/workshop/house-rules'>) {
  const { workshop, role, frames } = await openFor('see house rules');
  const asked = (await searchParams).frame;
  const all = await frames.all();
  const frame = all.find(({ id }) => id === asked);
  const house = rulesOf(workshop);
  return (
    <main className="px-6 py-6">
      <h1 className="figure text-4xl">House rules</h1>
      <p className="mt-1 mb-4 max-w-prose">
        Where good stringers differ, this workshop takes a side. Advice follows it from the next job
        on; a job keeps the rules it was begun with.{' '}
        {may(role, 'change the workshop') && (
          <Link href="/workshop" className="underline">
            The workshop
          </Link>
        )}
      </p>
      <Seen only={!may(role, 'change house rules')}>
        <HouseForm
          key={workshop.version}
          name={`house rules ${workshop.id}`}
          version={workshop.version}
          initial={houseEntryOf(house, workshop.tensionUnit)}
          house={house}
          frames={all.map(({ id, name, sport }) => ({ id, text: name, detail: sport }))}
          frame={
            frame && { id: frame.id, name: frame.name, spec: frame.spec, factor: frame.hoopFactor }
          }
          unit={workshop.tensionUnit}
          save={saveHouseRules.bind(null, workshop.id, workshop.version)}
        />
      </Seen>
    </main>
  );
}
