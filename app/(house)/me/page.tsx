import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { SignOutButton } from '@/app/(door)/sign-out-button';
import { myWorkshops, openWorkshop, thisDevice } from '@/app/identity/at-work';
import { ourAddress } from '@/app/our-address';
import { may, ROLE_WORDS } from '@/core/house/policy';
import { sessionsOf } from '@/db/doors';
import { Press } from '@/ui/press';
import { countWords } from '@/core/terms/count-words';
import { setMyCode, subscribeCalendar, withdrawCalendar } from './actions';
import { CodeForm, PasswordForm } from '@/app/(house)/when-used';
import { HandsButton } from './hands-button';
import { Passkeys } from './passkeys';

export const metadata: Metadata = { title: 'Yours' };

/** What belongs to whoever is signed in: their ways in, and the way out. */
export default async function MePage() {
  const { person, role, workshop, members, calendarFeeds } = await openWorkshop();
  const [memberships, signedIn, device, all, feed, address] = await Promise.all([
    myWorkshops(person),
    sessionsOf(person.id),
    thisDevice(),
    members.all(),
    calendarFeeds.current(person.id),
    ourAddress(),
  ]);
  const hasCode = all.find(({ personId }) => personId === person.id)?.hasCode ?? false;
  return (
    <main className="px-6 py-6">
      <h1 className="figure text-4xl">{person.name}</h1>
      <p className="text-soft mb-6">
        {role} at {workshop.name} · {ROLE_WORDS[role]}
      </p>
      <p className="mb-8 flex flex-wrap gap-x-6 gap-y-2">
        <SignOutButton />
        {signedIn.length > 1 && <SignOutButton everywhere />}
        {(memberships.length > 1 || role === 'owner') && (
          <Link href="/workshops" className="underline">
            {memberships.length > 1 ? 'Work in another workshop' : 'Another workshop'}
          </Link>
        )}
        {device && <HandsButton />}
        {may(role, 'change people') && (
          <Link href="/workshop/people" className="underline">
            People of the workshop
          </Link>
        )}
      </p>
      <div className="grid max-w-5xl gap-x-12 gap-y-10 md:grid-cols-2">
        <PasswordForm />
        <div className="flex flex-col gap-10">
          <CodeForm hasCode={hasCode} save={setMyCode.bind(null, workshop.id)} />
          <Passkeys />
          <section aria-labelledby="calendar">
            <h2 id="calendar" className="figure mb-1 text-2xl">
              In your calendar
            </h2>
            {feed === undefined ? (
              <Press
                action="Make an address to subscribe to"
                press={subscribeCalendar.bind(null, workshop.id)}
              />
            ) : (
              <>
                <p>
                  What is promised and due, for a calendar that reads it by itself. Whoever has the
                  address sees the names on it.
                </p>
                <p className="bg-sheet my-2 px-3 py-2 text-sm break-all">
                  {`${address}/calendars/${feed}`}
                </p>
                <Press
                  action="Withdraw the address"
                  press={withdrawCalendar.bind(null, workshop.id)}
                />
              </>
            )}
          </section>
          <section aria-labelledby="where">
            <h2 id="where" className="figure mb-1 text-2xl">
              Where you are signed in
            </h2>
            <p>
              {signedIn.length === 1
                ? 'Here only.'
                : `Here and ${countWords(signedIn.length - 1, 'other place')}.`}{' '}
              {device ? `This is ${device.name}, a trusted device.` : 'This device is not trusted.'}
            </p>
          </section>
        </div>
      </div>
    </main>
  );
}
