import type { Metadata } from 'next';
import { openLink } from '@/app/client-page-at';
import { Press } from '@/ui/press';
import { noMoreMessages } from '../actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  title: 'No more messages',
  robots: { index: false, follow: false },
};

/** The way out that stands below each message. A press, so that no program that looks at links takes it. */
export default async function NoMorePage({ params }: PageProps<'/c/[token]/no-more'>) {
  const { token } = await params;
  const { work } = await openLink(token);
  const shop = await work((records) => records.shopOfLink());
  return (
    <>
      <h1 className="figure mb-4 text-3xl">{shop.name}</h1>
      <p className="mb-5">
        Messages about your rackets can be stopped here. Your rackets stay as they are.
      </p>
      <Press main action="No more messages" press={noMoreMessages.bind(null, token)} />
    </>
  );
}
