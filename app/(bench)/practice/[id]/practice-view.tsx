'use client';

import { Link } from '@/ui/link';
import { useMemo } from 'react';
import { BenchButton, BenchFrame, StepInHand } from '@/app/(bench)/bench-frame';
import { useKeys } from '@/app/(bench)/use-keys';
import { useWakeLock } from '@/app/(bench)/use-wake-lock';
import { questionAt, type Option, type QuizPlan } from '@/core/bench/quiz';
import { handWords } from '@/core/bench/undo';
import type { LengthSystem } from '@/core/measure/units';
import { useAwake } from '@/ui/use-awake';
import { usePractice, type PracticeState } from './use-practice';

interface PracticeViewProps {
  readonly id: string;
  readonly name: string;
  readonly plan: QuizPlan;
  /** Tension as a ticket has it. */
  readonly ticket: string;
  readonly lengthSystem: LengthSystem;
}

function markOf({ given, right, against }: PracticeState['answers'][number]): string {
  if (against) return `Not ${given}: ${right}. ${against}`;
  return given === right
    ? `Right: ${right}.`
    : `Right: ${given} is as good as ${right}, with which this job goes on.`;
}

/** The bench without a job: a question before each pull and knot, marked, with the reason. */
export function PracticeView({ id, name, plan, ticket, lengthSystem }: PracticeViewProps) {
  const awake = useAwake();
  const [state, change] = usePractice(id);
  useWakeLock();
  const { steps } = plan.sequence;
  const { seed, answers } = state;
  const done = Math.min(state.done, steps.length);
  const step = steps[done];
  const question = useMemo(() => questionAt(plan, done, seed), [plan, done, seed]);
  const answer = answers.find((each) => each.step === done);
  const waits = question !== undefined && answer === undefined;
  const mistakes = answers.filter(({ against }) => against !== null);

  const give = ({ words: given, against }: Option) => {
    if (!question || answer) return;
    const { ask, right } = question;
    const marked = { step: done, ask, given, right, against: against ?? null };
    change({ ...state, answers: [...answers, marked] });
  };
  const goOn = () => {
    if (!waits && done < steps.length) change({ ...state, done: done + 1 });
  };
  const back = () => {
    if (done > 0) change({ ...state, done: done - 1 });
  };
  const again = () => change({ seed: seed + 1, done: 0, answers: [] });
  const digits = Object.fromEntries(
    (question?.options ?? []).map((option, i) => [String(i + 1), () => give(option)]),
  );
  useKeys({ ' ': goOn, ArrowRight: goOn, ArrowLeft: back, ...digits }, awake);

  return (
    <BenchFrame
      title={
        <>
          <h1 className="figure text-2xl">Practice</h1>
          <p className="min-w-0 grow truncate">{name}</p>
          <p className="figure text-xl">{ticket}</p>
          <p className="text-soft">
            {answers.length - mistakes.length} of {answers.length} right
          </p>
        </>
      }
      tools={
        <Link href="/practice" className="underline">
          Leave practice
        </Link>
      }
      bed={plan.bed}
      sequence={plan.sequence}
      done={done}
      secret={waits}
      lengthSystem={lengthSystem}
      footer={
        <>
          <BenchButton disabled={!awake || done === 0} onClick={back}>
            ← back
          </BenchButton>
          <BenchButton disabled={!awake} onClick={again}>
            Begin anew
          </BenchButton>
          <BenchButton main disabled={!awake || waits || done === steps.length} onClick={goOn}>
            {waits ? 'Answer first (1 to 4)' : 'Go on (space)'}
          </BenchButton>
        </>
      }
    >
      {waits ? (
        <div>
          <p className="text-4xl font-medium">{question.ask}</p>
          <ol className="mt-4 grid gap-3">
            {question.options.map((option, i) => (
              <li key={option.words}>
                <BenchButton className="w-full text-left text-2xl" onClick={() => give(option)}>
                  <span className="text-soft mr-6">{i + 1}</span>
                  {option.words}
                </BenchButton>
              </li>
            ))}
          </ol>
        </div>
      ) : step ? (
        <>
          {question && answer && (
            <p role="status" className={answer.against ? 'text-warn text-xl' : 'text-xl'}>
              {markOf(answer)} {question.why}
            </p>
          )}
          <StepInHand step={step} hands={handWords(plan.sequence, done)} unit={plan.unit} small />
        </>
      ) : (
        <div className="min-h-0 overflow-y-auto">
          <p className="figure text-6xl">
            {answers.length - mistakes.length} of {answers.length} right
          </p>
          {mistakes.length === 0 ? (
            <p className="mt-2 text-2xl">No mistake. The next round asks other things.</p>
          ) : (
            <ul aria-label="Mistakes" className="mt-2 text-xl">
              {mistakes.map(({ step: at, ask, given, right, against }) => (
                <li key={at} className="border-hair border-t py-1">
                  {ask} <span className="text-warn">{given}</span>, right is{' '}
                  <span className="font-medium">{right}</span>. {against}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
      <div className="mt-auto" />
    </BenchFrame>
  );
}
