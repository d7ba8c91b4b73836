export const dynamic = 'force-dynamic';

/** Says that the server is up and which start it is of; the start commands wait for it. */
export const GET = (): Response => new Response(`orthotens ${process.env.ORTHOTENS_RUN ?? ''}`);
