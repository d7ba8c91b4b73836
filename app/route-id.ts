import { notFound } from 'next/navigation';
import { z } from 'zod';

/** The id of an address, or the not-found page when it is none. */
export function routeId(text: string): string {
  const read = z.uuid().safeParse(text);
  return read.success ? read.data : notFound();
}

/** The ticket number of an address, or the not-found page. */
export const routeNumber = (text: string): number =>
  /^\d{1,9}$/.test(text) ? Number(text) : notFound();
