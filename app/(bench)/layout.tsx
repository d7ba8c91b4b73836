import type { ReactNode } from 'react';
import { Lock } from '@/app/identity/lock';

export const dynamic = 'force-dynamic';

/** The bench has the whole screen to itself: nothing there but the job. */
export default function BenchLayout({ children }: { readonly children: ReactNode }) {
  return (
    <>
      {children}
      <Lock />
    </>
  );
}
