/** The last pass: a bridge before the last pull of a piece that was cut too short to reach the gripper. */
import { isInside } from '../../path/segments';
import { message } from '../../terms/words/english';
import type { BenchPlan, BenchStep } from '../plan';

export function withBridges(
  steps: readonly BenchStep[],
  { path, shortMm }: BenchPlan,
): readonly BenchStep[] {
  const shortOf = new Map(
    path.pieces.flatMap(({ name, segments }) => {
      const row = new Set(segments.filter(isInside).map(({ string }) => string));
      const last = path.order.findLast((string) => row.has(string));
      const short = shortMm[name] ?? 0;
      return last !== undefined && short > 0 ? [[last, short] as const] : [];
    }),
  );
  return steps.flatMap((step) => {
    const { kind, string } = step;
    const short = kind === 'pull' && string !== undefined ? shortOf.get(string) : undefined;
    if (short === undefined || string === undefined) return [step];
    const bridge: BenchStep = {
      kind: 'bridge',
      words: [message('step.bridge', { string, cm: Math.ceil(short / 10) })],
      actions: [],
      string,
      caution: message('step.bridge.caution'),
    };
    return [bridge, step];
  });
}
