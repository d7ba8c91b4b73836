import { notFound, redirect } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';

/** A job of before stands with its racket. */
export default async function EarlierJobPage({ params }: PageProps<'/jobs/earlier/[id]'>) {
  const { brought } = await openFor('see records');
  const racketId = await brought.racketOfEarlier(routeId((await params).id));
  if (racketId === undefined) notFound();
  redirect(`/rackets/${racketId}#before`);
}
