'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Heat } from '@/core/ageing/loss';
import { Choice } from '@/ui/form/choice';

interface HeatChoiceProps {
  /** As it is kept; made anew when that changes. */
  readonly heat: Heat;
  readonly save: (heat: Heat) => Promise<string | undefined | void>;
}

const PLACES: readonly { readonly value: Heat; readonly text: string }[] = [
  { value: 'cool', text: 'a cool room' },
  { value: 'usual', text: 'here and there' },
  { value: 'hot', text: 'a hot car or attic' },
];

/** Where a racket lies between plays; the curve answers at once. */
export function HeatChoice({ heat, save }: HeatChoiceProps) {
  const router = useRouter();
  const [chosen, setChosen] = useState(heat);
  const [problem, setProblem] = useState<string>();
  return (
    <div className="mt-5">
      <Choice
        label="It lies in"
        options={PLACES}
        value={chosen}
        onChange={(next) => {
          setChosen(next);
          void save(next)
            .catch(() => 'The workshop’s server does not answer. Nothing was kept: try again.')
            .then((refusal) => {
              setProblem(refusal ?? undefined);
              if (refusal) setChosen(heat);
              router.refresh();
            });
        }}
      />
      {problem && (
        <p role="alert" className="text-warn">
          {problem}
        </p>
      )}
    </div>
  );
}
