import type { NextRequest } from 'next/server';
import { openFor } from '@/app/identity/at-work';
import { guidePicture } from '../../guide-pages';

export async function GET(_: NextRequest, { params }: RouteContext<'/guide/pictures/[name]'>) {
  await openFor('see the day');
  const picture = await guidePicture((await params).name);
  if (!picture) return new Response('The guide has no such picture.', { status: 404 });
  return new Response(new Uint8Array(picture), { headers: { 'Content-Type': 'image/png' } });
}
