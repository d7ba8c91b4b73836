import type { z } from 'zod';

/** Sends a file to its route, with the workshop that the page was made for, and reads the answer. */
export async function sendFile<T>(
  path: string,
  workshopId: string,
  message: object,
  answer: z.ZodType<T>,
): Promise<T> {
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ madeFor: workshopId, message }),
  });
  return answer.parse(await response.json());
}
