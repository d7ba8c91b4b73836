'use client';

import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { BenchFrame, StepInHand } from '@/app/(bench)/bench-frame';
import { changeHands } from '@/app/identity/lock-screen';
import { useOnline } from '@/app/(bench)/use-online';
import { useWakeLock } from '@/app/(bench)/use-wake-lock';
import { keptPlanOf, planChange, type KeptPlan } from '@/core/bench/kept-plan';
import { planKey, type LoggedDeed } from '@/core/bench/log';
import { coveredSoon, type BenchStep } from '@/core/bench/plan';
import type { Sequence } from '@/core/bench/sequence';
import { secondsLeft, type Hand, type Pace } from '@/core/bench/times';
import { handWords } from '@/core/bench/undo';
import { dialFor } from '@/core/house/calibration';
import type { Bed } from '@/core/frame/bed';
import type { LengthSystem, TicketTension } from '@/core/measure/units';
import type { Family } from '@/core/terms/family';
import { english } from '@/core/terms/words/english';
import { Ahead } from './ahead';
import { BenchKeys } from './bench-keys';
import { Clock } from './clock';
import { HeadPanel, type BenchHead } from './head-panel';
import { MishapPanel, WayOutView } from './mishap-panel';
import { NotePanel } from './note-panel';
import { PlanChanged } from './plan-changed';
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
  readonly tension: TicketTension;
  /** The plans that its steps were counted in, by their keys. */
  readonly plans: readonly (readonly [plan: string, kept: KeptPlan])[];
  readonly setBack: (before: TicketTension) => Promise<string | void>;
  readonly lengthSystem: LengthSystem;
  readonly hand: Hand;
  readonly pace: Pace;
  readonly machine: BenchHead | undefined;
  readonly kept: readonly LoggedDeed[];
  readonly closed: boolean;
  /** The last look is taken already. */
  readonly looked: boolean;
  /** Whoever is here hands rackets over too. */
  readonly handsOver: boolean;
}

/** One step at a time; one key goes on, one takes back, and what goes wrong has its ways out. */
export function BenchView(props: BenchViewProps) {
  const { number, bed, sequence, tension, machine, plans } = props;
  const { unit } = tension;
  const router = useRouter();
  const online = useOnline();
  const { steps } = sequence;
  const plan = useMemo(() => planKey(steps), [steps]);
  const bench = useBench(props.workshopId, number, props.personId, plan, props.kept);
  const { log, note } = bench;
  const closed = props.closed || bench.closed;
  const change = useMemo(() => {
    if (log.plan === undefined || log.plan === plan || log.done === 0) return undefined;
    const before = plans.find(([key]) => key === log.plan)?.[1];
    const found = planChange(before, keptPlanOf(steps, tension), log.done);
    return found.is === 'ahead only' ? undefined : found;
  }, [log.plan, log.done, plan, plans, steps, tension]);
  /** After the last knot the job goes on at other places: the last look before the mounts open, then the hand-over. */
  const onwardsFrom = (next: BenchStep | undefined) => {
    // What is not at the server yet is not known to it: the bench goes on by itself, and the hand-over asks for the look.
    if (next?.kind === 'last look' && !props.looked && online && bench.waiting === 0)
      return {
        words: 'Take the last look',
        go: () => router.push(`/tickets/${number}/last-look?bench=1`),
      };
    if (next === undefined && !closed)
      return props.handsOver
        ? { words: 'Hand it over', go: () => router.push(`/tickets/${number}/hand-over`) }
        : { words: 'Leave the bench', go: () => router.push(`/tickets/${number}/pull`) };
    return undefined;
  };
  const at = useStep({
    sequence,
    bench,
    machine,
    families: props.families,
    // Nothing goes on before it is known what is in.
    blocked: closed || change !== undefined,
    elsewhere: (next) => onwardsFrom(next)?.go,
  });
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
      footer={
        <BenchKeys
          bench={bench}
          at={at}
          closed={closed}
          asks={change !== undefined}
          onwards={onwardsFrom(step)}
        />
      }
    >
      {bench.setAside.length > 0 && <SetAside deeds={bench.setAside} forget={bench.forgetAside} />}
      {bench.others && (
        <p className="text-warn bench-notice">
          Another bench is at work on this job. Both show the same step; agree on who pulls.
        </p>
      )}
      {change && !closed ? (
        <PlanChanged
          change={change}
          sequence={sequence}
          done={done}
          tension={tension}
          note={note}
          setBack={props.setBack}
        />
      ) : log.paused ? (
        <p className="figure text-[min(18vw,16vh,6rem)]">Paused</p>
      ) : wayOut ? (
        <WayOutView way={wayOut} unit={unit} />
      ) : step ? (
        <StepInHand
          step={step}
          hands={hands}
          unit={unit}
          dial={
            machine && step.pullN !== undefined
              ? dialFor(step.pullN, machine.pulls, unit)
              : undefined
          }
          small={at.byHead}
        />
      ) : (
        <p className="figure text-[min(14vw,13vh,4.5rem)] leading-tight">
          Strung to the last knot.
        </p>
      )}
      {!log.paused &&
        !wayOut &&
        !change &&
        machine &&
        setN !== undefined &&
        pullN !== undefined && (
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
