'use client';

import { Link } from '@/ui/link';
import { useMemo } from 'react';
import { BenchFrame, StepInHand } from '@/app/(bench)/bench-frame';
import { changeHands } from '@/app/identity/lock-screen';
import { useWakeLock } from '@/app/(bench)/use-wake-lock';
import { planKey, type BenchEvent } from '@/core/bench/log';
import { coveredSoon } from '@/core/bench/plan';
import type { Sequence } from '@/core/bench/sequence';
import { secondsLeft, type Hand, type Pace } from '@/core/bench/times';
import { handWords } from '@/core/bench/undo';
import type { Bed } from '@/core/frame/bed';
import type { LengthSystem, TensionUnit } from '@/core/measure/units';
import type { Family } from '@/core/terms/family';
import { english } from '@/core/terms/words/english';
import { Ahead } from './ahead';
import { BenchKeys } from './bench-keys';
import { Clock } from './clock';
import { HeadPanel, type BenchHead } from './head-panel';
import { MishapPanel, WayOutView } from './mishap-panel';
import { NotePanel } from './note-panel';
import { SetAside } from './set-aside';
import { useBench } from './use-bench';
import { useStep } from './use-step';

interface BenchViewProps {
  readonly workshopId: string;
  readonly personId: string;
  readonly person: string;
  /** On a trusted device. */
  readonly changesHands: boolean;
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
  const { number, bed, sequence, unit, machine } = props;
  const { steps } = sequence;
  const plan = useMemo(() => planKey(steps), [steps]);
  const bench = useBench(props.workshopId, number, props.personId, plan, props.kept);
  const { log, note } = bench;
  const closed = props.closed || bench.closed;
  const at = useStep({ sequence, bench, machine, families: props.families, closed });
  const { done, step, head, pullN, setN, wayOut, sound, setPanel } = at;
  const hands = useMemo(() => handWords(sequence, done), [sequence, done]);
  useWakeLock();
  return (
    <BenchFrame
      title={
        <>
          <h1 className="figure text-2xl">
            <span className="text-soft">No.</span> {number}
          </h1>
          <p className="min-w-0 grow truncate">{props.title}</p>
          <Clock
            secondsLeft={secondsLeft(steps, done, bed.spec.sport, props.hand, props.pace)}
            promised={props.promised}
            timeZone={props.timeZone}
          />
        </>
      }
      tools={
        <>
          <button type="button" className="underline" onClick={sound.turn}>
            {sound.on ? 'Sound off' : 'Sound on'}
          </button>
          {props.changesHands && (
            <button
              type="button"
              className="underline"
              aria-label={`${props.person}: change hands`}
              onClick={changeHands}
            >
              {props.person}
            </button>
          )}
          <Link href={`/tickets/${number}/pull`} className="underline">
            Leave the bench
          </Link>
        </>
      }
      bed={bed}
      sequence={sequence}
      done={done}
      lengthSystem={props.lengthSystem}
      footer={<BenchKeys bench={bench} at={at} closed={closed} />}
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
        <StepInHand step={step} hands={hands} unit={unit} small={at.byHead} />
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
          byHand={at.byHand}
          turn={at.turnHand}
          first={log.pulled.size === 0}
        />
      )}
      <Ahead
        soon={coveredSoon(steps, done)}
        next={steps[log.paused || wayOut ? done : done + 1]}
        unit={unit}
      />
      <NotePanel
        open={at.panel === 'note'}
        close={() => setPanel(undefined)}
        keep={(text) => note(log.done, { kind: 'note', text })}
        notes={log.notes.map(({ step: of, text }) => ({
          at: english(steps[of]?.words ?? []),
          text,
        }))}
      />
      {at.panel === 'mishap' && (
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
