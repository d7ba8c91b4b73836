import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { SignOutButton } from '@/app/(door)/sign-out-button';
import { myWorkshops, openWorkshop, thisDevice } from '@/app/identity/at-work';
import { ourAddress } from '@/app/our-address';
import { may, ROLE_WORDS } from '@/core/house/role-rights';
import { isUnproven, lacksSecondStep } from '@/app/identity/proof';
import { ProveForm } from '@/app/(door)/when-used';
import { sessionsOf } from '@/db/doors';
import { Press } from '@/ui/press';
import { endMySession, setMyCode, subscribeCalendar, withdrawCalendar } from './actions';
import { CodeForm, PasswordForm, SecondStep } from '@/app/(house)/when-used';
import { HandsButton } from './hands-button';
import { Passkeys } from './passkeys';
import { SignedIn } from './signed-in';

export const metadata: Metadata = { title: 'Yours' };

/** What belongs to whoever is signed in: their ways in, and the way out. */
export default async function MePage() {
  const open = await openWorkshop();
  const { person, role, workshop, members, calendarFeeds } = open;
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
      {lacksSecondStep(open) && (
        <p role="alert" className="border-warn mb-8 max-w-prose border-l-4 pl-4">
          {workshop.name} asks its owners for a second step. Set yours up below, and everything is
          open again; or come in by a passkey.
        </p>
      )}
      {isUnproven(person) && (
        <section aria-labelledby="prove" className="mb-10 max-w-prose">
          <h2 id="prove" className="figure mb-1 text-2xl">
            You came in by a short code
          </h2>
          <p className="label mb-3">
            It is for the work of the day. What opens another door, changes the workshop or gives
            money back asks for your password, and takes it for ten minutes.
          </p>
          <ProveForm to="/me" />
        </section>
      )}
      <div className="grid max-w-5xl gap-x-12 gap-y-10 md:grid-cols-2">
        <div className="flex flex-col gap-10">
          <PasswordForm />
          <SecondStep isOn={person.isAskedTwice} />
        </div>
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
            <SignedIn
              all={signedIn}
              here={person.sessionId}
              timeZone={workshop.timeZone}
              end={endMySession.bind(null, workshop.id)}
            />
            <p className="label mt-2">
              {device ? `This is ${device.name}, a trusted device.` : 'This device is not trusted.'}
            </p>
          </section>
        </div>
      </div>
    </main>
  );
}
