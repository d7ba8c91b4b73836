'use client';

import clsx from 'clsx';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { byWords, CONFIDENCE_WORDS, sourceWords } from '@/core/advice/words';
import type { Staircase, Step } from '@/core/advice/staircase';
import { inTensionUnit, tensionFigure, type TensionUnit } from '@/core/measure/units';
import { Tick } from '@/ui/form/choice';

interface StaircaseViewProps {
  readonly staircase: Staircase;
  readonly unit: TensionUnit;
  /** Switches a step; nothing where there is none to answer. */
  readonly onSwitch: (id: string, on: boolean) => void;
}

const WIDTH = 190;
const HEIGHT = 40;
/** Below any row: a string runs on to the next one, however tall its own is. */
const FAR = 900;
const EDGE = 12;
const LEAST_SPAN: Record<TensionUnit, number> = { kg: 4, lb: 8 };

/** Tension runs to the right and reasons run down, so that each step is a tread to the left or right. */
export function StaircaseView({ staircase, unit, onSwitch }: StaircaseViewProps) {
  const { steps } = staircase;
  const all = steps.flatMap(({ after }) => [after.mainN, after.crossN]);
  const figure = (n: number) => tensionFigure(n, unit);
  const [least, most] = [Math.min(...all.map(figure)), Math.max(...all.map(figure))];
  // Wide enough that half a kilogram never looks like much.
  const room = Math.max(0.5, (LEAST_SPAN[unit] - (most - least)) / 2);
  const x = scaleLinear([least - room, most + room], [EDGE, WIDTH - EDGE]);
  return (
    <ol aria-label="Staircase">
      {steps.map((step, i) => (
        <StepRow
          key={step.id}
          step={step}
          before={steps[i - 1]}
          last={i === steps.length - 1}
          x={(n) => x(inTensionUnit(n, unit, 0.001))}
          unit={unit}
          onSwitch={onSwitch}
        />
      ))}
      <li aria-hidden className="hidden justify-end sm:flex">
        <svg width={WIDTH} height={16} className="mr-20">
          {x.ticks(4).map((tick) => (
            <text
              key={tick}
              x={x(tick)}
              y={12}
              fontSize={11}
              textAnchor="middle"
              className="figure fill-soft"
            >
              {tick}
            </text>
          ))}
        </svg>
      </li>
    </ol>
  );
}

const STATE_WORDS = {
  in: '',
  off: 'switched off',
  offered: 'offered: tick it to count it',
  yields: 'yields to a stronger reason',
  'already in': 'already in the last tension',
} as const;

interface StepRowProps {
  readonly step: Step;
  readonly before: Step | undefined;
  readonly last: boolean;
  readonly x: (n: number) => number;
  readonly unit: TensionUnit;
  readonly onSwitch: (id: string, on: boolean) => void;
}

function StepRow({ step, before, last, x, unit, onSwitch }: StepRowProps) {
  const [open, setOpen] = useState(false);
  const { id, title, why, state, canSwitch, by, after } = step;
  const figure = (n: number) => tensionFigure(n, unit);
  const counts = state.is === 'in';
  const Chevron = open ? ChevronDown : ChevronRight;
  return (
    <li className="border-hair overflow-hidden border-t">
      <div className="flex items-start gap-2">
        <span className="w-6 shrink-0 pt-2">
          {canSwitch && (
            <Tick
              label={`${title} counts`}
              hideLabel
              checked={counts}
              onChange={(on) => onSwitch(id, on)}
            />
          )}
        </span>
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className={clsx(
            'min-h-10 min-w-0 grow py-2 text-left leading-tight',
            !counts && 'text-soft',
          )}
        >
          <Chevron aria-hidden className="mr-1 inline size-4" />
          <span className={clsx('font-medium', state.is === 'off' && 'line-through')}>
            {title}
          </span>{' '}
          {before && <span className="figure whitespace-nowrap">{byWords(by, unit)}</span>}
          {!counts && <span className="label block pl-5">{STATE_WORDS[state.is]}</span>}
        </button>
        <Tread before={before} after={after} last={last} x={x} />
        <span className="figure w-20 shrink-0 pt-1.5 text-right text-lg whitespace-nowrap">
          {counts ? `${figure(after.mainN)}/${figure(after.crossN)}` : ''}
        </span>
      </div>
      {open && (
        <div className="pb-2 pl-8 text-sm sm:pr-72">
          <p className="max-w-prose">{why}</p>
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
    </li>
  );
}

/** From the figures before to those after: mains a solid line, crosses a double one. */
function Tread({
  before,
  after,
  last,
  x,
}: {
  readonly before: Step | undefined;
  readonly after: Step['after'];
  readonly last: boolean;
  readonly x: (n: number) => number;
}) {
  // Beside each other, so that equal figures show as two strings.
  const line = (string: 'mainN' | 'crossN', y: number, aside: number) => {
    const to = x(after[string]) + aside;
    const from = before ? x(before.after[string]) + aside : to;
    return `M${from} ${before ? 0 : y}V${y}H${to}V${last ? y : FAR}`;
  };
  const crosses = line('crossN', 25, 3);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      aria-hidden
      className="hidden shrink-0 overflow-visible sm:block"
    >
      <path d={crosses} className="stroke-crosses fill-none" strokeWidth={4} />
      <path d={crosses} className="stroke-paper fill-none" strokeWidth={1.6} />
      <path d={line('mainN', 15, -3)} className="stroke-mains fill-none" strokeWidth={2.5} />
      <rect
        x={x(after.crossN) + 3 - 3.5}
        y={25 - 3.5}
        width={7}
        height={7}
        className="fill-paper stroke-crosses"
        strokeWidth={1.6}
      />
      <circle
        cx={x(after.mainN) - 3}
        cy={15}
        r={3.8}
        className="fill-paper stroke-mains"
        strokeWidth={1.8}
      />
    </svg>
  );
}
