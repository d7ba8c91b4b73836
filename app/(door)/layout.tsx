import type { ReactNode } from 'react';

export const dynamic = 'force-dynamic';

/** Before anybody is in: one sheet, and nothing of a workshop. */
export default function DoorLayout({ children }: { readonly children: ReactNode }) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col justify-center px-6 py-10">
      <p className="figure mb-8 text-2xl tracking-wide">Orthotens</p>
      {children}
    </main>
  );
}
