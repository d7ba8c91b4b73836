'use client';

import { useMemo, useState } from 'react';
import { BenchButton } from '@/app/(bench)/bench-frame';
import { useKeys } from '@/app/(bench)/use-keys';
import type { Deed } from '@/core/bench/log';
import type { PlanChange } from '@/core/bench/kept-plan';
import type { Sequence } from '@/core/bench/sequence';
import { undoSteps } from '@/core/bench/undo';
import { countWords } from '@/core/terms/count-words';
import { formatTension, formatTicket, type TicketTension } from '@/core/measure/units';

interface PlanChangedProps {
  readonly change: Exclude<PlanChange, { is: 'ahead only' }>;
  readonly sequence: Sequence;
  readonly done: number;
  /** As the ticket has it now. */
  readonly tension: TicketTension;
  readonly note: (done: number, deed: Deed) => void;
  /** Puts the figures of before back on the ticket; a sentence where it cannot. */
  readonly setBack: (before: TicketTension) => Promise<string | void>;
}

/** The ticket was changed while its strings went in: what becomes of those that are in already. */
export function PlanChanged(props: PlanChangedProps) {
  const { change, sequence, done, tension, note, setBack } = props;
  const { from, before } = change;
  const [again, setAgain] = useState(false);
  const [problem, setProblem] = useState<string>();
  const undo = useMemo(
    () => (again ? undoSteps(sequence, done, from) : []),
    [again, sequence, done, from],
  );
  const isWay = change.is === 'another way';
  const both = () => note(done, { kind: 'plan', chose: 'both' });
  const pullAgain = () => note(from, { kind: 'plan', chose: 'again' });
  const back = () => {
    if (!before || isWay) return;
    setProblem(undefined);
    void setBack({ mainN: before.mainN, crossN: before.crossN, unit: before.unit })
      .catch(() => 'The workshop’s server does not answer: the ticket stays as it is.')
      .then((refusal) => setProblem(refusal ?? undefined));
  };
  const keys: Record<string, () => void> = again
    ? { ' ': pullAgain, Escape: () => setAgain(false) }
    : { '1': both, '2': () => setAgain(true), ...(before && !isWay && { '3': back }) };
  useKeys(keys, true);

  if (again)
    return (
      <div className="min-h-0 overflow-y-auto">
        <p className="figure text-4xl">Back to step {from + 1}</p>
        <ol className="mt-2 list-decimal pl-7 text-xl">
          {undo.map(({ of, words, take }) => (
            <li key={of}>
              {words}
              {take && <span className="figure"> ({formatTension(take.pullN, tension.unit)})</span>}
            </li>
          ))}
        </ol>
        <p className="mt-4 flex flex-wrap gap-4">
          <BenchButton main onClick={pullAgain}>
            They are out, go on (space)
          </BenchButton>
          <BenchButton onClick={() => setAgain(false)}>Back (Esc)</BenchButton>
        </p>
      </div>
    );
  return (
    <section aria-label="The ticket was changed" className="min-h-0 overflow-y-auto">
      <p className="figure text-[min(10vw,9vh,3.5rem)] leading-tight">The ticket was changed</p>
      <p className="bench-line mt-1">
        {isWay && !before
          ? `Check that the bench stands at step ${done + 1}: its plan was another one at the last step.`
          : isWay
            ? `From step ${from + 1} on the string goes another way than it was strung.`
            : `${countWords(done, 'step')} were done at ${before ? formatTicket(before) : 'other figures'}; the ticket says ${formatTicket(tension)} now.`}
      </p>
      <ol className="mt-4 grid gap-3">
        {[
          {
            key: 1,
            words: isWay
              ? 'It is as the ticket has it now: go on here'
              : `Go on with both: what is in stays as it was pulled, the rest at ${formatTicket(tension)}`,
            press: both,
          },
          {
            key: 2,
            words: isWay
              ? `Take it out again as far as step ${from + 1}`
              : `Pull again what is in, from step ${from + 1} on`,
            press: () => setAgain(true),
          },
          ...(before && !isWay
            ? [{ key: 3, words: `Go back to ${formatTicket(before)} on the ticket`, press: back }]
            : []),
        ].map(({ key, words, press }) => (
          <li key={key}>
            <BenchButton autoFocus={key === 1} className="w-full text-left" onClick={press}>
              <span className="text-soft mr-4">{key}</span>
              {words}
            </BenchButton>
          </li>
        ))}
      </ol>
      {problem && (
        <p role="alert" className="text-warn bench-line mt-2">
          {problem}
        </p>
      )}
    </section>
  );
}
