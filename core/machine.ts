/** Between machines that pull differently. */
import type { HouseRules } from './house-rules';
import type { PullKind } from './talk';

/**
 * The figure, N, that gives on one kind of machine the bed that `n` newtons give on the other. A
 * lock-out stops at its figure and the string relaxes, so it settles lower than a constant pull, by
 * `lockOutShare`: the workshop's own measurement, else about 5 to 10 %, from memory.
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
