'use client';

import type { ReactNode } from 'react';
import { ALL_GOOD, LOOKED, LOOKS, type Look } from '@/core/reading/last-look';
import { english, message } from '@/core/terms/words/english';
import { Ask } from '@/ui/form/ask';
import type { LookEntry } from './look-entry';

const answers = LOOKED.map((value) => ({ value, text: value as string }));

/** The short look that closes a job: six lines, one answer each. */
export function LookFields({
  entry,
  set,
  children,
}: {
  readonly entry: LookEntry;
  readonly set: (look: Look, value: LookEntry[Look]) => void;
  /** The field of the pitch. */
  readonly children: ReactNode;
}) {
  const allGood = () => {
    for (const look of LOOKS) set(look, ALL_GOOD[look]);
  };
  return (
    <div className="flex flex-col gap-1">
      {LOOKS.map((look) => (
        <Ask
          key={look}
          className="grid-cols-[16rem_1fr]!"
          label={english(message(`look.${look}`))}
          options={answers}
          value={entry[look]}
          onChange={(value) => set(look, value)}
        />
      ))}
      <button type="button" className="mt-1 self-start underline" onClick={allGood}>
        All good at once
      </button>
      {children}
    </div>
  );
}
