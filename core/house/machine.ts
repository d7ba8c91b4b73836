/** Stringing machines: what they are, and between two that pull differently. */
import { z } from 'zod';
import type { Sport } from '../terms/sport';
import type { HouseRules } from './house-rules';

export const pullKindSchema = z.enum(['constant pull', 'lock-out']);
/** How a machine pulls: a constant pull follows the string as it creeps, a lock-out stops at the figure. */
export type PullKind = z.infer<typeof pullKindSchema>;

/** What of a machine holds strings. */
export interface ClampSet {
  /** Clamps that the machine has for the strings. */
  readonly clamps: 1 | 2;
  /** A flying clamp stands on nothing: it holds a string by its neighbour. */
  readonly clampKind: 'fixed' | 'flying';
  readonly startingClamps: 0 | 1;
}

export const MOUNT_POINTS = [6, 4, 2] as const;

/** What of a machine bears on the order of the work. */
export interface StringingMachine extends ClampSet {
  /** Points at which it holds the frame. */
  readonly mounts: (typeof MOUNT_POINTS)[number];
}

export const USUAL_MACHINE: StringingMachine = {
  clamps: 2,
  clampKind: 'fixed',
  startingClamps: 1,
  mounts: 6,
};

export const machineKindSchema = z.enum([
  'electronic constant pull',
  'electric',
  'crank with lock-out',
  'drop weight',
]);
export type MachineKind = z.infer<typeof machineKindSchema>;

export const clampKindSchema = z.enum(['fixed swivel', 'glide bar', 'flying']);
export type ClampKind = z.infer<typeof clampKindSchema>;

/**
 * A crank stops and locks at its figure; all others go on pulling while the string gives.
 *
 * @example
 * pullKindOf('drop weight') // 'constant pull'
 */
export const pullKindOf = (kind: MachineKind): PullKind =>
  kind === 'crank with lock-out' ? 'lock-out' : 'constant pull';

/** A machine as a bench has it. */
export interface StandingMachine extends MachineParts {
  /** What its mounts, with their adaptors, hold. */
  readonly sports: readonly Sport[];
}

export interface MachineParts {
  readonly mounts: number;
  readonly clampKind: ClampKind;
  readonly clamps: number;
  readonly startingClamps: number;
}

/**
 * What of a machine bears on the order of the work; figures that no machine has count as the nearest.
 *
 * @example
 * stringingMachine(USUAL_MACHINE).clamps // 2
 */
export const stringingMachine = (parts: MachineParts): StringingMachine => ({
  mounts: MOUNT_POINTS.find((points) => points <= parts.mounts) ?? 2,
  clampKind: parts.clampKind === 'flying' ? 'flying' : 'fixed',
  clamps: parts.clamps >= 2 ? 2 : 1,
  startingClamps: parts.startingClamps >= 1 ? 1 : 0,
});

/**
 * The figure, N, that gives on one kind of machine the bed that `n` newtons give on the other. A
 * lock-out stops at its figure and the string relaxes, so it settles lower than a constant pull, by
 * `lockOutShare`: the workshop's own measurement, else about 5 to 10 %, from memory.
 *
 * @example
 * betweenMachines(235.4, 'constant pull', 'lock-out', { lockOutShare: 0.075 }) // 254.5
 */
export function betweenMachines(
  n: number,
  from: PullKind,
  to: PullKind,
  { lockOutShare }: Pick<HouseRules, 'lockOutShare'>,
): number {
  if (from === to) return n;
  return to === 'lock-out' ? n / (1 - lockOutShare) : n * (1 - lockOutShare);
}
