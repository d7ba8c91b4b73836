'use client';

import { useState } from 'react';
import { inTensionUnit, type TensionUnit } from '@/core/measure/units';

export interface LoadFrame {
  /** `M1L`, or nothing at the end, when the mounts are open. */
  readonly string: string;
  /** How each node of the rim has moved, mm: x and y by turns. */
  readonly moved: readonly number[];
  readonly lengthMm: number;
  readonly widthMm: number;
  /** By string, N. */
  readonly tensions: Readonly<Record<string, number>>;
}

interface UnderLoadProps {
  /** The rim before anything was pulled, mm: x and y by turns. */
  readonly rim: readonly number[];
  readonly strings: readonly { readonly name: string; readonly a: number; readonly b: number }[];
  readonly frames: readonly LoadFrame[];
  readonly unit: TensionUnit;
}

/** So many times larger than it is, a change can be seen. */
const MAGNIFIED = 10;
const PAD = 42;

/** The rim and its strings after each pull, its change magnified. */
export function UnderLoad({ rim, strings, frames, unit }: UnderLoadProps) {
  const [at, setAt] = useState(frames.length - 1);
  const frame = frames[at];
  if (!frame) return null;
  const count = rim.length / 2;
  const xs = Array.from({ length: count }, (_, i) => rim[2 * i] as number);
  const ys = Array.from({ length: count }, (_, i) => rim[2 * i + 1] as number);
  const [left, right, top, bottom] = [
    Math.min(...xs) - PAD,
    Math.max(...xs) + PAD,
    Math.max(...ys) + PAD,
    Math.min(...ys) - PAD,
  ];
  const point = (i: number, magnified: number) =>
    `${((xs[i] as number) + magnified * (frame.moved[2 * i] ?? 0)).toFixed(1)} ${(-((ys[i] as number) + magnified * (frame.moved[2 * i + 1] ?? 0))).toFixed(1)}`;
  const outline = (magnified: number) => `M${xs.map((_, i) => point(i, magnified)).join('L')}Z`;
  const figure = (n: number) => inTensionUnit(n, unit, 0.1).toFixed(1);
  const tensions = Object.entries(frame.tensions);
  const most = Math.max(...frames.flatMap((each) => Object.values(each.tensions)));
  const groups = [
    {
      title: 'Mains, left to right',
      names: strings
        .filter(({ name }) => name.startsWith('M'))
        .toSorted((a, b) => (xs[a.a] ?? 0) - (xs[b.a] ?? 0)),
    },
    { title: 'Crosses, head to throat', names: strings.filter(({ name }) => name.startsWith('C')) },
  ];
  const words = frame.string ? `after ${frame.string}` : 'with the mounts open';
  return (
    <div className="grid gap-8 lg:grid-cols-[1fr_1.3fr]">
      <div>
        <svg
          viewBox={`${left} ${-top} ${right - left} ${top - bottom}`}
          className="block w-full max-w-md"
          role="img"
          aria-label={`The hoop ${words}: length ${frame.lengthMm.toFixed(2)} mm, width ${frame.widthMm.toFixed(2)} mm; its change is drawn ${MAGNIFIED} times larger.`}
        >
          <path d={outline(0)} className="stroke-hair fill-none" strokeWidth={4} />
          {strings.map(({ name, a, b }) =>
            name in frame.tensions ? (
              <path
                key={name}
                d={`M${point(a, MAGNIFIED)}L${point(b, MAGNIFIED)}`}
                className={name.startsWith('M') ? 'stroke-mains' : 'stroke-crosses'}
                strokeWidth={name === frame.string ? 3 : 1.2}
              />
            ) : null,
          )}
          <path d={outline(MAGNIFIED)} className="stroke-ink fill-none" strokeWidth={5} />
        </svg>
        <label className="mt-3 block">
          <span className="label block">
            Pull {Math.min(at + 1, frames.length - 1)} of {frames.length - 1}, {words}; the change
            is drawn {MAGNIFIED} times larger
          </span>
          <input
            type="range"
            min={0}
            max={frames.length - 1}
            value={at}
            onChange={(event) => setAt(Number(event.target.value))}
            className="accent-ink w-full max-w-md"
          />
        </label>
        <p>
          Length {frame.lengthMm.toFixed(2)} mm, width {frame.widthMm.toFixed(2)} mm
        </p>
      </div>
      <div>
        {groups.map(({ title, names }) => (
          <figure key={title} className="mb-5">
            <figcaption className="label">
              {title}: tension of each string ({unit})
            </figcaption>
            <div className="border-edge flex h-36 items-end gap-px border-b">
              {names.map(({ name }) => {
                const n = frame.tensions[name];
                return (
                  <span
                    key={name}
                    title={
                      n === undefined ? `${name}: not in yet` : `${name}: ${figure(n)} ${unit}`
                    }
                    className={`grow text-center ${name.startsWith('M') ? 'bg-mains' : 'bg-crosses'} ${name === frame.string ? '' : 'opacity-70'}`}
                    style={{ height: `${n === undefined ? 0 : (100 * n) / most}%` }}
                  />
                );
              })}
            </div>
          </figure>
        ))}
        <p className="sr-only">
          {tensions.map(([name, n]) => `${name} ${figure(n)} ${unit}`).join(', ')}
        </p>
      </div>
    </div>
  );
}
