import type { ReactNode } from 'react';
import { Toaster } from 'sonner';
import { openWorkshop } from '@/db/workshop';
import { FocusOnMove } from '@/ui/shell/focus-on-move';
import { TopBar } from '@/ui/shell/top-bar';
import { findAnything } from './find';

/** Everything in the house is read afresh for each request. */
export const dynamic = 'force-dynamic';

export default async function HouseLayout({ children }: { readonly children: ReactNode }) {
  const { workshop } = await openWorkshop();
  return (
    <>
      <TopBar workshop={workshop.name} find={findAnything.bind(null, workshop.id)} />
      <FocusOnMove />
      {children}
      <Toaster
        position="bottom-center"
        toastOptions={{
          className:
            'rounded-none! border! border-ink! bg-sheet! text-ink! shadow-none! font-text!',
        }}
      />
    </>
  );
}
