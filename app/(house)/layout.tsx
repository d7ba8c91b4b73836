import type { ReactNode } from 'react';
import { openWorkshop } from '@/app/identity/at-work';
import { Lock } from '@/app/identity/lock';
import { may, type Right } from '@/core/house/role-rights';
import type { Finding } from '@/ui/shell/palette';
import { StillInHand } from '@/ui/form/still-in-hand';
import { FocusOnMove } from '@/ui/shell/focus-on-move';
import { Sayings } from '@/ui/shell/sayings';
import { TopBar } from '@/ui/shell/top-bar';
import { findAnything } from './find';

/** Everything in the house is read afresh for each request. */
export const dynamic = 'force-dynamic';

const PLACES: readonly { readonly href: string; readonly name: string; readonly right: Right }[] = [
  { href: '/', name: 'Today', right: 'see the day' },
  { href: '/clients', name: 'Clients', right: 'see clients' },
  { href: '/rackets', name: 'Rackets', right: 'see clients' },
  { href: '/frames', name: 'Frames', right: 'see frames' },
  { href: '/strings', name: 'Strings', right: 'see strings' },
  { href: '/jobs', name: 'Jobs', right: 'see records' },
  { href: '/money', name: 'Money', right: 'see the money' },
  { href: '/workshop', name: 'Workshop', right: 'change the workshop' },
];
/** Where the machines are found by who has no page of the workshop. */
const MACHINES = { href: '/workshop/machines', name: 'Machines' };
/** In the menu of a house that has any. */
const EVENTS = { href: '/events', name: 'Events' };
const PRACTICE = { href: '/practice', name: 'Practice' };

/** What the palette offers beside what it finds. */
const ACTIONS: readonly (Finding & { readonly right: Right })[] = [
  { href: '/take-in', kind: 'do', text: 'Take a racket in', right: 'take in' },
  { href: '/short', kind: 'do', text: 'Short ticket: one racket on one page', right: 'set up' },
  { href: '/', kind: 'go', text: 'Today', right: 'see the day' },
  { href: '/clients/new', kind: 'do', text: 'Add a client', right: 'change clients' },
  { href: '/frames/new', kind: 'do', text: 'Enter a frame', right: 'change frames' },
  { href: '/strings/new', kind: 'do', text: 'Add a string', right: 'change strings' },
  { href: '/jobs', kind: 'go', text: 'Jobs on record', right: 'see records' },
  { href: '/workshop', kind: 'go', text: 'Workshop', right: 'change the workshop' },
  { href: '/money', kind: 'go', text: 'The close of the day', right: 'see the money' },
  { href: '/outbox', kind: 'go', text: 'Messages to clients', right: 'write to clients' },
  {
    href: '/workshop/papers',
    kind: 'go',
    text: 'Papers and prices',
    right: 'change the workshop',
  },
  { href: '/shelf', kind: 'go', text: 'Shelf: stock and what to order', right: 'see strings' },
  { href: '/workshop/house-rules', kind: 'go', text: 'House rules', right: 'see house rules' },
  { href: '/workshop/machines', kind: 'go', text: 'Machines', right: 'see machines' },
  { href: '/events', kind: 'go', text: 'Events: tournaments by the bag', right: 'see tickets' },
  { href: '/workshop/benches', kind: 'go', text: 'Benches and their hours', right: 'see machines' },
  { href: '/workshop/people', kind: 'go', text: 'People', right: 'change people' },
  { href: '/workshop/trail', kind: 'go', text: 'Every change', right: 'see the trail' },
  { href: '/practice', kind: 'go', text: 'Practice at the bench', right: 'practise' },
  { href: '/guide', kind: 'go', text: 'Guide: what each page is for', right: 'see the day' },
  { href: '/same-feel', kind: 'do', text: 'Same feel on another frame', right: 'set up' },
  {
    href: '/strings/import',
    kind: 'do',
    text: 'Bring strings in from a table',
    right: 'change strings',
  },
  { href: '/me', kind: 'go', text: 'Your password, code and passkeys', right: 'see the day' },
];

export default async function HouseLayout({ children }: { readonly children: ReactNode }) {
  const { workshop, person, role, events } = await openWorkshop();
  const places = PLACES.filter(({ right }) => may(role, right)).map(({ href, name }) => ({
    href,
    name,
  }));
  if (may(role, 'see tickets') && (await events.areHeld())) places.splice(1, 0, EVENTS);
  if (!may(role, 'change the workshop') && may(role, 'see machines')) places.push(MACHINES);
  if (!may(role, 'set up')) places.push(PRACTICE);
  return (
    <>
      <a
        href="#page"
        className="bg-ink text-paper no-print absolute -top-20 left-0 z-40 px-4 py-2 focus:top-0"
      >
        Skip to the page
      </a>
      <TopBar
        workshop={workshop.name}
        person={person.name}
        places={places}
        takesIn={may(role, 'take in')}
        setsUp={may(role, 'set up')}
        actions={ACTIONS.filter(({ right }) => may(role, right)).map(({ href, kind, text }) => ({
          href,
          kind,
          text,
        }))}
        find={may(role, 'see clients') ? findAnything.bind(null, workshop.id) : undefined}
      />
      <FocusOnMove />
      <div id="page" tabIndex={-1} className="outline-none">
        {children}
      </div>
      <StillInHand />
      <Lock />
      <Sayings />
    </>
  );
}
