import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { signedIn, thisDevice } from '@/app/identity/at-work';
import { facesOn } from '@/app/identity/device';
import { wayToInvited } from '@/app/identity/invited';
import { ROLE_WORDS } from '@/core/house/role-rights';
import { isAnybodyKnown } from '@/db/doors';
import { DEMO_STAFF } from '@/db/demo/staff';
import { CodePad, SignInForm } from '@/app/(door)/when-used';
import { DemoPeople } from './demo-people';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage({ searchParams }: PageProps<'/sign-in'>) {
  if (!(await isAnybodyKnown())) redirect('/first-start');
  const person = await signedIn();
  const to = wayToInvited((await searchParams).to) ?? '/';
  if (person) redirect(person.lockedAt ? '/locked' : to);
  const device = await thisDevice();
  return (
    <>
      <h1 className="figure mb-6 text-4xl">Sign in</h1>
      {device && (
        <section aria-label="At this device" className="border-hair mb-8 border-b pb-8">
          <p className="label mb-3">At {device.name}, with your code</p>
          <CodePad faces={await facesOn(device)} door="/hands/change" />
        </section>
      )}
      <SignInForm to={to} />
      {process.env.ORTHOTENS_DEMO === '1' && (
        <DemoPeople
          people={DEMO_STAFF.map(({ name, username, role }) => ({
            name,
            username,
            role,
            does: ROLE_WORDS[role],
          }))}
        />
      )}
    </>
  );
}
