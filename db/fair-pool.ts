/**
 * A pool that no single part of the application can use up: where one table is locked, the pages that read it wait with the few
 * connections that their part may hold, and all others go on.
 */
import { AsyncLocalStorage, AsyncResource } from 'node:async_hooks';
import { Semaphore, withTimeout, type SemaphoreInterface } from 'async-mutex';
import { LRUCache } from 'lru-cache';
import { Pool, type PoolClient, type PoolConfig } from 'pg';
import { isAway, NO_CONNECTION } from './failures';

/** Connections of a pool, and how many of them one part holds at once. */
const MOST_CONNECTIONS = 16;
const MOST_OF_A_PART = 5;

// Known by its code, as those of the database are: a build has each class once for each of its parts.
const noConnection = () =>
  Object.assign(new Error('No connection to the database was free in time.'), {
    code: NO_CONNECTION,
  });

/** Whoever asks: a request to one part of the application. */
export interface Asking {
  readonly part: string;
  /** Whether the database was not there for it once. */
  wasRefused: boolean;
}

// Each part of a server is a bundle of its own; who asks is known to all of them.
const holder = globalThis as { orthotensAsking?: AsyncLocalStorage<Asking> };
const asking = (): AsyncLocalStorage<Asking> =>
  (holder.orthotensAsking ??= new AsyncLocalStorage());

/** From here on, in this chain of work, questions to the database are this one's. */
export const askAs = (who: Asking): void => asking().enterWith(who);

/** Notes with whoever asks that the database was not there for them. */
function note(error: unknown): void {
  const who = asking().getStore();
  if (who && error && isAway(error)) who.wasRefused = true;
}

/** Has a connection note where it could not answer, whoever makes what of the error afterwards. */
export function noteRefusals(client: PoolClient): void {
  const ask = client.query.bind(client) as (...question: unknown[]) => unknown;
  client.query = ((...question: unknown[]) => {
    const heard = question.at(-1);
    // A pool that is asked for one answer hears of it by a call.
    if (typeof heard === 'function') {
      const whoever = AsyncResource.bind((error: unknown, ...rest: unknown[]) => {
        note(error);
        (heard as (...said: unknown[]) => void)(error, ...rest);
      });
      return ask(...question.slice(0, -1), whoever);
    }
    const answer = ask(...question);
    if (answer instanceof Promise) answer.catch(note);
    return answer;
  }) as typeof client.query;
}

type Taken = (error: Error | undefined, client?: PoolClient, release?: unknown) => void;

export class FairPool extends Pool {
  // Whoever makes up addresses makes up parts, too.
  private readonly turns = new LRUCache<string, SemaphoreInterface>({ max: 200 });

  constructor(
    config: PoolConfig,
    private readonly patienceMs: number,
  ) {
    super({ ...config, max: MOST_CONNECTIONS });
  }

  private turnsOf(part: string): SemaphoreInterface {
    const known = this.turns.get(part);
    if (known) return known;
    const made = withTimeout(new Semaphore(MOST_OF_A_PART), this.patienceMs, noConnection());
    this.turns.set(part, made);
    return made;
  }

  private async take(): Promise<PoolClient> {
    const who = asking().getStore();
    if (who === undefined) return super.connect();
    const [, leave] = await this.turnsOf(who.part).acquire();
    try {
      const client = await super.connect();
      const release = client.release.bind(client);
      client.release = (error) => {
        leave();
        release(error);
      };
      return client;
    } catch (error) {
      leave();
      throw error;
    }
  }

  override connect(): Promise<PoolClient>;
  override connect(taken: Taken): void;
  override connect(taken?: Taken): Promise<PoolClient> | void {
    const client = this.take();
    client.catch(note);
    if (!taken) return client;
    client.then(
      (given) => taken(undefined, given, given.release),
      (error: Error) => taken(error),
    );
  }
}
