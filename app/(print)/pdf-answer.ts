import { inTheQueue } from '@/app/in-the-queue';

/** A paper as PDF, shown by the browser; nobody keeps it on the way. */
export const pdfAnswer = async (name: string, make: () => Promise<Buffer>): Promise<Response> =>
  new Response(new Uint8Array(await inTheQueue('made', make)), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="${name}.pdf"`,
      'Cache-Control': 'private, no-store',
    },
  });
