import { may } from '@/core/house/policy';
import { Seen } from '@/ui/form/only-seen';
import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { saveHouseRules } from '../actions';
import { houseEntryOf } from './house-entry';
import { HouseForm } from './house-form';

export const metadata: Metadata = { title: 'House rules' };

export default async function HouseRulesPage() {
  const { workshop, role } = await openFor('see house rules');
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
          initial={houseEntryOf(workshop.houseRules ?? USUAL_HOUSE, workshop.tensionUnit)}
          unit={workshop.tensionUnit}
          save={saveHouseRules.bind(null, workshop.id, workshop.version)}
        />
      </Seen>
    </main>
  );
}
