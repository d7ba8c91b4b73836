/** Looks at a request before anything of the application runs, and refuses what no page of it sends. */
import { NextResponse, type NextRequest } from 'next/server';

const refused = (why: string) => new NextResponse(why, { status: 400 });

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

export async function proxy(request: NextRequest): Promise<NextResponse> {
  if (!isDecodable(new URL(request.url).pathname)) return refused('This address cannot be read.');
  if (request.headers.has('next-action')) {
    const type = request.headers.get('content-type') ?? '';
    if (!type.startsWith('text/plain') || !isPlainMessage(await request.text()))
      return refused('This is no message of a page of this application.');
  }
  return NextResponse.next();
}

export const config = { matcher: '/((?!_next/static).*)' };
