import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { GuideArticle } from '@/ui/guide-article';
import { Link } from '@/ui/link';
import { guidePage } from '../guide-pages';

export async function generateMetadata({ params }: PageProps<'/guide/[place]'>): Promise<Metadata> {
  return { title: `Guide: ${(await guidePage((await params).place))?.title ?? 'no such page'}` };
}

export default async function GuideOfPlace({ params }: PageProps<'/guide/[place]'>) {
  await openFor('see the day');
  const page = (await guidePage((await params).place)) ?? notFound();
  return (
    <main className="px-6 py-6">
      <GuideArticle {...page} />
      <p className="mt-8">
        <Link href="/guide" className="underline">
          All pages of the guide
        </Link>
      </p>
    </main>
  );
}
