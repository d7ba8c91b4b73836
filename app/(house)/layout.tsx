import type { ReactNode } from 'react';
import { openWorkshop } from '@/app/identity/at-work';
import { Lock } from '@/app/identity/lock';
import { may, type Deed } from '@/core/house/policy';
import type { Finding } from '@/ui/shell/palette';
import { FocusOnMove } from '@/ui/shell/focus-on-move';
import { Sayings } from '@/ui/shell/sayings';
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
  { href: '/money', name: 'Money', deed: 'see the money' },
  { href: '/workshop', name: 'Workshop', deed: 'change the workshop' },
];
/** Where the machines are found by who has no page of the workshop. */
const MACHINES = { href: '/workshop/machines', name: 'Machines' };
const PRACTICE = { href: '/practice', name: 'Practice' };

/** What the palette offers beside what it finds. */
const ACTIONS: readonly (Finding & { readonly deed: Deed })[] = [
  { href: '/take-in', kind: 'do', text: 'Take a racket in', deed: 'take in' },
  { href: '/', kind: 'go', text: 'Today', deed: 'see the day' },
  { href: '/clients/new', kind: 'do', text: 'Add a client', deed: 'change clients' },
  { href: '/frames/new', kind: 'do', text: 'Enter a frame', deed: 'change frames' },
  { href: '/strings/new', kind: 'do', text: 'Add a string', deed: 'change strings' },
  { href: '/jobs', kind: 'go', text: 'Jobs on record', deed: 'see records' },
  { href: '/workshop', kind: 'go', text: 'Workshop', deed: 'change the workshop' },
  { href: '/money', kind: 'go', text: 'The close of the day', deed: 'see the money' },
  { href: '/outbox', kind: 'go', text: 'Messages to clients', deed: 'write to clients' },
  {
    href: '/workshop/papers',
    kind: 'go',
    text: 'Papers and prices',
    deed: 'change the workshop',
  },
  { href: '/shelf', kind: 'go', text: 'Shelf: stock and what to order', deed: 'see strings' },
  { href: '/workshop/house-rules', kind: 'go', text: 'House rules', deed: 'see house rules' },
  { href: '/workshop/machines', kind: 'go', text: 'Machines', deed: 'see machines' },
  { href: '/events', kind: 'go', text: 'Events: tournaments by the bag', deed: 'see tickets' },
  { href: '/workshop/benches', kind: 'go', text: 'Benches and their hours', deed: 'see machines' },
  { href: '/workshop/people', kind: 'go', text: 'People', deed: 'change people' },
  { href: '/workshop/trail', kind: 'go', text: 'Every change', deed: 'see the trail' },
  { href: '/practice', kind: 'go', text: 'Practice at the bench', deed: 'practise' },
  { href: '/same-feel', kind: 'do', text: 'Same feel on another frame', deed: 'set up' },
  {
    href: '/strings/import',
    kind: 'do',
    text: 'Bring strings in from a table',
    deed: 'change strings',
  },
  { href: '/me', kind: 'go', text: 'Your password, code and passkeys', deed: 'see the day' },
];

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
        actions={ACTIONS.filter(({ deed }) => may(role, deed)).map(({ href, kind, text }) => ({
          href,
          kind,
          text,
        }))}
        find={may(role, 'see clients') ? findAnything.bind(null, workshop.id) : undefined}
      />
      <FocusOnMove />
      {children}
      <Lock />
      <Sayings />
    </>
  );
}
