'use client';

import { useState } from 'react';
import { signedFigure } from '@/core/measure/figures';
import { inTensionUnit, type TensionUnit } from '@/core/measure/units';
import type { LoadFrame, LoadView } from '@/workers/load-view';

interface UnderLoadProps {
  /** One way, or two or three side by side. */
  readonly views: readonly LoadView[];
  readonly unit: TensionUnit;
}

/** So many times larger than it is, a change can be seen. */
const MAGNIFIED = 10;
const PAD = 62;
/** A mount that bears so much has the longest arrow, N. */
const LONG_ARROW_N = 1000;
const LONG_ARROW_MM = 32;

const wordsOf = ({ string }: LoadFrame): string =>
  string ? `after ${string}` : 'with the mounts open';

/** The frame at a pull of the longest way; shorter ones wait at their end. */
const frameAt = ({ frames }: LoadView, at: number): LoadFrame =>
  frames[Math.min(at, frames.length - 1)] as LoadFrame;

/** Hoops and their strings after each pull, their change magnified, with what each string holds. */
export function UnderLoad({ views, unit }: UnderLoadProps) {
  const last = Math.max(...views.map(({ frames }) => frames.length)) - 1;
  const [chosen, setChosen] = useState(last);
  const at = Math.min(chosen, last);
  const [first] = views;
  if (!first) return null;
  const most = Math.max(
    ...views.flatMap(({ frames }) => frames.flatMap(({ tensions }) => Object.values(tensions))),
  );
  return (
    <div>
      <label className="block max-w-xl">
        <span className="label block">
          Pull {Math.min(at + 1, last)} of {last}, {wordsOf(frameAt(first, at))}; the change is
          drawn {MAGNIFIED} times larger
        </span>
        <input
          type="range"
          min={0}
          max={last}
          value={at}
          onChange={(event) => setChosen(Number(event.target.value))}
          className="accent-ink w-full"
        />
      </label>
      <div
        className={
          views.length === 1
            ? 'mt-3 grid gap-8 lg:grid-cols-[1fr_1.3fr]'
            : `mt-3 grid gap-8 sm:grid-cols-2 ${views.length === 3 ? 'lg:grid-cols-3' : ''}`
        }
      >
        {views.map((view) => {
          const frame = frameAt(view, at);
          return (
            <div key={view.way} className={views.length === 1 ? 'contents' : undefined}>
              <div>
                {views.length > 1 && <h3 className="font-medium">{view.way}</h3>}
                <Hoop view={view} frame={frame} />
                <p>
                  Length {signedFigure(frame.lengthMm, 2)} mm, width{' '}
                  {signedFigure(frame.widthMm, 2)} mm
                </p>
              </div>
              <Tensions view={view} frame={frame} most={most} unit={unit} />
            </div>
          );
        })}
      </div>
    </div>
  );
}

function Hoop({ view, frame }: { readonly view: LoadView; readonly frame: LoadFrame }) {
  const { nodes, beams, strings, mounts } = view;
  const at = (i: number, magnified: number): readonly [number, number] => [
    (nodes[2 * i] as number) + magnified * (frame.moved[2 * i] ?? 0),
    -((nodes[2 * i + 1] as number) + magnified * (frame.moved[2 * i + 1] ?? 0)),
  ];
  const point = (i: number, magnified: number) =>
    at(i, magnified)
      .map((n) => n.toFixed(1))
      .join(' ');
  const xs = nodes.filter((_, i) => i % 2 === 0);
  const ys = nodes.filter((_, i) => i % 2 === 1);
  const [left, right] = [Math.min(...xs) - PAD, Math.max(...xs) + PAD];
  const [top, bottom] = [Math.max(...ys) + PAD, Math.min(...ys) - PAD / 2];
  const lines = (magnified: number) =>
    beams.map(([from, to]) => `M${point(from, magnified)}L${point(to, magnified)}`).join('');
  return (
    <svg
      viewBox={`${left} ${-top} ${right - left} ${top - bottom}`}
      className="block w-full max-w-md"
      role="img"
      aria-label={`The hoop ${wordsOf(frame)}: length ${signedFigure(frame.lengthMm, 2)} mm, width ${signedFigure(frame.widthMm, 2)} mm; its change is drawn ${MAGNIFIED} times larger.`}
    >
      <path d={lines(0)} className="stroke-hair fill-none" strokeWidth={4} strokeLinecap="round" />
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
      <path
        d={lines(MAGNIFIED)}
        className="stroke-ink fill-none"
        strokeWidth={5}
        strokeLinecap="round"
      />
      {frame.string &&
        mounts.map(({ name, node, x, y }, m) => {
          const n = frame.mountsN[m] ?? 0;
          if (n < 1) return null;
          const [px, py] = at(node, MAGNIFIED);
          const long = Math.min(LONG_ARROW_MM, (LONG_ARROW_MM * n) / LONG_ARROW_N);
          return (
            <g key={name}>
              <title>{`${name}: ${n} N`}</title>
              <path
                d={`M${px - x * long} ${py + y * long}L${px} ${py}`}
                className="stroke-warn"
                strokeWidth={5}
              />
              <text
                x={px - x * (long + 12)}
                y={py + y * (long + 12)}
                dy="0.35em"
                fontSize={13}
                textAnchor="middle"
                // Strings run behind it.
                paintOrder="stroke"
                strokeWidth={4}
                className="figure fill-warn stroke-paper"
              >
                {n}
              </text>
            </g>
          );
        })}
    </svg>
  );
}

interface TensionsProps {
  readonly view: LoadView;
  readonly frame: LoadFrame;
  /** The highest of all that are shown, N. */
  readonly most: number;
  readonly unit: TensionUnit;
}

function Tensions({ view: { nodes, strings, mounts }, frame, most, unit }: TensionsProps) {
  const figure = (n: number) => inTensionUnit(n, unit, 0.1).toFixed(1);
  const groups = [
    {
      title: 'Mains, left to right',
      names: strings
        .filter(({ name }) => name.startsWith('M'))
        .toSorted((a, b) => (nodes[2 * a.a] ?? 0) - (nodes[2 * b.a] ?? 0)),
    },
    { title: 'Crosses, head to throat', names: strings.filter(({ name }) => name.startsWith('C')) },
  ];
  const bearing = mounts.flatMap(({ name }, m) => {
    const n = frame.mountsN[m] ?? 0;
    return n >= 1 && frame.string ? [`${name} ${n} N`] : [];
  });
  return (
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
                  title={n === undefined ? `${name}: not in yet` : `${name}: ${figure(n)} ${unit}`}
                  className={`grow text-center ${name.startsWith('M') ? 'bg-mains' : 'bg-crosses'} ${name === frame.string ? '' : 'opacity-70'}`}
                  style={{ height: `${n === undefined ? 0 : (100 * n) / most}%` }}
                />
              );
            })}
          </div>
        </figure>
      ))}
      <p className="label">
        {bearing.length > 0
          ? `The mounts bear: ${bearing.join(', ')}.`
          : 'No mount bears anything.'}
      </p>
      <p className="sr-only">
        {Object.entries(frame.tensions)
          .map(([name, n]) => `${name} ${figure(n)} ${unit}`)
          .join(', ')}
      </p>
    </div>
  );
}
