import type { ReactNode } from 'react';
import { findAnything } from '@/app/(house)/find';
import { openWorkshop } from '@/app/identity/at-work';
import { Lock } from '@/app/identity/lock';
import { may } from '@/core/house/role-rights';
import { FindAtTheBench } from '@/ui/shell/find-at-the-bench';
import { HelpAtTheBench } from '@/ui/shell/help-at-the-bench';

export const dynamic = 'force-dynamic';

/** The bench has the whole screen to itself: nothing there but the job. */
export default async function BenchLayout({ children }: { readonly children: ReactNode }) {
  const { workshop, role } = await openWorkshop();
  return (
    <>
      {children}
      {may(role, 'see clients') && <FindAtTheBench find={findAnything.bind(null, workshop.id)} />}
      <HelpAtTheBench />
      <Lock />
    </>
  );
}
