'use client';

import clsx from 'clsx';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { Bed } from '@/core/bed';
import { sideOf } from '@/core/pull-order';
import { isMain, placeName } from '@/core/segments';
import { strungAfter, type BenchStep, type Sequence } from '@/core/sequence';
import { inTensionUnit, type LengthSystem, type TensionUnit } from '@/core/units';
import { BedDrawing } from '@/ui/bed/bed-drawing';
import { useAwake } from '@/ui/use-awake';
import type { SentEvent } from './actions';
import { useBench } from './use-bench';

interface BenchViewProps {
  readonly number: number;
  readonly title: string;
  readonly promised: string;
  readonly bed: Bed;
  readonly sequence: Pick<Sequence, 'steps' | 'path'>;
  readonly unit: TensionUnit;
  readonly lengthSystem: LengthSystem;
  readonly done: number;
  readonly closed: boolean;
  readonly keep: (events: readonly SentEvent[]) => Promise<{ readonly kept: boolean }>;
}

/** The step in hand in figures that can be read from two metres; one key goes on, one takes back. */
export function BenchView({
  number,
  title,
  promised,
  bed,
  sequence: { steps, path },
  unit,
  lengthSystem,
  done: serverDone,
  closed: closedBefore,
  keep,
}: BenchViewProps) {
  const awake = useAwake();
  const bench = useBench(number, serverDone, steps.length, keep);
  const { done, go, waiting } = bench;
  const [lowLight, setLowLight] = useState(false);
  const closed = closedBefore || bench.closed;
  useWakeLock();

  useEffect(() => {
    if (closed) return;
    const keyed = (event: KeyboardEvent) => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === ' ' || event.key === 'ArrowRight') {
        event.preventDefault();
        go(done + 1);
      } else if (event.key === 'ArrowLeft') {
        event.preventDefault();
        go(done - 1);
      }
    };
    // A button in focus would take the space bar a second time when it comes up.
    const risen = (event: KeyboardEvent) => {
      if (event.key === ' ') event.preventDefault();
    };
    window.addEventListener('keydown', keyed);
    window.addEventListener('keyup', risen);
    return () => {
      window.removeEventListener('keydown', keyed);
      window.removeEventListener('keyup', risen);
    };
  }, [closed, done, go]);

  const step = steps[done];
  const next = steps[done + 1];
  const strung = strungAfter(steps, done);
  // The drawing shows what is in and, bright, the string in hand.
  const pulls = step?.kind === 'pull' || step?.kind === 'pull again';
  const inHand = pulls ? step.string : undefined;
  const drawn = [
    ...strung.filter((string) => string !== inHand),
    ...(inHand === undefined ? [] : [inHand]),
  ];
  const figure = (n: number) => String(inTensionUnit(n, unit));
  return (
    <main
      className={clsx(
        'bg-paper text-ink grid h-dvh grid-rows-[auto_1fr_auto] gap-2 px-6 py-3',
        lowLight && 'low-light',
      )}
    >
      <header className="border-hair flex flex-wrap items-baseline gap-x-6 border-b pb-1">
        <h1 className="figure text-2xl">
          <span className="text-soft">No.</span> {number}
        </h1>
        <p className="min-w-0 grow truncate">{title}</p>
        <p className="label">promised {promised}</p>
        <p className="figure text-xl">
          {done} of {steps.length}
        </p>
        <button type="button" className="underline" onClick={() => setLowLight(!lowLight)}>
          {lowLight ? 'Daylight' : 'Low light'}
        </button>
        <Link href={`/tickets/${number}/pull`} className="underline">
          Leave the bench
        </Link>
      </header>
      <div className="grid min-h-0 gap-6 lg:grid-cols-[1.15fr_1fr]">
        <section aria-label="Step" aria-live="polite" className="flex min-h-0 flex-col">
          {step ? (
            <StepInHand step={step} unit={unit} figure={figure} />
          ) : (
            <p className="figure text-7xl leading-tight">All is done. Hand it over.</p>
          )}
          <p className="text-soft mt-auto text-xl">
            {next
              ? `Then: ${next.words}${next.n === undefined ? '' : ` (${figure(next.n)} ${unit})`}`
              : ''}
          </p>
          <Balance strung={strung.filter(isMain)} />
        </section>
        {/* Keys belong to the steps here, so the drawing takes none. */}
        <div inert className="min-h-0">
          <BedDrawing
            bed={bed}
            path={{
              ...path,
              order: [...drawn, ...path.order.filter((each) => !drawn.includes(each))],
            }}
            strung={drawn.length}
            lengthSystem={lengthSystem}
            className="h-full"
          />
        </div>
      </div>
      <footer className="flex items-center gap-4">
        <button
          type="button"
          disabled={!awake || closed || done === 0}
          onClick={() => go(done - 1)}
          className="border-ink min-h-14 border px-6 text-xl disabled:opacity-50"
        >
          ← take back
        </button>
        <button
          type="button"
          disabled={!awake || closed || done === steps.length}
          onClick={() => go(done + 1)}
          className="bg-ink text-paper min-h-14 grow text-2xl font-medium disabled:opacity-50"
        >
          Done, go on (space)
        </button>
        <p role="status" className="label w-44">
          {closed
            ? 'This job is closed: nothing more is kept.'
            : waiting > 0
              ? `${waiting} ${waiting === 1 ? 'step waits' : 'steps wait'} for the server; go on, they are kept here.`
              : 'All is on the server.'}
        </p>
      </footer>
    </main>
  );
}

function StepInHand({
  step: { words, n, string, at, caution },
  unit,
  figure,
}: {
  readonly step: BenchStep;
  readonly unit: TensionUnit;
  readonly figure: (n: number) => string;
}) {
  return (
    <>
      <p className="flex items-baseline gap-8">
        {n !== undefined && (
          <span className="figure text-[min(20vw,13rem)] leading-none">
            {figure(n)}
            <span className="text-4xl"> {unit}</span>
          </span>
        )}
        {string !== undefined && (
          <span className="figure text-6xl leading-none">
            {string}
            {at && <span className="text-soft block text-4xl">{placeName(at)}</span>}
          </span>
        )}
      </p>
      <p className="mt-3 text-4xl leading-snug font-medium">{words}</p>
      {caution && <p className="text-warn mt-2 text-2xl">{caution}</p>}
    </>
  );
}

/** Mains in on either side: the fuller side hangs lower. */
function Balance({ strung }: { readonly strung: readonly string[] }) {
  const right = strung.filter((main) => sideOf(main) === 'right').length;
  const left = strung.length - right;
  return (
    <div
      role="img"
      className="mt-2 flex items-center gap-4"
      aria-label={`Mains in: ${left} left, ${right} right`}
    >
      <span className="figure text-3xl">{left}</span>
      <svg width={220} height={44} aria-hidden>
        <path d="M110 40l-9 0 9-18 9 18z" className="fill-ink" />
        <path
          d="M20 22H200"
          transform={`rotate(${4 * (right - left)} 110 22)`}
          className="stroke-mains"
          strokeWidth={4}
        />
      </svg>
      <span className="figure text-3xl">{right}</span>
      <span className="label">mains in</span>
    </div>
  );
}

/** Keeps the screen on while the bench is in sight. */
function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
      } catch {
        // A browser on a low battery may refuse; the bench goes on all the same.
      }
    };
    void ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
}
