/**
 * What pages ask again and again is planned once by each connection: to plan a question with several joins takes the database
 * longer than to answer it. A question gets its name when it comes up for the third time; there are so many names and no more,
 * for a connection keeps the plan of each as long as it lives.
 */
import { LRUCache } from 'lru-cache';
import type { PoolClient } from 'pg';

const TIMES = 3;
const MOST_NAMES = 250;

const names = new Map<string, string>();
const asked = new LRUCache<string, number>({ max: 1000 });

function nameOf(text: string): string | undefined {
  const known = names.get(text);
  if (known !== undefined || names.size >= MOST_NAMES) return known;
  const times = (asked.get(text) ?? 0) + 1;
  asked.set(text, times);
  if (times < TIMES) return undefined;
  asked.delete(text);
  const name = `kept ${names.size}`;
  names.set(text, name);
  return name;
}

/** A question with values that has no name yet; what opens and ends a transaction has none. */
const mayBeNamed = (question: unknown, values: unknown): question is { readonly text: string } =>
  typeof question === 'object' &&
  question !== null &&
  'text' in question &&
  typeof question.text === 'string' &&
  !('name' in question && question.name) &&
  Array.isArray(values) &&
  values.length > 0;

/** From now on the connection keeps the plans of what it is asked often. */
export function keepPlans(client: PoolClient): void {
  const ask = client.query.bind(client) as (...question: unknown[]) => unknown;
  client.query = ((question: unknown, ...rest: unknown[]) => {
    const name = mayBeNamed(question, rest[0]) ? nameOf(question.text) : undefined;
    return ask(name === undefined ? question : { ...(question as object), name }, ...rest);
  }) as typeof client.query;
}
