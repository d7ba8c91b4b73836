'use client';

import clsx from 'clsx';
import { memo, useEffect, useMemo, useRef, type ReactNode } from 'react';
import type { Bed } from '@/core/frame/bed';
import type { BenchStep } from '@/core/bench/plan';
import { sideOf } from '@/core/path/pull-order';
import { placeName } from '@/core/path/segments';
import { isMain, type MainName, type StringName } from '@/core/terms/string-name';
import { strungAfter, type Sequence } from '@/core/bench/sequence';
import { english } from '@/core/terms/words/english';
import {
  formatTension,
  tensionFigure,
  type LengthSystem,
  type TensionUnit,
} from '@/core/measure/units';
import { BedDrawing } from '@/ui/bed/bed-drawing';
import { useLowLight } from './use-low-light';

/** A head is read twenty times a second; the bed is drawn anew only when a step changes it. */
const Drawing = memo(BedDrawing);

interface BenchFrameProps {
  readonly title: ReactNode;
  /** Buttons and words at the right of the header. */
  readonly tools?: ReactNode;
  readonly bed: Bed;
  readonly sequence: Pick<Sequence, 'steps' | 'path'>;
  readonly done: number;
  /** Does not draw the string in hand: somebody is asked which it is. */
  readonly secret?: boolean;
  readonly lengthSystem: LengthSystem;
  /** The step in hand and what belongs to it. */
  readonly children: ReactNode;
  readonly footer: ReactNode;
}

/** The whole screen at the bench: a step at the left, what is strung so far at the right. */
export function BenchFrame({
  title,
  tools,
  bed,
  sequence,
  done,
  secret = false,
  lengthSystem,
  children,
  footer,
}: BenchFrameProps) {
  const { steps, path } = sequence;
  const [lowLight, turnLight] = useLowLight();
  const page = useRef<HTMLElement>(null);
  useEffect(() => {
    // After a press with a finger the keys belong to the steps again; the keyboard stays where it is.
    const giveBack = ({ detail, target }: MouseEvent) => {
      if (detail > 0 && target instanceof Element) target.closest('button')?.blur();
    };
    const main = page.current;
    main?.addEventListener('click', giveBack);
    return () => main?.removeEventListener('click', giveBack);
  }, []);
  const step = steps[done];
  // The head's reading draws this anew many times a second; what is in changes with the step alone.
  const strung = useMemo(() => strungAfter(sequence, done), [sequence, done]);
  // The drawing shows what is in, what this step weaves or threads and, bright, the string in hand.
  const inHand = secret ? undefined : step?.string;
  const threaded =
    secret || step?.kind !== 'start'
      ? []
      : step.actions.flatMap((action) => (action.do === 'thread' ? [action.string] : []));
  const drawn = [
    ...[...strung, ...threaded].filter((string) => string !== inHand),
    ...(inHand === undefined ? [] : [inHand]),
  ];
  const tied = steps
    .slice(0, done)
    .flatMap(({ kind, at }) => (kind === 'tie' && at ? [placeName(at)] : []))
    .join();
  // One object from knot to knot, so that the drawing works nothing out anew.
  const knotted = useMemo(
    () => ({
      ...path,
      knots: path.knots.map((knot) =>
        tied.split(',').includes(placeName(knot)) ? knot : { ...knot, tiedAfter: Infinity },
      ),
    }),
    [path, tied],
  );
  // The first crosses may come out of turn.
  const inTurn = drawn.every((string, i) => path.order[i] === string);
  const turns = drawn.join();
  const shown = useMemo(() => {
    if (inTurn) return knotted;
    const first = turns.split(',') as StringName[];
    return {
      ...knotted,
      order: [...first, ...knotted.order.filter((each) => !first.includes(each))],
    };
  }, [inTurn, knotted, turns]);
  return (
    <main
      ref={page}
      className="bench-page bg-paper text-ink gap-1 px-3 py-2 sm:gap-2 sm:px-6 sm:py-3"
    >
      <header className="border-hair [&_a]:bench-target [&_button]:bench-target flex flex-wrap items-center gap-x-4 border-b">
        {title}
        <p className="figure text-xl">
          {done} of {steps.length}
        </p>
        {tools}
        <button type="button" className="underline" onClick={turnLight}>
          {lowLight ? 'Daylight' : 'Low light'}
        </button>
      </header>
      <div className="bench-body min-h-0 gap-6">
        <section
          aria-label="Step"
          // What is below the fold can be read by keyboard too.
          tabIndex={0}
          className="flex min-h-0 min-w-0 flex-col overflow-y-auto"
        >
          {children}
          <Balance strung={strung.filter(isMain)} />
        </section>
        {/* Keys belong to the steps here, so the drawing takes none. */}
        <div inert className="bench-drawing min-h-0">
          <Drawing
            bed={bed}
            path={shown}
            strung={drawn.length}
            lengthSystem={lengthSystem}
            className="h-full"
            inked={inHand}
            still
          />
        </div>
      </div>
      <footer className="bench-foot flex flex-wrap items-center gap-2 sm:gap-4">{footer}</footer>
    </main>
  );
}

/** A button of the bench, large enough for a thumb. */
export function BenchButton({
  main = false,
  className,
  ...button
}: { readonly main?: boolean } & React.ComponentProps<'button'>) {
  return (
    <button
      type="button"
      className={clsx(
        'min-h-11 disabled:opacity-50',
        main
          ? 'bg-ink text-paper order-first grow basis-full px-6 py-2 text-2xl font-medium lg:order-none lg:min-h-14 lg:basis-auto'
          : 'border-ink grow border px-3 text-lg sm:grow-0 sm:px-6 sm:text-xl lg:min-h-14',
        className,
      )}
      {...button}
    />
  );
}

/** The step in hand, in figures that can be read from two metres. */
export function StepInHand({
  step: { words, pullN: n, string, from, at, why, caution, notes = [], tips = [] },
  hands,
  unit,
  dial,
  small = false,
}: {
  readonly step: BenchStep;
  /** What is done with the clamps. */
  readonly hands?: string | undefined;
  readonly unit: TensionUnit;
  /** What is set on the machine for it, N, where its last check says another figure than the aim. */
  readonly dial?: number | undefined;
  /** Leaves room for what else stands there. */
  readonly small?: boolean;
}) {
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-4 sm:gap-x-8">
        {n !== undefined && (
          <span
            className={clsx(
              'figure leading-none',
              small ? 'text-[min(20vw,18vh,9rem)]' : 'text-[min(28vw,26vh,13rem)]',
            )}
          >
            {tensionFigure(dial ?? n, unit)}
            <span className="text-[min(6vw,2.25rem)]"> {unit}</span>
          </span>
        )}
        {n !== undefined && dial !== undefined && (
          <span className="bench-line">
            <span className="label">on the dial; aim </span>
            <span className="figure">{formatTension(n, unit)}</span>
          </span>
        )}
        {string !== undefined && (
          <span className="figure text-[min(12vw,9vh,3.75rem)] leading-none">
            {string}
            {at && (
              <span className="text-soft block text-[min(7vw,6vh,2.25rem)]">
                {from && <span className="text-[0.65em]">{placeName(from)} → </span>}
                {placeName(at)}
              </span>
            )}
          </span>
        )}
      </p>
      <p
        aria-live="polite"
        className={clsx(
          'mt-1 leading-snug font-medium lg:mt-3',
          small ? 'text-[min(5.5vw,4.2vh,1.9rem)]' : 'text-[min(6vw,5vh,2.25rem)]',
        )}
      >
        {english(words)}
      </p>
      {hands && <p className="bench-line mt-1 first-letter:uppercase">{hands}</p>}
      {why && <p className="text-soft mt-1 text-lg">{english(why)}</p>}
      {notes.map((note) => (
        <p key={note} className="border-ink bench-line mt-1 border-l-4 pl-3">
          {note}
        </p>
      ))}
      {caution && <p className="text-warn bench-line mt-1">{english(caution)}</p>}
      {tips.length > 0 && <p className="mt-1 text-lg">{tips.map(english).join(' · ')}</p>}
    </>
  );
}

/** Mains in on either side: the fuller side hangs lower. */
function Balance({ strung }: { readonly strung: readonly MainName[] }) {
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
