import { openFor } from '@/app/identity/at-work';
import { database } from '@/db/connection';
import { sessionStands } from '@/db/doors';
import { hearDay } from '@/db/live';

const STREAM = 'text/event-stream';
/** So that nothing between here and the browser takes the line for dead. */
const STILL_HERE_MS = 25_000;

/** Says that something of the day has changed, as it changes; what it is, the page asks for itself. */
export async function GET(request: Request) {
  const { workshop, person } = await openFor('see the day');
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
      const hangUp = () => {
        if (leave) stream.close();
        end();
      };
      // Who has signed out, or whose device is locked, hears no more. Where nobody can say who is here just now, the line
      // ends, and the browser asks for another: a change that is kept from it would be missed.
      const tellWhoIsHere = (line: string) =>
        void sessionStands(person.sessionId).then(
          (stands) => (stands ? tell(line) : hangUp()),
          hangUp,
        );
      tell(': here');
      still = setInterval(() => tellWhoIsHere(': still here'), STILL_HERE_MS);
      leave = await hearDay(database(), workshop.id, () => tellWhoIsHere('data: changed'));
      // From now on; what changed before may have been heard by nobody.
      tell('event: hearing\ndata: now');
      if (request.signal.aborted) end();
      request.signal.addEventListener('abort', end);
    },
    cancel: end,
  });
  return new Response(body, {
    headers: { 'Content-Type': STREAM, 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  });
}
