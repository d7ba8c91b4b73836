/**
 * What a request is answered where the database is not there for it: "later" (503, with the seconds to wait), never "broken".
 * The framework answers each error of a page with 500, so the answer is put right as it leaves.
 */
import { subscribe } from 'node:diagnostics_channel';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { askAs, type Asking } from '@/db/fair-pool';

/** Until it is worth asking again. */
const AGAIN_S = 3;
const LATER = `The records cannot be read just now. Nothing was changed. Try again in ${AGAIN_S} seconds.\n`;

/** The part of the application that an address belongs to: its station. */
const partOf = (address: string): string => address.split(/[/?#]/)[1] ?? '';

function putRight(response: ServerResponse, who: Asking): void {
  const writeHead = response.writeHead.bind(response) as (...head: unknown[]) => ServerResponse;
  const end = response.end.bind(response) as (...rest: unknown[]) => ServerResponse;
  let isEmpty = false;
  response.writeHead = ((status: number, ...head: unknown[]) => {
    if (status !== 500 || !who.wasRefused) return writeHead(status, ...head);
    response.setHeader('retry-after', String(AGAIN_S));
    // A page says it in words of its own; a route has none.
    isEmpty = !response.hasHeader('content-type');
    if (isEmpty) response.setHeader('content-type', 'text/plain; charset=utf-8');
    return writeHead(503, ...head);
  }) as typeof response.writeHead;
  response.end = ((...rest: unknown[]) => {
    if (!response.headersSent) response.writeHead(response.statusCode);
    return isEmpty && (rest[0] ?? '') === '' ? end(LATER) : end(...rest);
  }) as typeof response.end;
}

/** From now on each request has its part's turn at the database, and an answer that can be put right. */
export function watchAnswers(): void {
  subscribe('http.server.request.start', (message) => {
    const { request, response } = message as {
      readonly request: IncomingMessage;
      readonly response: ServerResponse;
    };
    const who = { part: partOf(request.url ?? ''), wasRefused: false };
    askAs(who);
    putRight(response, who);
  });
}
