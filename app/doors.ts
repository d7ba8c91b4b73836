/** Who is let in before anything of the application runs: by which name, from which site, with how much. */

/** The path that was asked for, as `proxy.ts` hands it on to pages that lead back to it. */
export const PATH_HEADER = 'x-orthotens-path';

/** Whoever runs it says whether TLS stands before it; a request may say anything. */
export const ourScheme = (): 'http' | 'https' =>
  process.env.ORTHOTENS_TLS === '1' ? 'https' : 'http';

/** The machine itself, by any of its names. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** `shop.example:8443, racket.local`: the names that `ORTHOTENS_HOSTS` lets the application be reached by. */
export const hostsNamed = (list: string | undefined): readonly string[] =>
  (list ?? '')
    .split(/[\s,]+/)
    .map((host) => host.toLowerCase())
    .filter(Boolean);

const HIGHEST_PORT = 65_535;

/**
 * Whether a Host header is one of ours. Without this a page of another site could give its own name the
 * address of this machine, and read and write as if it were one of our pages.
 */
export function isOurHost(host: string | null, named: readonly string[]): boolean {
  if (host === null) return false;
  const lower = host.toLowerCase();
  const [ending = '', port = '0'] = /:(\d{1,5})$/.exec(lower) ?? [];
  if (Number(port) > HIGHEST_PORT) return false;
  const bare = lower.slice(0, lower.length - ending.length);
  return LOOPBACK.includes(bare) || named.includes(bare) || named.includes(lower);
}

/** Whether a change was sent by a page of the same address, by what the browser says of its sender. */
export function isOurOrigin(origin: string | null, host: string | null): boolean {
  // Browsers say it with every change; what says nothing is no browser, and has no one's cookies.
  if (origin === null) return true;
  if (!URL.canParse(origin)) return false;
  const { host: sender, protocol } = new URL(origin);
  return sender === host?.toLowerCase() && protocol === `${ourScheme()}:`;
}

const KB = 1024;
/** The longest body that each part of the application takes, in bytes; what is not named takes the last. */
const BODY_LIMITS: readonly (readonly [path: RegExp, bytes: number])[] = [
  [/^\/(frames|strings|clients|jobs)\/import\/file$/, 13 * KB * KB],
  // A photograph of 12 MB, written in base64.
  [/^\/tickets\/\d+\/inspect\/photo$/, 17 * KB * KB],
  [/^\/(frames|strings)\/import$/, KB * KB],
  [/^\/bench\/\d+\/events$/, KB * KB],
  [/^/, 256 * KB],
];

export const bodyLimit = (path: string): number =>
  BODY_LIMITS.find(([of]) => of.test(path))?.[1] ?? 0;

/**
 * What a page may load and run: its own files and the scripts that carry the nonce of this one answer. A
 * tension head in the workshop answers at an address that the workshop writes down itself, so the bench may
 * speak to it.
 */
export function contentPolicy(nonce: string, path: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    `connect-src 'self'${path.startsWith('/bench/') ? ' ws: wss:' : ''}`,
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}
