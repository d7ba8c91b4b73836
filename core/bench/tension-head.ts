/** A tension head and the string in it, as they behave in time: a stand-in for a real one. */
import type { Newtons } from '../measure/quantities';
import type { Family } from '../terms/family';
import type { PullKind } from '../house/machine';

/** What can go wrong in a pull: the gripper slips, the motor stalls, it runs past its figure. */
export const HEAD_FAULTS = ['slip', 'stall', 'overshoot'] as const;
export type HeadFault = (typeof HEAD_FAULTS)[number];

export interface HeadPull {
  readonly pull: PullKind;
  readonly family: Family;
  /** What it is set to, N. */
  readonly setN: Newtons;
  /** What goes wrong in this pull. */
  readonly fault?: HeadFault | undefined;
}

export interface HeadState {
  readonly mode: 'pulling' | 'holding' | 'faulty';
  /** Travel of the gripper, as the force that a string which gives nothing would answer with, N. */
  readonly drawnN: Newtons;
  /** What the string has given since it was pulled, N. */
  readonly givenN: Newtons;
}

export const AT_REST: HeadState = { mode: 'pulling', drawnN: 0, givenN: 0 };

/**
 * The pull in the string, N.
 *
 * @example
 * pullIn({ drawnN: 200, givenN: 12 }) // 188
 */
export const pullIn = ({ drawnN, givenN }: HeadState): number => drawnN - givenN;

/** What a string gives at a fixed length, as a share of its pull. From memory: 5 to 10 % before the first ball. */
export const GIVES: Record<Family, number> = {
  'natural gut': 0.05,
  multifilament: 0.08,
  'synthetic gut': 0.08,
  monofilament: 0.1,
  aramid: 0.02,
};

/** Most of it is given in so many seconds. From memory. */
const GIVES_WITHIN_S = 15;
/** How fast the gripper draws, N/s. */
const DRAWS = 150;
/** A constant pull takes up what is below its figure by this much, N. */
const SLACK = 0.4;
/** How far a head that overshoots runs past its figure. */
const OVERSHOOTS = 1.08;

/**
 * The state after `seconds` more (a standard linear solid: a spring, beside a spring and a damper in a
 * row). A constant pull draws on while the string gives; a lock-out stops at its figure.
 *
 * @example
 * Math.round(pullIn(afterPulling(AT_REST, { pull: 'constant pull', family: 'monofilament', setN: 200 }, 20))) // 200
 */
export function afterPulling(state: HeadState, of: HeadPull, seconds: number): HeadState {
  const { setN, pull, family, fault } = of;
  const givenN =
    state.givenN +
    (GIVES[family] * state.drawnN - state.givenN) * (1 - Math.exp(-seconds / GIVES_WITHIN_S));
  const at = { ...state, givenN: Math.min(givenN, state.drawnN) };
  if (state.mode === 'faulty') return at;
  if (state.mode === 'holding') {
    const below = setN - pullIn(at);
    return pull === 'lock-out' || below < SLACK
      ? at
      : { ...at, drawnN: at.drawnN + Math.min(below, DRAWS * seconds) };
  }
  const goal = fault === 'overshoot' ? setN * OVERSHOOTS : setN;
  const drawn = {
    ...at,
    drawnN: at.drawnN + Math.min(DRAWS * seconds, Math.max(0, goal - pullIn(at))),
  };
  if (fault === 'stall' && pullIn(drawn) > 0.6 * setN) return { ...drawn, mode: 'faulty' };
  if (fault === 'slip' && pullIn(drawn) > 0.7 * setN)
    return { mode: 'faulty', drawnN: 0.2 * setN, givenN: 0 };
  if (pullIn(drawn) < goal - 1e-9) return drawn;
  return { ...drawn, mode: fault === 'overshoot' ? 'faulty' : 'holding' };
}
