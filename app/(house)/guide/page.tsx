import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { GuideArticle } from '@/ui/guide-article';
import { guidePage } from './guide-pages';

export const metadata: Metadata = { title: 'Guide' };

export default async function GuideContents() {
  await openFor('see the day');
  const page = await guidePage();
  return <main className="px-6 py-6">{page && <GuideArticle {...page} />}</main>;
}
