import { z } from 'zod';
import { routeNumber } from '@/app/route-id';
import { benchEventSchema, type BenchEvent } from '@/core/bench-log';
import { openWorkshop } from '@/db/workshop';

const sentSchema = z.object({
  /** How many events of this job the bench knows to be kept. */
  known: z.number().int().min(0),
  events: z.array(benchEventSchema).max(2000),
});

export type SentEvents = z.infer<typeof sentSchema>;

export interface KeptEvents {
  /** The job was closed, so nothing more is kept. */
  readonly closed: boolean;
  /** All events that are kept, unless the bench knows them already. */
  readonly events?: readonly BenchEvent[];
}

/** Keeps what was done at a bench, in its order and each once, and answers with what other benches did. */
export async function POST(
  request: Request,
  { params }: RouteContext<'/bench/[number]/events'>,
): Promise<Response> {
  // Another site can send text unasked, but not this type.
  if (request.headers.get('content-type') !== 'application/json')
    return new Response('Events of a bench are sent as JSON.', { status: 415 });
  const read = sentSchema.safeParse(await request.json().catch(() => undefined));
  if (!read.success) return new Response('These are no events of a bench.', { status: 400 });
  const number = routeNumber((await params).number);
  const { together } = await openWorkshop();
  const answer = await together(async ({ tickets, bench }): Promise<KeptEvents | undefined> => {
    const ticket = await tickets.get(number);
    if (!ticket) return undefined;
    if (!ticket.closedAt) await bench.keep(ticket.id, read.data.events);
    // A bench asks every two seconds, and mostly nothing is new.
    const news = (await bench.count(ticket.id)) !== read.data.known;
    return {
      closed: ticket.closedAt !== null,
      ...(news && { events: await bench.events(ticket.id) }),
    };
  });
  return answer ? Response.json(answer) : new Response('There is no such ticket.', { status: 404 });
}
