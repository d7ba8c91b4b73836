/** Work behind the walls of one workshop: the database shows it no row of another (`doors-schema.ts`). */
import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { Connection, Database } from './connection';
import { isAway } from './failures';

/** Who works, and where; outside of every workshop where none is named. */
export interface At {
  readonly workshopId?: string;
  readonly personId?: string;
}

let key: string | undefined;

/** By what this process signs where it works (`rights.ts`). A server is told by its environment. */
export function signWith(wallKey: string): void {
  key = wallKey;
}

/** The place as the database believes it: `signed_place()` works out the same. */
function signed({ workshopId = '', personId = '' }: At): string {
  const secret = Buffer.from(key ?? process.env.ORTHOTENS_WALL_KEY ?? '', 'hex');
  const said = `${workshopId}|${personId}`;
  const inner = createHash('sha256').update(secret).update(said).digest();
  return `${said}|${createHash('sha256').update(secret).update(inner).digest('hex')}`;
}

/** What follows in this transaction is done there, and by them. */
export const workAt = async (transaction: Connection, at: At): Promise<void> => {
  await transaction.execute(sql`select set_config('orthotens.place', ${signed(at)}, true)`);
};

/** One transaction in which the database knows who works and where. */
export const behindWalls = <T>(
  db: Database,
  at: At,
  work: (transaction: Connection) => Promise<T>,
): Promise<T> =>
  db.transaction(async (transaction) => {
    await workAt(transaction, at);
    return work(transaction);
  });

interface Question {
  readonly ask: (transaction: Connection) => Promise<unknown>;
  readonly answer: (value: unknown) => void;
  readonly refuse: (error: unknown) => void;
}

/** One after the other in one transaction: with one that fails, none of them has been. */
async function askRound(db: Database, at: At, questions: readonly Question[]): Promise<void> {
  const answers = await behindWalls(db, at, async (transaction) => {
    const given: unknown[] = [];
    for (const { ask } of questions) given.push(await ask(transaction));
    return given;
  });
  questions.forEach(({ answer }, i) => answer(answers[i]));
}

/**
 * What the parts of a page ask at the same moment goes in one transaction: to open and to end one takes longer than most
 * questions. Where one of them fails, each is asked by itself, so that none fails for another's sake; not where the database
 * itself is away, for then all of it may have been done. (What takes a refusal for
 * an answer asks in a savepoint, as in any transaction.)
 */
export function inRounds(
  db: Database,
  at: At,
): <T>(ask: (transaction: Connection) => Promise<T>) => Promise<T> {
  let waiting: Question[] = [];
  const send = async () => {
    const questions = waiting;
    waiting = [];
    const failed = await askRound(db, at, questions).then(
      () => undefined,
      (error: unknown) => ({ error }),
    );
    if (!failed) return;
    for (const { ask, answer, refuse } of questions)
      if (questions.length === 1 || isAway(failed.error)) refuse(failed.error);
      else void behindWalls(db, at, ask).then(answer, refuse);
  };
  return <T>(ask: (transaction: Connection) => Promise<T>) =>
    new Promise<T>((resolve, reject) => {
      waiting.push({ ask, answer: resolve as (value: unknown) => void, refuse: reject });
      if (waiting.length === 1) setImmediate(() => void send());
    });
}
