import { subDays } from 'date-fns';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { openFor } from '@/app/identity/at-work';
import { thisDevice } from '@/app/identity/at-work';
import { ROLE_WORDS, ROLES } from '@/core/house/role-rights';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import { Table } from '@/ui/list-page';
import { Press } from '@/ui/press';
import { RemoveButton } from '@/ui/remove-button';
import {
  askSecondStep,
  changeRole,
  forgetDevice,
  invite,
  letGo,
  newLink,
  takeBack,
  trustThisDevice,
  withdrawInvitation,
} from './actions';
import { AddPerson, TrustDevice } from '@/app/(house)/when-used';
import { MemberRow } from './member-row';

/** So far back is counted what each has strung. */
const STRUNG_DAYS = 30;

export const metadata: Metadata = { title: 'People' };

/** Who works here and as what, and the devices that are trusted. */
export default async function PeoplePage() {
  const { workshop, members, invitations, devices, jobs, person } = await openFor('change people');
  const [all, asked, trusted, here, strung] = await Promise.all([
    members.all(),
    invitations.standing(),
    devices.all(),
    thisDevice(),
    jobs.byHand(subDays(new Date(), STRUNG_DAYS)),
  ]);
  const now = all.filter(({ leftAt }) => !leftAt);
  const day = (at: Date) => formatDay(wallTime(at, workshop.timeZone));
  return (
    <main className="px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">People</h1>
        <Link href="/workshop" className="underline">
          Workshop
        </Link>
        <Link href="/workshop/trail" className="underline">
          Every change
        </Link>
      </div>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[2.6fr_1fr]">
        <div>
          <ul aria-label="People" className="border-edge border-t">
            {now.map((member) => (
              <MemberRow
                key={`${member.id} ${member.version}`}
                name={member.name}
                username={member.username ?? ''}
                role={member.role}
                since={day(member.since)}
                hasCode={member.hasCode}
                isMe={member.personId === person.id}
                change={changeRole.bind(null, workshop.id, member.id, member.version)}
                link={newLink.bind(null, workshop.id, member.id)}
                letGo={letGo.bind(null, workshop.id, member.id, member.version)}
                takeBack={takeBack.bind(null, workshop.id, member.id)}
              />
            ))}
          </ul>
          {asked.length > 0 && (
            <section aria-labelledby="asked" className="mt-6">
              <h2 id="asked" className="figure mb-1 text-2xl">
                Asked in, and not here yet
              </h2>
              <ul>
                {asked.map(({ id, name, role, address, expiresAt }) => (
                  <li key={id} className="border-hair flex flex-wrap gap-x-5 border-t py-2">
                    <span className="grow">
                      {name} <span className="label">{`${role}, ${address}`}</span>
                    </span>
                    <span className="text-soft">until {day(expiresAt)}</span>
                    <Press
                      action="Withdraw it"
                      press={withdrawInvitation.bind(null, workshop.id, id)}
                    />
                  </li>
                ))}
              </ul>
            </section>
          )}
          <dl className="label mt-4 grid grid-cols-[5rem_1fr] gap-x-3">
            {ROLES.map((role) => (
              <div key={role} className="contents">
                <dt>{role}</dt>
                <dd>{ROLE_WORDS[role]}</dd>
              </div>
            ))}
          </dl>
          <section aria-labelledby="strung" className="mt-8">
            <h2 id="strung" className="figure mb-1 text-2xl">
              Strung in {STRUNG_DAYS} days
            </h2>
            <Table
              head={['Who', 'Rackets', 'At the bench', 'Back within two weeks']}
              empty="Nothing yet."
              rows={strung.map(({ by, strung: count, minutes, again }) => ({
                key: by,
                cells: [
                  by,
                  count,
                  minutes === null ? 'not kept' : `${Math.round(minutes)} min, the middle one`,
                  again,
                ],
              }))}
            />
          </section>
          <section aria-labelledby="owners" className="mt-8">
            <h2 id="owners" className="figure mb-1 text-2xl">
              How owners come in
            </h2>
            <p className="mb-2 max-w-prose">
              {workshop.ownersSecondStep
                ? 'By a code of their app beside the password, or by a passkey. Until they have set that up, nothing else opens to them.'
                : 'By their password; whoever wants to, by a code of an app beside it.'}
            </p>
            <Press
              action={
                workshop.ownersSecondStep
                  ? 'Let a password be enough'
                  : 'Ask a second step of every owner'
              }
              press={askSecondStep.bind(
                null,
                workshop.id,
                workshop.version,
                !workshop.ownersSecondStep,
              )}
            />
          </section>
          <section aria-labelledby="devices" className="mt-8">
            <h2 id="devices" className="figure mb-1 text-2xl">
              Trusted devices
            </h2>
            <p className="label mb-3 max-w-prose">
              On a trusted device hands change with a short code, and it locks when it is left alone
              for ten minutes. Trust one that stays in the workshop.
            </p>
            <ul>
              {trusted.map(({ id, name, trustedAt }) => (
                <li key={id} className="border-hair flex flex-wrap gap-x-5 border-t py-2">
                  <span className="grow">
                    {name}
                    {here?.id === id && <span className="label"> this one</span>}
                  </span>
                  <span className="text-soft">since {day(trustedAt)}</span>
                  <RemoveButton
                    what="device"
                    remove={forgetDevice.bind(null, workshop.id, id)}
                    restore={undefined}
                    listHref="/workshop/people"
                  />
                </li>
              ))}
            </ul>
            {!here && <TrustDevice trust={trustThisDevice.bind(null, workshop.id)} />}
          </section>
        </div>
        <AddPerson invite={invite.bind(null, workshop.id)} />
      </div>
    </main>
  );
}
