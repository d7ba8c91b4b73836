'use client';

import type { Head } from '@/app/(bench)/head/use-head';
import { inTensionUnit, roundTo, type TensionUnit } from '@/core/measure/units';
import { REHEARSALS } from '@/formats/head-lines';

/** The machine that the job is strung on, as far as the bench needs it. */
export interface BenchHead {
  readonly name: string;
  readonly address: string | null;
  /** What it pulls for one newton asked, by its checks. */
  readonly pulls: number;
  /** Said once before the first pull: it was never checked, or is late. */
  readonly caution: string | undefined;
}

const FAULT_WORDS = {
  slip: 'The gripper slipped: look at the tail, grip it afresh, pull again.',
  stall: 'The motor stalled before its figure. Pull again, or work by hand.',
  overshoot:
    'It ran past its figure. Let go and pull again; a string that was over-pulled is looked at first.',
} as const;

interface HeadPanelProps {
  readonly head: Head;
  readonly machine: BenchHead;
  readonly askedN: number;
  readonly setN: number;
  readonly unit: TensionUnit;
  /** The stringer works the head by hand, though it is linked. */
  readonly byHand: boolean;
  readonly turn: () => void;
  /** Nothing was pulled by a head before. */
  readonly first: boolean;
}

/** What the tension head does, live; or to what a machine is set by hand. */
export function HeadPanel({
  head,
  machine,
  askedN,
  setN,
  unit,
  byHand,
  turn,
  first,
}: HeadPanelProps) {
  const tenth = (n: number) => roundTo(inTensionUnit(n, unit), 0.1).toFixed(1);
  const corrected = Math.abs(setN - askedN) > 0.005 * askedN;
  const share = Math.max(0, Math.min(1.1, head.readingN / setN));
  return (
    <section
      aria-label="Tension head"
      className="border-hair mt-2 border-t pt-1 text-lg lg:text-xl"
    >
      {head.link === 'linked' && !byHand && (
        <div className="flex items-center gap-4">
          <span aria-live="off" className="figure w-28 text-4xl tabular-nums lg:w-36 lg:text-5xl">
            {tenth(head.readingN * machine.pulls)}
          </span>
          <svg viewBox="0 0 220 22" className="h-6 grow" preserveAspectRatio="none" aria-hidden>
            <path d="M0 11H220" className="stroke-hair" strokeWidth={8} />
            <path
              d={`M0 11H${200 * share}`}
              className={head.phase === 'faulty' ? 'stroke-warn' : 'stroke-mains'}
              strokeWidth={8}
            />
            <path d="M200 0V22" className="stroke-ink" strokeWidth={2} />
          </svg>
          <span role="status" className="w-36 lg:w-44">
            {
              {
                rest: 'at rest',
                pulling: 'pulling',
                holding: 'at tension: clamp it',
                faulty: 'stopped',
              }[head.phase]
            }
          </span>
        </div>
      )}
      {head.fault && (
        <p role="alert" className="text-warn">
          {FAULT_WORDS[head.fault]}
        </p>
      )}
      {head.refused && (
        <p role="alert" className="text-warn">
          The head refused: {head.refused}
        </p>
      )}
      {head.link === 'lost' && (
        <p role="alert" className="text-warn">
          The link to the head is lost and is tried again. Meanwhile it goes on by hand.
        </p>
      )}
      {corrected && (
        <p>
          {machine.name} pulls {roundTo(100 * machine.pulls, 0.1)} % of its figure by its last
          check.
        </p>
      )}
      {first && machine.caution && <p className="text-warn">{machine.caution}</p>}
      <div className="flex flex-wrap items-center gap-x-6">
        {head.link === 'linked' && (
          <button type="button" className="label bench-target underline" onClick={turn}>
            {byHand ? 'Let the head pull' : 'Work by hand'}
          </button>
        )}
        {head.link === 'linked' && !byHand && head.name === 'stand-in' && (
          <label className="label flex items-center gap-2">
            Stand-in head. Rehearse in the next pull:
            <select
              className="border-hair bg-paper min-h-11 border"
              value={head.rehearsal}
              onChange={({ target }) => {
                const what = REHEARSALS.find((each) => each === target.value);
                if (what) head.rehearse(what);
                // The space bar belongs to the steps again.
                target.blur();
              }}
            >
              {REHEARSALS.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          </label>
        )}
      </div>
    </section>
  );
}
