/** Looks at a request before anything of the application runs, and refuses what no page of it sends. */
import { randomBytes } from 'node:crypto';
import { NextResponse, type NextRequest } from 'next/server';
import {
  bodyLimit,
  contentPolicy,
  hostsNamed,
  isOurHost,
  isOurOrigin,
  ourScheme,
  PATH_HEADER,
} from '@/app/doors';

const refused = (why: string, status = 400) => new NextResponse(why, { status });

function isDecodable(path: string): boolean {
  try {
    return decodeURIComponent(path) !== '';
  } catch {
    return false;
  }
}

/** Texts that begin with a dollar carry meaning for the framework; our pages send only two kinds of them. */
const MEANT = /^\$(\$|undefined$)/;

/** Whether a message to an action is a plain list of values, as our pages send it. */
function isPlainMessage(text: string): boolean {
  let plain = true;
  try {
    const message: unknown = JSON.parse(text, (_, value: unknown) => {
      if (typeof value === 'string' && value.startsWith('$') && !MEANT.test(value)) plain = false;
      return value;
    });
    return plain && Array.isArray(message);
  } catch {
    return false;
  }
}

const HOSTS = hostsNamed(process.env.ORTHOTENS_HOSTS);

const OTHER_HOST =
  'This name is not one that the application is served by. Open it by its address, or name it in ORTHOTENS_HOSTS.';

const TOO_LONG = 'That is too long for this page.';

/** Why a request is not let in; undefined where it is. */
async function refusalOf(request: NextRequest): Promise<NextResponse | undefined> {
  const { headers, method } = request;
  const host = headers.get('host');
  if (!isOurHost(host, HOSTS)) return refused(OTHER_HOST, 421);
  const path = new URL(request.url).pathname;
  if (!isDecodable(path)) return refused('This address cannot be read.');
  if (method === 'GET' || method === 'HEAD') return undefined;
  if (!isOurOrigin(headers.get('origin'), host))
    return refused('Another site sent this, and nothing was done.', 403);
  // The framework has a door for forms of pages without code, which none of ours are.
  if (/^(multipart\/|application\/x-www-form-urlencoded)/i.test(headers.get('content-type') ?? ''))
    return refused('This is no message of a page of this application.', 415);
  const length = headers.get('content-length');
  if (length !== null && Number(length) > bodyLimit(path)) return refused(TOO_LONG, 413);
  if (headers.has('next-action')) {
    const type = headers.get('content-type') ?? '';
    const text = await request.text();
    // One part of the server hands an action on to another without saying how long it is.
    if (Buffer.byteLength(text) > bodyLimit(path)) return refused(TOO_LONG, 413);
    if (!type.startsWith('text/plain') || !isPlainMessage(text))
      return refused('This is no message of a page of this application.');
  } else if (length === null) return refused('Say how long it is.', 411);
  return undefined;
}

export async function proxy(request: NextRequest): Promise<NextResponse> {
  const refusal = await refusalOf(request);
  if (refusal) return refusal;
  const nonce = randomBytes(16).toString('base64');
  const { pathname, search } = new URL(request.url);
  const policy = contentPolicy(nonce, pathname);
  // The framework reads the nonce for its own scripts from the request.
  const headers = new Headers(request.headers);
  headers.set('content-security-policy', policy);
  const asked = new URLSearchParams(search);
  asked.delete('_rsc');
  headers.set(PATH_HEADER, asked.size > 0 ? `${pathname}?${asked}` : pathname);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('content-security-policy', policy);
  // What is of a workshop lies in no cache between, and in none of a browser that is left.
  answer.headers.set('cache-control', 'private, no-store');
  if (ourScheme() === 'https') answer.headers.set('strict-transport-security', 'max-age=31536000');
  return answer;
}

export const config = { matcher: '/((?!_next/static).*)' };
