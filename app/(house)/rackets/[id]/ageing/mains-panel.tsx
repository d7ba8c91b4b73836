'use client';

import { useState } from 'react';
import { pairsOf } from '@/core/ageing/net-pitch';
import { decimal, plainFigures } from '@/core/measure/figures';
import { TextField } from '@/ui/form/field';
import { Table } from '@/ui/list-page';

/** Below this share of its tension nobody could tell two mains apart by ear. */
const TOLD = 0.02;

const pitchesIn = (text: string): readonly number[] =>
  plainFigures(text)
    .split(/[\s;]+/)
    .map(decimal)
    .filter((hz) => hz > 0);

/** Each main plucked by itself: like-numbered mains agree when the balance was kept. */
export function MainsPanel() {
  const [left, setLeft] = useState('');
  const [right, setRight] = useState('');
  const pairs = pairsOf(pitchesIn(left), pitchesIn(right));
  return (
    <details>
      <summary className="cursor-pointer font-medium">Main by main</summary>
      <div className="mt-2 grid grid-cols-2 gap-4">
        <TextField
          label="Left, from the middle (Hz)"
          hint="412 415 420"
          value={left}
          onChange={(event) => setLeft(event.target.value)}
        />
        <TextField
          label="Right, from the middle (Hz)"
          value={right}
          onChange={(event) => setRight(event.target.value)}
        />
      </div>
      {pairs.length > 0 && (
        <Table
          head={['Pair', 'Left', 'Right', 'What differs']}
          empty=""
          rows={pairs.map(({ pair, leftHz, rightHz, leftTighter }) => ({
            key: String(pair),
            cells: [
              pair,
              leftHz,
              rightHz,
              Math.abs(leftTighter) < TOLD
                ? 'alike'
                : `${leftTighter > 0 ? 'left' : 'right'} is tighter by ${Math.round(Math.abs(leftTighter) * 100)} %`,
            ],
          }))}
        />
      )}
    </details>
  );
}
