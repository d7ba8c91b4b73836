'use client';

import { useEffect, useState, type MouseEvent } from 'react';
import type { Bed } from '@/core/frame/bed';
import { bowInPhoto, type PhotoPoint } from '@/core/reading/bow-in-photo';
import type { BedSeen } from '@/core/reading/seen';

interface PhotoBowProps {
  readonly bed: Bed;
  readonly onBow: (bow: NonNullable<BedSeen['crossBow']>) => void;
}

const ASKED = [
  'the left end of the longest cross, at the rim',
  'its middle',
  'its right end, at the rim',
] as const;

/** The bow of the longest cross from three presses on a photograph, which stays in this browser. */
export function PhotoBow({ bed, onBow }: PhotoBowProps) {
  const [url, setUrl] = useState<string>();
  const [points, setPoints] = useState<readonly PhotoPoint[]>([]);
  const [problem, setProblem] = useState<string>();
  useEffect(
    () => () => {
      if (url) URL.revokeObjectURL(url);
    },
    [url],
  );
  const chordMm = 2 * Math.max(...bed.crossHoles.map(({ x }) => x));
  const press = (event: MouseEvent<HTMLButtonElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    // A photograph is as high as it is: both in the same unit.
    const point = { x: event.clientX - box.left, y: event.clientY - box.top };
    const next = points.length === ASKED.length ? [point] : [...points, point];
    setPoints(next);
    setProblem(undefined);
    const [left, middle, right] = next;
    if (!left || !middle || !right) return;
    const bow = bowInPhoto({ left, middle, right }, chordMm);
    if (bow.ok) onBow(bow.value);
    else setProblem(bow.problem);
  };
  return (
    <details>
      <summary className="cursor-pointer">Measure the bow on a photograph</summary>
      <p className="label mt-1">
        Taken from above the middle, the head up. It stays in this browser; nothing is sent.
      </p>
      <input
        type="file"
        accept="image/*"
        capture="environment"
        aria-label="Photograph of the bed"
        className="my-2 block w-full"
        onChange={({ target: { files } }) => {
          const [file] = files ?? [];
          setPoints([]);
          setProblem(undefined);
          setUrl(file && URL.createObjectURL(file));
        }}
      />
      {url && (
        <>
          <p role="status">
            {problem ??
              (points.length === ASKED.length
                ? 'Measured. A press begins anew.'
                : `Press ${ASKED[points.length] ?? ''}.`)}
          </p>
          <button
            type="button"
            aria-label="Photograph: press the ends and the middle of the longest cross"
            className="relative block w-full cursor-crosshair"
            onClick={press}
          >
            {/* It is the stringer's own file, shown as it is. */}
            {/* eslint-disable-next-line @next/next/no-img-element */}
            <img
              src={url}
              alt=""
              className="block w-full"
              onError={() => {
                setUrl(undefined);
                setProblem('This file is no picture that the browser can show.');
              }}
            />
            {points.map(({ x, y }, i) => (
              <span
                key={i}
                aria-hidden
                className="border-warn absolute size-4 -translate-1/2 rounded-full border-2"
                style={{ left: x, top: y }}
              />
            ))}
          </button>
        </>
      )}
      {!url && problem && (
        <p role="alert" className="text-warn">
          {problem}
        </p>
      )}
    </details>
  );
}
