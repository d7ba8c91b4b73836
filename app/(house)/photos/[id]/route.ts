import type { NextRequest } from 'next/server';
import { openFor } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';

/** A photograph, or with `?size=thumb` the small one for lists. */
export async function GET(request: NextRequest, { params }: RouteContext<'/photos/[id]'>) {
  const { photos } = await openFor('see tickets');
  const size = request.nextUrl.searchParams.get('size') === 'thumb' ? 'thumb' : 'image';
  const bytes = await photos.bytes(routeId((await params).id), size);
  if (!bytes) return new Response('There is no such photograph.', { status: 404 });
  return new Response(new Uint8Array(bytes), {
    headers: {
      'Content-Type': 'image/jpeg',
      // It never changes, and it is for nobody but who may see it.
      'Cache-Control': 'private, max-age=86400, immutable',
    },
  });
}
