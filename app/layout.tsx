import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { EARLY, PRESSES } from './early';
import './globals.css';
import { PageAwake } from './page-awake';

export const metadata: Metadata = {
  title: { default: 'Orthotens', template: '%s · Orthotens' },
  description: 'From the racket on the counter to the job on record.',
};

/** By which a script of this one answer may run (`proxy.ts`). */
const nonceIn = (policy: string | null): string | undefined =>
  /'nonce-([^']+)'/.exec(policy ?? '')?.[1];

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const nonce = nonceIn((await headers()).get('content-security-policy'));
  return (
    <html lang="en">
      <head>
        {/* A browser hides the nonce from scripts, so that it never equals what the server wrote. */}
        <script
          nonce={nonce}
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: `${PRESSES};${EARLY}` }}
        />
      </head>
      <body>
        {children}
        <PageAwake />
      </body>
    </html>
  );
}
