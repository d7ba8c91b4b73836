import type { ReactNode } from 'react';

/** Pages made for paper: no shell, black on white. */
export default function PrintLayout({ children }: { readonly children: ReactNode }) {
  return <main className="mx-auto max-w-[190mm] px-4 py-6 print:p-0">{children}</main>;
}
