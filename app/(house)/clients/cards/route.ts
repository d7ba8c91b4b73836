import { openFor } from '@/app/identity/at-work';
import { clientCards } from '@/formats/client-cards';

/** All clients as cards of an address book. */
export async function GET() {
  const { clients } = await openFor('take records out');
  return new Response(clientCards(await clients.all()), {
    headers: {
      'Content-Type': 'text/vcard; charset=utf-8',
      'Content-Disposition': 'attachment; filename="clients.vcf"',
    },
  });
}
