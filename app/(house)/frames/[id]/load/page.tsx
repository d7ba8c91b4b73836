import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';
import { loadTrust } from '@/app/(house)/tickets/[number]/load/hoop-of';
import { questionOf } from '@/core/bench/job';
import { studied } from '@/app/studied';
import { rulesOf } from '@/core/house/house-rules';
import { usualJobOn } from '@/core/load/usual-job';
import { stringInWay } from '@/core/load/ways';
import { Cautions } from '@/ui/cautions';
import { Link } from '@/ui/link';
import { LoadDesk } from '@/ui/when-used';
import { loadView } from '@/workers/load-view';

export const metadata: Metadata = { title: 'Under load' };

/** What the hoop of a frame does when it is strung as is usual for its sport, by the rules of the house. */
export default async function FrameUnderLoadPage({ params }: PageProps<'/frames/[id]/load'>) {
  const { frames, workshop } = await openFor('see house rules');
  const frame = await frames.get(routeId((await params).id));
  if (!frame) notFound();
  const { bed } = studied(frame.spec);
  const job = bed && usualJobOn(bed, rulesOf(workshop));
  const strung = job && stringInWay(job, 'as planned', frame.hoopFactor ?? 1);
  return (
    <main className="px-6 py-6">
      <p className="mb-3 flex flex-wrap items-baseline gap-x-6">
        <Link href={`/frames/${frame.id}`} className="figure text-3xl underline">
          {frame.name}
        </Link>
        <Link href={`/workshop/house-rules?frame=${frame.id}`} className="underline">
          What each house rule costs on it
        </Link>
      </p>
      {job && strung?.ok ? (
        <LoadDesk
          planned={loadView('as planned', strung.value)}
          job={questionOf(job)}
          factor={frame.hoopFactor ?? 1}
          unit={workshop.tensionUnit}
          trust={loadTrust(frame)}
        />
      ) : (
        <Cautions cautions={['This frame cannot be strung as it stands: look at its facts.']} />
      )}
    </main>
  );
}
