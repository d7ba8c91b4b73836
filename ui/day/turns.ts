/** What somebody arranged, when a ticket is put somewhere else. */

export interface RulerTurn {
  readonly number: number;
  readonly benchId: string;
  readonly turn: number;
}

interface LaneInOrder {
  readonly id: string;
  /** In the order of their starts. */
  readonly bars: readonly {
    readonly number: number;
    readonly begun: boolean;
    readonly fixed: boolean;
  }[];
}

/** What the turns become when a bar is put into a lane before its bar number `at`. */
export function turnsAfter(
  lanes: readonly LaneInOrder[],
  turns: readonly RulerTurn[],
  number: number,
  laneId: string,
  at: number,
): readonly RulerTurn[] {
  const lane = lanes.find(({ id }) => id === laneId);
  if (!lane) return turns;
  const others = lane.bars.filter((bar) => bar.number !== number && !bar.begun);
  const ahead = others.slice(0, at).map((bar) => bar.number);
  const behind = others.slice(at).filter(({ fixed }) => fixed);
  const inTurn = [...ahead, number, ...behind.map((bar) => bar.number)];
  return [
    ...turns.filter((turn) => turn.benchId !== laneId && turn.number !== number),
    ...inTurn.map((each, turn) => ({ number: each, benchId: laneId, turn })),
  ];
}
