/** What the board on the wall says of a racket. */

export const STATES = ['ready', 'on the machine', 'waiting', 'taken'] as const;
export type RacketState = (typeof STATES)[number];

export interface EventRacket {
  readonly closed: boolean;
  readonly collected: boolean;
  /** Steps that were done at the bench. */
  readonly stepsDone: number;
}

/**
 * Where a racket of an event is.
 *
 * @example
 * racketState({ closed: true, collected: false, stepsDone: 60 }) // 'ready'
 */
export function racketState({ closed, collected, stepsDone }: EventRacket): RacketState {
  if (collected) return 'taken';
  if (closed) return 'ready';
  return stepsDone > 0 ? 'on the machine' : 'waiting';
}

/**
 * A name as a board shows it that shows no names: what it begins with, and nothing that two of one event could be told
 * by. Without letters it is a dot.
 *
 * @example
 * boardName('Mara Quill', false) // 'M. Q.'
 * boardName('Mara Quill', true) // 'Mara Quill'
 */
export const boardName = (name: string, shown: boolean): string =>
  shown
    ? name
    : name
        .split(/\s+/)
        .filter(Boolean)
        // An initial is a letter: a quote or a bracket before it is none.
        .flatMap((part) => /\p{L}/u.exec(part)?.[0].toUpperCase() ?? [])
        .map((letter) => `${letter}.`)
        .join(' ') || '·';
