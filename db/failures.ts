/** What it means when the database does not do what it was asked. */

/** Of the error that no connection was to be had in time: nothing was asked, and nothing was done. */
export const NO_CONNECTION = 'NO_CONNECTION';

/** SQLSTATE classes of a value that the tables do not take: a data exception, a broken constraint. */
const REFUSALS = /^(22|23)/;
/** Of a server that is busy or was in its own way: a lock not to be had in time, a deadlock, a query cut off. */
const BUSY = /^(55P03|40P01|40001|57014)$/;
/**
 * Of one that lets nobody in, or can write nothing: its connections, its disk or its memory are used up, it starts or ends, or
 * nothing listens there.
 */
const NOT_LET_IN = /^(53\w{3}|57P03|58030|25006|ECONNREFUSED)$/;
/** Of one that went away while it was asked. */
const WENT_AWAY = /^(57P01|57P02|08\w{3}|ECONNRESET|EPIPE|ETIMEDOUT)$/;
/** The driver has no codes for its own. */
const NO_ANSWER = /^(Connection terminated|Query read timeout)/;
const NO_TURN = /^timeout exceeded when trying to connect/;

const causeOf = (error: unknown): unknown => (error as { cause?: unknown }).cause ?? error;

function stateOf(error: unknown): string {
  const { code } = causeOf(error) as { code?: unknown };
  return typeof code === 'string' ? code : '';
}

const messageOf = (error: unknown): string => {
  const cause = causeOf(error);
  return cause instanceof Error ? cause.message : '';
};

/** Whether the database understood a change and does not take its values. */
export const isRefusal = (error: unknown): boolean => REFUSALS.test(stateOf(error));

/** Whether nothing was done, and the same may well go through a moment later. */
export const isBusy = (error: unknown): boolean =>
  stateOf(error) === NO_CONNECTION ||
  BUSY.test(stateOf(error)) ||
  NOT_LET_IN.test(stateOf(error)) ||
  NO_TURN.test(messageOf(error));

/** Whether it is the database that is not there, and not the application that is wrong. What was asked may have been done. */
export const isAway = (error: unknown): boolean =>
  isBusy(error) || WENT_AWAY.test(stateOf(error)) || NO_ANSWER.test(messageOf(error));
