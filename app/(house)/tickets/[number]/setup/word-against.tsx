'use client';

import type { ReactNode } from 'react';
import { TextField } from '@/ui/form/field';

interface WordAgainstProps {
  readonly label: string;
  readonly hint: string;
  readonly field: Omit<Parameters<typeof TextField>[0], 'label'>;
  readonly children: ReactNode;
}

/** What speaks against a setup, with the word that it takes to string it so all the same. */
export function WordAgainst({ label, hint, field, children }: WordAgainstProps) {
  return (
    <div className="bg-warn-wash px-3 py-2">
      {children}
      <TextField className="mt-1 max-w-2xl" label={label} hint={hint} {...field} />
    </div>
  );
}
