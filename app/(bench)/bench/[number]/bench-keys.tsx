import { BenchButton } from '@/app/(bench)/bench-frame';
import type { useBench } from './use-bench';
import type { useStep } from './use-step';

interface BenchKeysProps {
  readonly bench: ReturnType<typeof useBench>;
  readonly at: ReturnType<typeof useStep>;
  readonly closed: boolean;
  /** Something is asked first, and nothing goes on before it is answered. */
  readonly asks: boolean;
  /** What comes next somewhere else: the last look while the mounts hold, the hand-over after the last step. */
  readonly onwards: { readonly words: string; readonly go: () => void } | undefined;
}

/** What the keys do, as buttons for a finger, and where the steps are kept. */
export function BenchKeys({ bench, at, closed, asks, onwards }: BenchKeysProps) {
  const blocked = !bench.ready || closed || asks;
  const { paused } = bench.log;
  return (
    <>
      <BenchButton disabled={blocked || at.done === 0} onClick={at.takeBack}>
        ← take back
      </BenchButton>
      <BenchButton disabled={blocked} onClick={at.pause}>
        {paused ? '. go on' : '. pause'}
      </BenchButton>
      <BenchButton disabled={blocked} onClick={() => at.setPanel('note')}>
        n note
      </BenchButton>
      <BenchButton disabled={blocked} onClick={() => at.setPanel('mishap')}>
        r record
      </BenchButton>
      {onwards && !paused ? (
        <BenchButton main disabled={!bench.ready} onClick={onwards.go}>
          {onwards.words} (space)
        </BenchButton>
      ) : (
        <BenchButton
          main
          disabled={blocked || (at.byHead && at.head.phase === 'pulling')}
          onClick={at.goOn}
        >
          {goOnWords(paused || at.wayOut !== undefined, at.byHead ? at.head.phase : undefined)}
        </BenchButton>
      )}
      <p role="status" className="label w-44">
        {keptWords(bench, closed)}
      </p>
    </>
  );
}

function keptWords({ shut, waiting }: BenchKeysProps['bench'], closed: boolean): string {
  if (shut) return shut;
  if (waiting > 0)
    return `${waiting} ${waiting === 1 ? 'step waits' : 'steps wait'} for the server; go on, they are kept here.`;
  return closed ? 'This job is closed; all of it is on record.' : 'All is on the server.';
}

function goOnWords(waits: boolean, phase: 'rest' | 'pulling' | 'holding' | 'faulty' | undefined) {
  if (waits) return 'Go on (space)';
  switch (phase) {
    case 'rest':
      return 'Pull (space)';
    case 'pulling':
      return 'Pulling …';
    case 'faulty':
      return 'Pull again (space)';
    case 'holding':
      return 'Clamped, let go (space)';
    case undefined:
      return 'Done, go on (space)';
  }
}
