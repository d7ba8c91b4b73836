'use client';

import { Check } from 'lucide-react';
import { Link } from '@/ui/link';
import { useSelectedLayoutSegment } from 'next/navigation';
import type { Station } from './stations';

/** The way of a ticket: each station says whether it is done, here, or waiting for another. */
export function StationBar({
  number,
  stations,
  onOnePage,
}: {
  readonly number: number;
  readonly stations: readonly Station[];
  /** Nothing is strung yet, so that all of it can be settled at once. */
  readonly onOnePage: boolean;
}) {
  const here = useSelectedLayoutSegment();
  return (
    <nav aria-label="Stations" className="flex flex-wrap items-baseline gap-x-1">
      {stations.map(({ path, name, done, waitsFor }, i) => (
        <span key={path} className="flex items-baseline">
          {i > 0 && (
            <span aria-hidden className="border-edge mx-1 inline-block w-5 border-t align-middle" />
          )}
          {waitsFor && path !== here ? (
            <span className="text-soft px-1 py-1" title={`Waits for ${waitsFor}`}>
              {name}
              <span className="sr-only"> waits for {waitsFor}</span>
            </span>
          ) : (
            <Link
              href={`/tickets/${number}/${path}`}
              aria-current={path === here ? 'step' : undefined}
              className="aria-[current=step]:border-ink flex items-center gap-1 px-1 py-1 aria-[current=step]:border-b-2 aria-[current=step]:font-semibold"
            >
              {name}
              {done && <Check aria-label="done" className="size-4" />}
            </Link>
          )}
        </span>
      ))}
      {onOnePage && (
        <Link href={`/short?ticket=${number}`} className="ml-4 py-1 underline">
          All on one page
        </Link>
      )}
    </nav>
  );
}
