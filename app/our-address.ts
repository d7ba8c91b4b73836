import { headers } from 'next/headers';
import { ourScheme } from './doors';

/**
 * Where this application is reached from outside, for what leads back to it from paper or a message: the address
 * that whoever runs it has named, or the one that this request came to.
 */
export async function ourAddress(): Promise<string> {
  const named = process.env.ORTHOTENS_ADDRESS;
  if (named && URL.canParse(named)) return new URL(named).origin;
  const sent = await headers();
  return `${ourScheme()}://${sent.get('host') ?? '127.0.0.1'}`;
}

export const clientPage = (address: string, token: string): string => `${address}/c/${token}`;
