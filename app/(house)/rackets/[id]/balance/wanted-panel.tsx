'use client';

import { useState } from 'react';
import { massCaution, type Figures } from '@/core/balance/racket';
import { reach, type Place } from '@/core/balance/reach';
import { TextField } from '@/ui/form/field';
import { useAwake } from '@/ui/use-awake';
import { wantedIn } from './balance-entry';

interface WantedPanelProps {
  /** As it is now, with all that is on it. */
  readonly now: Figures;
  readonly places: readonly Place[];
}

/** Which masses where make it what somebody wants. */
export function WantedPanel({ now, places }: WantedPanelProps) {
  const awake = useAwake();
  const [mass, setMass] = useState(now.massG.toFixed(0));
  const [balance, setBalance] = useState(now.balanceMm.toFixed(0));
  const [swing, setSwing] = useState(now.swingKgCm2.toFixed(0));
  const wanted = wantedIn(mass, balance, swing);
  const found = typeof wanted === 'string' ? undefined : reach(now, wanted, places);
  const added = found?.puts.reduce((sum, { massG }) => sum + massG, 0) ?? 0;
  const caution = massCaution(added);
  const fields = [
    { label: 'Wanted mass (g)', value: mass, set: setMass },
    { label: 'Wanted balance (mm)', value: balance, set: setBalance },
    { label: 'Wanted swing weight (kg·cm²)', value: swing, set: setSwing },
  ];
  return (
    <section aria-label="What would it take">
      <h2 className="figure mb-2 text-2xl">What would it take?</h2>
      <div className="grid grid-cols-3 gap-4">
        {fields.map(({ label, value, set }) => (
          <TextField
            key={label}
            label={label}
            figure
            disabled={!awake}
            value={value}
            onChange={(event) => set(event.target.value)}
          />
        ))}
      </div>
      <div role="status" className="mt-4">
        {typeof wanted === 'string' && <p className="text-warn font-medium">{wanted}</p>}
        {found && (
          <>
            {found.puts.length === 0 ? (
              <p>Nothing is put on.</p>
            ) : (
              <ul>
                {found.puts.map(({ name, massG }) => (
                  <li key={name}>
                    <span className="figure text-xl">{massG.toFixed(1)} g</span> {name}
                  </li>
                ))}
              </ul>
            )}
            <p className="mt-2">
              {found.reached
                ? 'So it comes to what is wanted.'
                : `No masses at these places bring it there; the nearest is ${found.figures.massG.toFixed(1)} g, ${found.figures.balanceMm.toFixed(1)} mm, ${found.figures.swingKgCm2.toFixed(1)} kg·cm².`}
            </p>
            {caution && <p className="text-warn mt-1 font-medium">{caution}</p>}
          </>
        )}
      </div>
    </section>
  );
}
