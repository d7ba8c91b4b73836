'use client';

import clsx from 'clsx';
import Link from 'next/link';
import { useEffect, useMemo, useRef, useState } from 'react';
import { BenchButton, BenchFrame, StepInHand } from '@/app/(bench)/bench-frame';
import { useHead } from '@/app/(bench)/head/use-head';
import { useKeys } from '@/app/(bench)/use-keys';
import { useSound } from '@/app/(bench)/use-sound';
import { useWakeLock } from '@/app/(bench)/use-wake-lock';
import type { Bed } from '@/core/frame/bed';
import { planKey, type BenchEvent } from '@/core/bench/log';
import { coveredSoon, headPull } from '@/core/bench/plan';
import { secondsLeft, type Hand, type Pace } from '@/core/bench/times';
import type { Family } from '@/core/terms/family';
import { wayTaken } from '@/core/bench/mishap';
import { isMain, placeName } from '@/core/path/segments';
import type { Sequence } from '@/core/bench/sequence';
import { handWords } from '@/core/bench/undo';
import { formatTension, type LengthSystem, type TensionUnit } from '@/core/measure/units';
import { HeadPanel, type BenchHead } from './head-panel';
import { MishapPanel, WayOutView } from './mishap-panel';
import { NotePanel } from './note-panel';
import { Clock } from './clock';
import type { AsideEvent } from './backlog';
import { useBench } from './use-bench';

interface BenchViewProps {
  readonly workshopId: string;
  readonly number: number;
  readonly title: string;
  readonly promised: string;
  readonly timeZone: string;
  readonly bed: Bed;
  readonly sequence: Sequence;
  readonly families: { readonly mains: Family; readonly crosses: Family };
  readonly unit: TensionUnit;
  readonly lengthSystem: LengthSystem;
  readonly hand: Hand;
  readonly pace: Pace;
  readonly machine: BenchHead | undefined;
  readonly kept: readonly BenchEvent[];
  readonly closed: boolean;
}

/** One step at a time; one key goes on, one takes back, and what goes wrong has its ways out. */
export function BenchView(props: BenchViewProps) {
  const { number, title, promised, timeZone, bed, sequence, families, unit, machine } = props;
  const { steps } = sequence;
  const plan = useMemo(() => planKey(steps), [steps]);
  const bench = useBench(props.workshopId, number, plan, props.kept);
  const { log, note, waiting } = bench;
  const head = useHead(machine?.address ?? null);
  const sound = useSound();
  const [panel, setPanel] = useState<'note' | 'mishap'>();
  const [byHand, setByHand] = useState(false);
  useWakeLock();

  const closed = props.closed || bench.closed;
  const done = Math.min(log.done, steps.length);
  const step = steps[done];
  const pullN = step && headPull(step);
  const setN = pullN === undefined ? undefined : pullN / (machine?.pulls ?? 1);
  const family =
    step?.string !== undefined && !isMain(step.string) ? families.crosses : families.mains;
  const byHead = head.link === 'linked' && !byHand && setN !== undefined;
  const wayOut = log.amiss && wayTaken(sequence, log.amiss);

  // A tone when the pull is there, another where care is due.
  const { play } = sound;
  const phase = useRef(head.phase);
  useEffect(() => {
    if (head.phase !== phase.current && head.phase === 'holding') play('there');
    if (head.phase !== phase.current && head.phase === 'faulty') play('care');
    phase.current = head.phase;
  }, [head.phase, play]);
  const caution = step?.caution;
  useEffect(() => {
    if (caution !== undefined) play('care');
  }, [caution, done, play]);

  const goOn = () => {
    if (log.paused || wayOut) return note(log.done, { kind: 'resume' });
    if (done === steps.length) return;
    if (!byHead) return note(done + 1, { kind: 'step' });
    if (head.phase === 'rest' || head.phase === 'faulty') return head.pull(setN, family);
    // The step waits for its tension.
    if (head.phase === 'pulling') return;
    note(done + 1, { kind: 'step', pulledN: head.readingN * (machine?.pulls ?? 1) });
    head.release();
  };
  const takeBack = () => {
    if (done === 0) return;
    if (head.phase !== 'rest') head.release();
    note(done - 1, { kind: 'step' });
  };
  const pause = () => note(log.done, { kind: log.paused ? 'resume' : 'pause' });
  const keys = {
    ' ': goOn,
    ArrowRight: goOn,
    ArrowLeft: takeBack,
    '.': pause,
    n: () => setPanel('note'),
    r: () => setPanel('mishap'),
  };
  useKeys(keys, bench.ready && !closed && panel === undefined);

  const next = steps[log.paused || wayOut ? done : done + 1];
  const soon = coveredSoon(steps, done);
  const blocked = !bench.ready || closed;
  return (
    <BenchFrame
      title={
        <>
          <h1 className="figure text-2xl">
            <span className="text-soft">No.</span> {number}
          </h1>
          <p className="min-w-0 grow truncate">{title}</p>
          <Clock
            secondsLeft={secondsLeft(steps, done, bed.spec.sport, props.hand, props.pace)}
            promised={promised}
            timeZone={timeZone}
          />
        </>
      }
      tools={
        <>
          <button type="button" className="underline" onClick={sound.turn}>
            {sound.on ? 'Sound off' : 'Sound on'}
          </button>
          <Link href={`/tickets/${number}/pull`} className="underline">
            Leave the bench
          </Link>
        </>
      }
      bed={bed}
      sequence={sequence}
      done={done}
      lengthSystem={props.lengthSystem}
      footer={
        <>
          <BenchButton disabled={blocked || done === 0} onClick={takeBack}>
            ← take back
          </BenchButton>
          <BenchButton disabled={blocked} onClick={pause}>
            {log.paused ? '. go on' : '. pause'}
          </BenchButton>
          <BenchButton disabled={blocked} onClick={() => setPanel('note')}>
            n note
          </BenchButton>
          <BenchButton disabled={blocked} onClick={() => setPanel('mishap')}>
            r record
          </BenchButton>
          <BenchButton
            main
            disabled={blocked || done === steps.length || (byHead && head.phase === 'pulling')}
            onClick={goOn}
          >
            {goOnWords(log.paused || wayOut !== undefined, byHead ? head.phase : undefined)}
          </BenchButton>
          <p role="status" className="label w-44">
            {bench.elsewhere
              ? 'Another workshop answers here: nothing is sent, all of it waits in this browser.'
              : waiting > 0
                ? `${waiting} ${waiting === 1 ? 'step waits' : 'steps wait'} for the server; go on, they are kept here.`
                : closed
                  ? 'This job is closed; all of it is on record.'
                  : 'All is on the server.'}
          </p>
        </>
      }
    >
      {bench.setAside.length > 0 && <SetAside events={bench.setAside} forget={bench.forgetAside} />}
      {log.plan !== undefined && log.plan !== plan && (
        <p className="text-warn bench-notice">
          The plan was changed after the last step. Check that step {done} is where the bench
          stands; ← and → go there.
        </p>
      )}
      {bench.others && (
        <p className="text-warn bench-notice">
          Another bench is at work on this job. Both show the same step; agree on who pulls.
        </p>
      )}
      {log.paused ? (
        <p className="figure text-[min(18vw,16vh,6rem)]">Paused</p>
      ) : wayOut ? (
        <WayOutView way={wayOut} unit={unit} />
      ) : step ? (
        <StepInHand step={step} hands={handWords(steps, done)} unit={unit} small={byHead} />
      ) : (
        <p className="figure text-[min(14vw,13vh,4.5rem)] leading-tight">
          All is done. Hand it over.
        </p>
      )}
      {!log.paused && !wayOut && machine && setN !== undefined && pullN !== undefined && (
        <HeadPanel
          head={head}
          machine={machine}
          askedN={pullN}
          setN={setN}
          unit={unit}
          byHand={byHand}
          turn={() => {
            head.release();
            setByHand(!byHand);
          }}
          first={log.pulled.size === 0}
        />
      )}
      <div className="mt-auto pt-2">
        {soon && (
          <p className="bench-line" role="note">
            <span className="label">Covered next </span>
            {soon.step.at && <span className="figure">{placeName(soon.step.at)}</span>}
            {soon.inSteps === 0
              ? ', now'
              : `, in ${soon.inSteps} ${soon.inSteps === 1 ? 'step' : 'steps'}`}
          </p>
        )}
        <p className={clsx('text-soft bench-line', !next && 'invisible')}>
          {next
            ? `Then: ${next.words}${next.pullN === undefined ? '' : ` (${formatTension(next.pullN, unit)})`}`
            : '–'}
        </p>
      </div>
      <NotePanel
        open={panel === 'note'}
        close={() => setPanel(undefined)}
        keep={(text) => note(log.done, { kind: 'note', text })}
        notes={log.notes.map(({ step: at, text }) => ({ at: steps[at]?.words ?? '', text }))}
      />
      {panel === 'mishap' && (
        <MishapPanel
          close={() => setPanel(undefined)}
          sequence={sequence}
          done={done}
          take={(mishap, string, way) => {
            if (head.phase !== 'rest') head.release();
            note(way.done, { kind: 'mishap', mishap, string, way: way.title, wayId: way.id });
          }}
        />
      )}
    </BenchFrame>
  );
}

/** What the server does not keep, so that somebody can write it down elsewhere before it goes. */
function SetAside({
  events,
  forget,
}: {
  readonly events: readonly AsideEvent[];
  readonly forget: () => void;
}) {
  return (
    <details className="text-warn bench-notice">
      <summary className="cursor-pointer py-2">
        {events.length === 1 ? 'One event is' : `${events.length} events are`} set aside: the rest
        goes on
      </summary>
      <ul>
        {events.map(({ what, why }, i) => (
          <li key={i}>
            {what}. <span className="label">{why}</span>
          </li>
        ))}
      </ul>
      <button type="button" className="bench-target underline" onClick={forget}>
        I have seen it: let it go
      </button>
    </details>
  );
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
