import { NextResponse, type NextRequest } from 'next/server';
import { openFor } from '@/app/identity/at-work';
import { guideBeside } from '../../guide-pages';

/** A page of the guide, for who reads it beside the place that it is about. */
export async function GET(_: NextRequest, { params }: RouteContext<'/guide/[place]/text'>) {
  await openFor('see the day');
  const page = await guideBeside((await params).place);
  return page
    ? NextResponse.json(page)
    : new NextResponse('The guide has no such page.', { status: 404 });
}
