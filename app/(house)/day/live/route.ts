import { openFor } from '@/app/identity/at-work';
import { database } from '@/db/connection';
import { hearDay } from '@/db/live';

const STREAM = 'text/event-stream';
/** So that nothing between here and the browser takes the line for dead. */
const STILL_HERE_MS = 25_000;

/** Says that something of the day has changed, as it changes; what it is, the page asks for itself. */
export async function GET(request: Request) {
  const { workshop } = await openFor('see the day');
  if (!request.headers.get('accept')?.includes(STREAM))
    return new Response('This is a stream of events: ask for it as one.', { status: 406 });
  let leave: (() => void) | undefined;
  let still: ReturnType<typeof setInterval> | undefined;
  const end = () => {
    clearInterval(still);
    leave?.();
    leave = undefined;
  };
  const body = new ReadableStream<Uint8Array>({
    async start(stream) {
      const tell = (line: string) => {
        try {
          stream.enqueue(Buffer.from(`${line}\n\n`));
        } catch {
          end();
        }
      };
      tell(': here');
      still = setInterval(() => tell(': still here'), STILL_HERE_MS);
      leave = await hearDay(database(), workshop.id, () => tell('data: changed'));
      if (request.signal.aborted) end();
      request.signal.addEventListener('abort', end);
    },
    cancel: end,
  });
  return new Response(body, {
    headers: { 'Content-Type': STREAM, 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  });
}
