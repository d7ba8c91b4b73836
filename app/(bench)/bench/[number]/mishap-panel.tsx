'use client';

import type { StringName } from '@/core/terms/string-name';
import { useState } from 'react';
import { BenchButton } from '@/app/(bench)/bench-frame';
import {
  mishapSchema,
  mishapWords,
  stringInHand,
  waysOut,
  type Mishap,
  type WayOut,
} from '@/core/bench/mishap';
import { strungAfter, type Sequence } from '@/core/bench/sequence';
import { formatTension, type TensionUnit } from '@/core/measure/units';
import { BenchPanel } from './bench-panel';

interface MishapPanelProps {
  readonly close: () => void;
  readonly sequence: Sequence;
  readonly done: number;
  readonly take: (mishap: Mishap, string: StringName | undefined, way: WayOut) => void;
}

/** What went wrong, with which string, and the ways out of it; digits choose. */
export function MishapPanel({ close, sequence, done, take }: MishapPanelProps) {
  const [mishap, setMishap] = useState<Mishap>();
  const [string, setString] = useState(() => stringInHand(sequence, done));
  const inHand = sequence.steps[done]?.string;
  const strings = [
    ...new Set([
      ...(inHand === undefined ? [] : [inHand]),
      ...strungAfter(sequence, done).toReversed(),
    ]),
  ];
  const ways = mishap === undefined ? [] : waysOut(sequence, done, mishap, string);
  const digit = (key: string) => (/^[1-9]$/.test(key) ? Number(key) - 1 : -1);
  const choose = (way: WayOut | undefined) => {
    if (mishap === undefined || way === undefined) return;
    take(mishap, mishap === 'frame cracked' ? undefined : string, way);
    close();
  };
  return (
    <BenchPanel
      title={mishap === undefined ? 'What happened?' : mishapWords(mishap)}
      open
      close={close}
    >
      <div
        onKeyDown={(event) => {
          if (event.target instanceof HTMLSelectElement) return;
          if (mishap === undefined) setMishap(mishapSchema.options[digit(event.key)]);
          else choose(ways[digit(event.key)]);
        }}
      >
        {mishap === undefined ? (
          <ul className="grid grid-cols-2 gap-3">
            {mishapSchema.options.map((each, i) => (
              <li key={each}>
                <BenchButton
                  autoFocus={i === 0}
                  className="w-full text-left"
                  onClick={() => setMishap(each)}
                >
                  <span className="text-soft mr-4">{i + 1}</span>
                  {mishapWords(each)}
                </BenchButton>
              </li>
            ))}
          </ul>
        ) : (
          <>
            {mishap !== 'frame cracked' && strings.length > 0 && (
              <label className="mb-3 flex items-baseline gap-3 text-xl">
                Which string?
                <select
                  value={string}
                  onChange={(event) =>
                    setString(strings.find((each) => each === event.target.value))
                  }
                  className="border-edge bg-paper figure min-h-11 border px-3 text-2xl"
                >
                  {strings.map((each) => (
                    <option key={each}>{each}</option>
                  ))}
                </select>
              </label>
            )}
            {ways.length === 0 && (
              <p className="text-xl">No string is in yet, so there is nothing to take back.</p>
            )}
            <ol className="grid gap-4">
              {ways.map((way, i) => (
                <li key={way.id} className="border-hair border-t pt-3">
                  <BenchButton
                    key={`${mishap} ${i}`}
                    autoFocus={i === 0}
                    className="w-full text-left"
                    onClick={() => choose(way)}
                  >
                    <span className="text-soft mr-4">{i + 1}</span>
                    {way.title}
                  </BenchButton>
                  <p className="label mt-1">
                    {way.undo.length > 0 && `${way.undo.length} steps are undone in their order. `}
                    {way.words.join(' ')}
                  </p>
                </li>
              ))}
            </ol>
          </>
        )}
        <div className="mt-4 flex gap-4">
          {mishap !== undefined && (
            <BenchButton onClick={() => setMishap(undefined)}>Something else</BenchButton>
          )}
          <BenchButton onClick={close}>Leave (Esc)</BenchButton>
        </div>
      </div>
    </BenchPanel>
  );
}

/** A way out while it is carried out: what is undone, in order, then the rest by hand. */
export function WayOutView({ way, unit }: { readonly way: WayOut; readonly unit: TensionUnit }) {
  return (
    <div className="min-h-0 overflow-y-auto">
      <p className="figure text-4xl">{way.title}</p>
      {way.caution && <p className="text-warn mt-1 text-2xl">{way.caution}</p>}
      <ol className="mt-2 list-decimal pl-7 text-xl">
        {way.undo.map(({ of, words, take }) => (
          <li key={of}>
            {words}
            {take && <span className="figure"> ({formatTension(take.pullN, unit)})</span>}
          </li>
        ))}
        {way.words.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ol>
      {way.tell && (
        <p className="border-hair mt-3 border-t pt-2 text-lg">
          <span className="label">For the client: </span>
          {way.tell}
        </p>
      )}
    </div>
  );
}
