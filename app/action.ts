/** The one door of every server action: what comes in is looked at before anything is done with it. */
import { z } from 'zod';
import { isBusy, isRefusal } from '@/db/failures';
import type { Right } from '@/core/house/role-rights';
import type { FormAnswer } from '@/ui/form/result';
import { refused } from './answers';
import type { OpenHouse } from './identity/at-work';
import { letIn } from './workshop-stamp';

type Schemas = readonly z.ZodType[];
type Inputs<S extends Schemas> = { -readonly [K in keyof S]: z.input<S[K]> };
type Outputs<S extends Schemas> = { -readonly [K in keyof S]: z.output<S[K]> };

const ODD = 'That is nothing this page could have sent. Nothing was saved: reload it.';
const BUSY = 'The records are busy just now. Nothing was saved, what you typed is here: try again.';
const FAILED = 'The records could not be written just now. Nothing was brought in: try again.';
const NOT_TAKEN = 'The records do not take that. Nothing was saved: look at what you typed.';

/** An id of a row, made by a form or found in a list. */
export const rowId = z.uuid();
/** The version that a change was made on. */
export const rowVersion = z.number().int().min(1).max(2_000_000_000);
export const ticketNumber = z.number().int().min(1).max(999_999_999);
/** Where a form leads when it is saved: an address of this house. */
export const wayOn = z
  .string()
  .max(200)
  .regex(/^\/(?!\/)/);
/** What a form holds; its own schema reads it. */
export const entryOf = <T>() => z.custom<T>((value) => typeof value === 'object' && value !== null);

/**
 * A server action for the workshop that its page was made for, by somebody who may do it there. What is not
 * as `schemas` want it, comes from somebody else or from a page of another workshop, or is not taken by the
 * database is answered by `refuse`, in one sentence and with nothing done.
 */
export function action<const S extends Schemas, Answer>(
  right: Right,
  refuse: (sentence: string) => Answer,
  schemas: S,
  work: (open: OpenHouse, ...args: Outputs<S>) => Promise<Answer>,
): (madeFor: string, ...args: Inputs<S>) => Promise<Answer> {
  const shape = z.tuple(schemas as unknown as [z.ZodType, ...z.ZodType[]]);
  return async (madeFor, ...args) => {
    return taken(refuse, async () => {
      const entry = await letIn(madeFor, right);
      if ('refused' in entry) return refuse(entry.refused);
      const read = shape.safeParse(args);
      return read.success ? work(entry.open, ...(read.data as Outputs<S>)) : refuse(ODD);
    });
  };
}

/** Does the work; what the database does not take is answered in one sentence. */
async function taken<Answer>(
  refuse: (sentence: string) => Answer,
  work: () => Promise<Answer>,
): Promise<Answer> {
  try {
    return await work();
  } catch (error) {
    if (isBusy(error)) return refuse(BUSY);
    if (isRefusal(error)) return refuse(NOT_TAKEN);
    throw error;
  }
}

/** Another site can send text unasked, but not this type. */
export const isJson = (request: Request): boolean =>
  request.headers.get('content-type') === 'application/json';

/** The message of a request with the workshop that it was made for, or why it is not let in. */
async function sentBy<T>(
  request: Request,
  right: Right,
  schema: z.ZodType<T>,
): Promise<
  | { readonly open: OpenHouse; readonly message: T }
  | { readonly refused: string; readonly status: number }
> {
  if (!isJson(request)) return { refused: ODD, status: 415 };
  const read = z
    .object({ madeFor: z.string(), message: schema })
    .safeParse(await request.json().catch(() => undefined));
  if (!read.success) return { refused: ODD, status: 400 };
  const { madeFor, message } = read.data;
  const entry = await letIn(madeFor, right);
  return 'refused' in entry ? entry : { open: entry.open, message };
}

/**
 * The same door for a file, which is too long for an action: a route that takes a JSON message with the
 * workshop that its page was made for, and answers in JSON.
 */
export function fileRoute<T, Answer>(
  right: Right,
  refuse: (sentence: string) => Answer,
  schema: z.ZodType<T>,
  work: (open: OpenHouse, message: T) => Promise<Answer>,
): (request: Request) => Promise<Response> {
  return async (request) => {
    const sent = await sentBy(request, right, schema);
    if ('refused' in sent) return Response.json(refuse(sent.refused), { status: sent.status });
    return Response.json(await taken(refuse, () => work(sent.open, sent.message)));
  };
}

/** Thrown where the browser that asked is gone, so that nothing of the work is kept. */
class Stopped extends Error {}

const NEWLINE = '\n';

/**
 * The same door for long work: the answer is lines of JSON, `{"done":500}` after each piece and the answer to the form
 * at the end. A browser that stops listening stops the work; inside a transaction nothing of it is kept.
 */
export function longRoute<T>(
  right: Right,
  schema: z.ZodType<T>,
  work: (open: OpenHouse, message: T, goOn: (done: number) => Promise<void>) => Promise<FormAnswer>,
): (request: Request) => Promise<Response> {
  return async (request) => {
    const sent = await sentBy(request, right, schema);
    if ('refused' in sent) return Response.json(refused(sent.refused), { status: sent.status });
    let gone = false;
    const body = new ReadableStream<Uint8Array>({
      async start(stream) {
        const tell = (line: object) => {
          if (!gone) stream.enqueue(Buffer.from(JSON.stringify(line) + NEWLINE));
        };
        const goOn = async (done: number) => {
          // Let a stop come in between two pieces.
          await new Promise((resolve) => setImmediate(resolve));
          if (gone || request.signal.aborted) throw new Stopped();
          tell({ done });
        };
        try {
          tell(await taken(refused, () => work(sent.open, sent.message, goOn)));
        } catch (error) {
          if (!(error instanceof Stopped)) {
            console.error(error);
            tell(refused(FAILED));
          }
        }
        if (!gone) stream.close();
      },
      cancel() {
        gone = true;
      },
    });
    return new Response(body, { headers: { 'Content-Type': 'application/x-ndjson' } });
  };
}
