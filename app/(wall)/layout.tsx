import type { ReactNode } from 'react';
import { openWorkshop } from '@/app/identity/at-work';

export const dynamic = 'force-dynamic';

/** A screen on the wall, which nobody touches: nothing there but what it shows. */
export default async function WallLayout({ children }: { readonly children: ReactNode }) {
  await openWorkshop();
  return children;
}
