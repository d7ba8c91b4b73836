import type { ReactNode } from 'react';

/** Pages of clients: no sign-in, no shell, nothing of the house. */
export default function ClientLayout({ children }: { readonly children: ReactNode }) {
  return <main className="mx-auto max-w-xl px-5 py-8">{children}</main>;
}
