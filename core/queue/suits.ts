/** Which machine suits a racket: by what its mounts hold, by their number, and by what its clamps can do. */
import { benchSequence } from '../bench/sequence';
import { usualChoice } from '../cut/methods';
import { studyFrame } from '../frame/bed';
import type { FrameSpec } from '../frame/frame';
import type { HouseRules } from '../house/house-rules';
import { stringingMachine, USUAL_MACHINE, type StandingMachine } from '../house/machine';
import { newtons } from '../measure/units';
import { pathThrough, type PathChoice } from '../path/path';
import type { Message } from '../terms/words/english';
import { message } from '../terms/words/english';

/** What a ticket asks of a machine. */
export interface Stringing {
  readonly spec: FrameSpec;
  /** As its cut was planned; null before. */
  readonly choice: PathChoice | null;
}

/** A badminton hoop is the softest: on fewer points it is not strung. From memory. */
const LEAST_BADMINTON_MOUNTS = 4;
/** Clamps are asked for the same at any pull that a frame of any sport takes. */
const ANY_PULL = { mainN: newtons(10, 'kg'), crossN: newtons(10, 'kg'), unit: 'kg' } as const;

/**
 * Why a machine does not suit a racket; undefined where it does. Its clamps are judged by the whole job, step by step; before the
 * cut is planned, by the way that is usual for the frame.
 *
 * Source: number of mounts from memory; clamps by the ledger of the bench.
 *
 * @example
 * machineProblem({ spec: usual.spec, choice: null }, { sports: ['badminton'], mounts: 6, clampKind: 'fixed swivel', clamps: 2, startingClamps: 1 }, usual.house).key // 'suits.sport'
 */
export function machineProblem(
  { spec, choice }: Stringing,
  machine: StandingMachine,
  house: HouseRules,
): Message | undefined {
  const { sport } = spec;
  if (!machine.sports.includes(sport)) return message('suits.sport', { sport });
  if (sport === 'badminton' && machine.mounts < LEAST_BADMINTON_MOUNTS)
    return message('suits.mounts', { least: LEAST_BADMINTON_MOUNTS, mounts: machine.mounts });
  const parts = stringingMachine(machine);
  if (holdsAsUsual(parts)) return undefined;
  const { bed } = studyFrame(spec);
  if (!bed) return undefined;
  const sequence = benchSequence({
    bed,
    path: pathThrough(bed, choice ?? usualChoice(bed, false)),
    tension: ANY_PULL,
    soft: false,
    notes: [],
    custom: house,
    machine: parts,
    preStretch: [],
    shortMm: {},
  });
  return sequence.ok ? undefined : message('suits.clamps', { why: sequence.problem });
}

/** With the clamps of a usual machine every job can be done; only less has to be tried. */
const holdsAsUsual = (parts: ReturnType<typeof stringingMachine>): boolean =>
  parts.clampKind === USUAL_MACHINE.clampKind &&
  parts.clamps === USUAL_MACHINE.clamps &&
  parts.startingClamps === USUAL_MACHINE.startingClamps;
