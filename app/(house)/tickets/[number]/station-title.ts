import type { Metadata } from 'next';
import { ticketAt } from './ticket';

/** The tab says which ticket, at which station, and whose: `401 Cut, Ada`. */
export const stationTitle =
  (station: string) =>
  async ({
    params,
  }: {
    readonly params: Promise<{ readonly number: string }>;
  }): Promise<Metadata> => {
    const { number } = await params;
    const open = /^\d{1,9}$/.test(number) ? await ticketAt(Number(number)) : undefined;
    return { title: open ? `${number} ${station}, ${open.client.name}` : 'Nothing' };
  };
