'use client';

import clsx from 'clsx';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { byWords, CONFIDENCE_WORDS, differenceWords, sourceWords } from '@/core/advice/words';
import type { Staircase, Step } from '@/core/advice/staircase';
import { printedRange, type FrameSpec } from '@/core/frame/frame';
import type { TensionUnit, TicketTension } from '@/core/measure/units';
import { Tick } from '@/ui/form/choice';
import { StairFoot, stairScale, Tread, wouldMove, type StairScale } from './staircase-drawing';

interface StaircaseViewProps {
  readonly staircase: Staircase;
  readonly spec: FrameSpec;
  readonly last: TicketTension | undefined;
  /** The figures that will be pulled. */
  readonly pulled: TicketTension | undefined;
  readonly unit: TensionUnit;
  /** Switches a step; nothing where there is none to answer. */
  readonly onSwitch: (id: string, on: boolean) => void;
}

/** Tension runs to the right and reasons run down, so that each step is a tread to the left or right. */
export function StaircaseView({
  staircase: { steps, ticket },
  spec,
  last,
  pulled,
  unit,
  onSwitch,
}: StaircaseViewProps) {
  const difference = pulled && differenceWords(pulled, ticket);
  const yours = difference ? pulled : undefined;
  const scale = stairScale(
    [...steps.map(({ after }) => after), ...(yours ? [yours] : [])],
    { printed: printedRange(spec), last },
    unit,
  );
  return (
    <>
      <ol aria-label="Staircase">
        {steps.map((step, i) => (
          <StepRow
            key={step.id}
            step={step}
            before={steps[i - 1]}
            isLast={i === steps.length - 1}
            scale={scale}
            onSwitch={onSwitch}
          />
        ))}
        {yours && (
          <li className={ROW}>
            <div className={clsx(WORDS, 'max-sm:bg-paper pl-8 max-sm:relative max-sm:z-[1]')}>
              <span className="font-medium">Yours</span>{' '}
              <span className="label block">{difference}</span>
            </div>
            <Tread scale={scale} before={ticket} after={yours} end="yours" />
          </li>
        )}
      </ol>
      <StairFoot scale={scale} />
    </>
  );
}

const STATE_WORDS = {
  in: '',
  off: 'switched off',
  offered: 'offered: tick it to count it',
  yields: 'yields to a stronger reason',
  'already in': 'already in the last tension',
} as const;

const ROW = 'border-hair/60 relative overflow-hidden border-t sm:flex sm:items-start';
const WORDS = 'min-h-11 min-w-0 grow py-2 text-left leading-tight';

interface StepRowProps {
  readonly step: Step;
  readonly before: Step | undefined;
  readonly isLast: boolean;
  readonly scale: StairScale;
  readonly onSwitch: (id: string, on: boolean) => void;
}

function StepRow({ step, before, isLast, scale, onSwitch }: StepRowProps) {
  const [open, setOpen] = useState(false);
  const { id, title, why, state, canSwitch, by, after } = step;
  const counts = state.is === 'in';
  const Chevron = open ? ChevronDown : ChevronRight;
  return (
    <li className={ROW}>
      {/* Where it stands above its drawing, no string runs through the words. */}
      <div className="max-sm:bg-paper flex min-w-0 grow items-start gap-2 max-sm:relative max-sm:z-[1]">
        <span className="relative z-10 w-6 shrink-0 pt-2">
          {canSwitch && (
            <Tick
              label={`${title} counts`}
              hideLabel
              checked={counts}
              onChange={(on) => onSwitch(id, on)}
            />
          )}
        </span>
        <div className="min-w-0 grow">
          <button
            type="button"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            // All of the row opens it, also what is drawn.
            className={clsx(
              WORDS,
              "w-full after:absolute after:inset-0 after:content-['']",
              !counts && 'text-soft',
            )}
          >
            <Chevron aria-hidden className="mr-1 inline size-4" />
            <span className={clsx('font-medium', state.is === 'off' && 'line-through')}>
              {title}
            </span>{' '}
            {before && <span className="figure whitespace-nowrap">{byWords(by, scale.unit)}</span>}
            {!counts && <span className="label block pl-5">{STATE_WORDS[state.is]}</span>}
          </button>
          {open && (
            <div className="relative z-10 pb-2 pl-5 text-sm">
              <p>{why}</p>
              {state.is === 'yields' && (
                <p>It yields to {state.to}; tick it to count it all the same.</p>
              )}
              <p className="label">
                {step.school && `This house: ${step.school}. `}
                Size: {CONFIDENCE_WORDS[step.confidence]}. Rank: {step.rank}. Source:{' '}
                {sourceWords(step.source)}.
              </p>
            </div>
          )}
        </div>
      </div>
      <Tread
        scale={scale}
        before={before?.after}
        after={after}
        would={wouldMove(step)}
        end={before ? (isLast ? 'last' : 'step') : 'start'}
      />
    </li>
  );
}
