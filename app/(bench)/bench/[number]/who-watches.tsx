import { Link } from '@/ui/link';
import { openWorkshop, thisDevice } from '@/app/identity/at-work';
import { may } from '@/core/house/role-rights';
import { WatchPad } from '@/app/(bench)/when-used';

/** A learner strings while somebody who knows it watches, and says so with their code. */
export async function WhoWatches() {
  const { members } = await openWorkshop();
  const device = await thisDevice();
  const watchers = (await members.all())
    .filter(({ role, hasCode, leftAt }) => hasCode && !leftAt && may(role, 'watch a learner'))
    .map(({ personId, name }) => ({ personId, name }));
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center px-6 py-10">
      <h1 className="figure mb-2 text-4xl">Who watches?</h1>
      <p className="text-soft mb-6">
        You string under somebody’s eye. They give their code; it holds until hands change or the
        device locks.
      </p>
      {device ? (
        <WatchPad faces={watchers} />
      ) : (
        <p>Go to a trusted device: that is where somebody can give their code.</p>
      )}
      <p className="mt-8 flex gap-6">
        <Link href="/practice" className="underline">
          Practise instead
        </Link>
        <Link href="/" className="underline">
          Leave the bench
        </Link>
      </p>
    </main>
  );
}
