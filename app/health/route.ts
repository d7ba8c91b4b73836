import { doesAnswer } from '@/db/connection';

export const dynamic = 'force-dynamic';

/** Says which start this server is of, and whether the database answers it; the start commands wait for both. */
export async function GET(): Promise<Response> {
  const self = `orthotens ${process.env.ORTHOTENS_RUN ?? ''}`;
  return (await doesAnswer())
    ? new Response(self)
    : new Response(`${self}: the database does not answer.`, {
        status: 503,
        headers: { 'retry-after': '3' },
      });
}
