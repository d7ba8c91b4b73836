export const dynamic = 'force-dynamic';

/** Says that the server is up and that it is this one; the start commands wait for it. */
export const GET = (): Response => new Response('orthotens');
