/** What a racket of an event costs, and a day by player: how many, what they cost, what is paid, which promises held. */
import type { WallTime } from '../measure/promised-time';
import { wallMinutes } from '../queue/clock';

export interface EventPrices {
  readonly labourMinor: number;
  readonly ownStringMinor: number;
  readonly rushMinor: number;
  readonly rushMin: number;
}

/**
 * The labour of a racket at an event: less or more where the player brings the string, and a surcharge where it is
 * wanted within `rushMin` of coming in.
 *
 * @example
 * eventLabour({ labourMinor: 2200, ownStringMinor: 1800, rushMinor: 1000, rushMin: 90 }, true, '2026-06-03T10:00', '2026-06-03T11:00') // 2800
 */
export const eventLabour = (
  { labourMinor, ownStringMinor, rushMinor, rushMin }: EventPrices,
  ownString: boolean,
  takenIn: WallTime,
  promised: WallTime,
): number =>
  (ownString ? ownStringMinor : labourMinor) +
  (wallMinutes(promised) - wallMinutes(takenIn) <= rushMin ? rushMinor : 0);

/** A racket that was closed on the day. */
export interface AccountRacket {
  /** Two players may have one name. */
  readonly playerId: string;
  readonly player: string;
  readonly toPayMinor: number;
  readonly paidMinor: number;
  /** Whether it was ready when it was promised. */
  readonly kept: boolean;
}

export interface AccountLine {
  readonly playerId: string;
  readonly player: string;
  readonly rackets: number;
  readonly kept: number;
  readonly toPayMinor: number;
  readonly paidMinor: number;
  /** Never below nothing: what was paid too much on one racket does not pay another. */
  readonly owedMinor: number;
}

/**
 * The account of a day, a line a player in the order of their names.
 *
 * @example
 * accountOf([{ playerId: 'a', player: 'A', toPayMinor: 2000, paidMinor: 500, kept: true }])[0].owedMinor // 1500
 */
export function accountOf(rackets: readonly AccountRacket[]): readonly AccountLine[] {
  const lines = new Map<string, AccountLine>();
  for (const { playerId, player, toPayMinor, paidMinor, kept } of rackets) {
    const line = lines.get(playerId);
    lines.set(playerId, {
      playerId,
      player,
      rackets: (line?.rackets ?? 0) + 1,
      kept: (line?.kept ?? 0) + Number(kept),
      toPayMinor: (line?.toPayMinor ?? 0) + toPayMinor,
      paidMinor: (line?.paidMinor ?? 0) + paidMinor,
      owedMinor: (line?.owedMinor ?? 0) + Math.max(0, toPayMinor - paidMinor),
    });
  }
  return [...lines.values()].toSorted((a, b) => a.player.localeCompare(b.player));
}
