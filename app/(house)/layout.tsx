import type { ReactNode } from 'react';
import { Toaster } from 'sonner';
import { openWorkshop } from '@/app/identity/at-work';
import { Lock } from '@/app/identity/lock';
import { may, type Deed } from '@/core/house/policy';
import { FocusOnMove } from '@/ui/shell/focus-on-move';
import { TopBar } from '@/ui/shell/top-bar';
import { findAnything } from './find';

/** Everything in the house is read afresh for each request. */
export const dynamic = 'force-dynamic';

const PLACES: readonly { readonly href: string; readonly name: string; readonly deed: Deed }[] = [
  { href: '/', name: 'Today', deed: 'see the day' },
  { href: '/clients', name: 'Clients', deed: 'see clients' },
  { href: '/rackets', name: 'Rackets', deed: 'see clients' },
  { href: '/frames', name: 'Frames', deed: 'see frames' },
  { href: '/strings', name: 'Strings', deed: 'see strings' },
  { href: '/jobs', name: 'Jobs', deed: 'see records' },
  { href: '/workshop', name: 'Workshop', deed: 'change the workshop' },
];
/** Where the machines are found by who has no page of the workshop. */
const MACHINES = { href: '/workshop/machines', name: 'Machines' };
const PRACTICE = { href: '/practice', name: 'Practice' };

export default async function HouseLayout({ children }: { readonly children: ReactNode }) {
  const { workshop, person, role } = await openWorkshop();
  const places = PLACES.filter(({ deed }) => may(role, deed)).map(({ href, name }) => ({
    href,
    name,
  }));
  if (!may(role, 'change the workshop') && may(role, 'see machines')) places.push(MACHINES);
  if (!may(role, 'set up')) places.push(PRACTICE);
  return (
    <>
      <TopBar
        workshop={workshop.name}
        person={person.name}
        places={places}
        takesIn={may(role, 'take in')}
        find={may(role, 'see clients') ? findAnything.bind(null, workshop.id) : undefined}
      />
      <FocusOnMove />
      {children}
      <Lock />
      <Toaster
        position="bottom-center"
        toastOptions={{
          className:
            'rounded-none! border! border-ink! bg-sheet! text-ink! shadow-none! font-text!',
        }}
      />
    </>
  );
}
