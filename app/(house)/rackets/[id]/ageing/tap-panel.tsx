'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { BedPitch } from '@/core/sound/pitch';
import { FileDrop } from '@/ui/form/file-drop';
import type { FormAnswer } from '@/ui/form/result';
import { ringsNear } from '@/core/ageing/readings';
import { say } from '@/ui/say';
import { useAwake } from '@/ui/use-awake';
import { listen, NoSound, soundOf, type Listening } from './listen';
import type { ReadingEntry } from './reading-entry';

interface TapPanelProps {
  /** What it should ring at with the tension that was set, Hz; undefined where nobody knows the bed. */
  readonly setHz: number | undefined;
  readonly keep: (entry: ReadingEntry) => Promise<FormAnswer>;
}

/** Three taps are heard in that time, with room. */
const LONGEST_MS = 8000;
const NO_ANSWER = 'The workshop’s server does not answer. Nothing was kept: try again.';

/** Tap the bed, and its pitch is heard. */
export function TapPanel({ setHz, keep }: TapPanelProps) {
  const router = useRouter();
  const awake = useAwake();
  const [level, setLevel] = useState(0);
  const [state, setState] = useState<'idle' | 'listening' | 'working'>('idle');
  const [pitch, setPitch] = useState<BedPitch>();
  const [problem, setProblem] = useState<string>();
  const listening = useRef<Listening>(undefined);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const hear = async (sound: () => Promise<{ samples: Float32Array; rate: number }>) => {
    setState('working');
    setPitch(undefined);
    setProblem(undefined);
    try {
      const [{ samples, rate }, { bedPitch }] = await Promise.all([
        sound(),
        import('@/core/sound/pitch'),
      ]);
      const heard = bedPitch(samples, rate, setHz);
      if (heard.ok) setPitch(heard.value);
      else setProblem(heard.problem);
    } catch (error) {
      setProblem(error instanceof NoSound ? error.message : 'That could not be heard: try again.');
    }
    setState('idle');
  };

  const stop = () => {
    clearTimeout(timer.current);
    const { current } = listening;
    listening.current = undefined;
    if (current) void hear(async () => ({ samples: await current.stop(), rate: current.rate }));
  };
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      void listening.current?.stop().catch(() => undefined);
    },
    [],
  );

  const start = async () => {
    setPitch(undefined);
    setProblem(undefined);
    setState('listening');
    try {
      listening.current = await listen(setLevel);
      timer.current = setTimeout(stop, LONGEST_MS);
    } catch (error) {
      setProblem(error instanceof NoSound ? error.message : 'The microphone cannot be heard.');
      setState('idle');
    }
  };

  const keepIt = async (hz: number) => {
    const answer = await keep({
      kind: 'tap',
      value: hz.toFixed(1),
      mass: '',
      unit: '',
      day: '',
    }).catch((): FormAnswer => ({ ok: false, notice: NO_ANSWER }));
    if (!answer.ok) {
      setProblem(answer.notice ?? Object.values(answer.problems ?? {})[0]);
      return;
    }
    setPitch(undefined);
    say('The tap is kept.');
    router.refresh();
  };

  return (
    <section aria-label="Measured by ear">
      <h2 className="figure mb-1 text-2xl">Measured by ear</h2>
      <p className="label mb-3 max-w-prose">
        Take the damper out, hold the racket at its handle, the device near the strings, and tap the
        middle of the bed three times, half a second apart.
        {setHz !== undefined &&
          ` At the tension that was set it would ring near ${Math.round(ringsNear(setHz))} Hz.`}
      </p>
      <p className="flex flex-wrap items-center gap-4">
        {state === 'listening' ? (
          <button type="button" onClick={stop} className="bg-ink text-paper px-5 py-2 font-medium">
            I have tapped
          </button>
        ) : (
          <button
            type="button"
            disabled={!awake || state === 'working'}
            onClick={() => void start()}
            className="bg-ink text-paper px-5 py-2 font-medium disabled:opacity-60"
          >
            Listen
          </button>
        )}
        <span aria-hidden className="bg-sheet border-edge relative h-6 w-40 border-b-2">
          <span
            className="bg-mains absolute inset-y-0 left-0"
            style={{ width: `${state === 'listening' ? Math.round(Math.sqrt(level) * 100) : 0}%` }}
          />
        </span>
        <span role="status">
          {state === 'listening' && 'Tap now.'}
          {state === 'working' && 'One moment.'}
          {pitch && (
            <>
              <span className="figure text-3xl">{pitch.hz.toFixed(1)} Hz</span>{' '}
              {pitch.sure ? 'sure' : 'not sure'}. {pitch.note}
            </>
          )}
        </span>
        {pitch && (
          <button
            type="button"
            onClick={() => void keepIt(pitch.hz)}
            className="border-ink border px-4 py-1.5 font-medium"
          >
            Keep this tap
          </button>
        )}
      </p>
      {problem && (
        <p role="alert" className="text-warn mt-2 font-medium">
          {problem}
        </p>
      )}
      <details className="mt-4">
        <summary className="cursor-pointer">From a recording</summary>
        <div className="mt-2 max-w-md">
          <FileDrop
            label="Recording of the taps"
            accept="audio/*,.wav"
            onFiles={([file]) => file && void hear(() => soundOf(file))}
          />
        </div>
      </details>
    </section>
  );
}
